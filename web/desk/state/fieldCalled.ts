const longestLabel = 120;

/** What a field of a screen is called: by its label, cut where it is very long; empty where it has none or is no field. */
export function labelOf(element: Element): string {
  if (!/^(INPUT|TEXTAREA|SELECT)$/.test(element.tagName)) return '';
  const label = element.getAttribute('aria-label') ?? (element as HTMLInputElement).labels?.[0]?.textContent ?? '';
  return label.slice(0, longestLabel);
}

/** The first field of a screen that is called so; null where there is none. */
export const fieldCalled = (screen: Element, label: string): Element | null =>
  [...screen.querySelectorAll('input, textarea, select')].find((element) => labelOf(element) === label) ?? null;
