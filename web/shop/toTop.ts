/** Brings the beginning of what is shown into sight: of the page, or of the shop's part of another site's page. */
export function toTop(within: Element): void {
  const over = within.closest('[role="dialog"]');
  const root = within.getRootNode();
  if (over) over.scrollTo({ top: 0 });
  else if (root instanceof ShadowRoot) root.host.scrollIntoView({ block: 'start' });
  else window.scrollTo({ top: 0 });
}
