import type { Environment } from 'downshift';

/**
 * The window as parts see it that stand in a root of their own: what is hit there, and what has the focus there, are told
 * to the page as that root's host. Nothing where the part stands in the page itself.
 */
export function environmentIn(within: Element | undefined): { readonly environment?: Environment } {
  const root = within?.getRootNode();
  if (!(root instanceof ShadowRoot)) return {};
  const heard = new Map<unknown, (event: Event) => void>();
  const environment = {
    document: root,
    Node: window.Node,
    addEventListener(kind: string, hear: (event: { target: EventTarget | null }) => void) {
      const outside = (event: Event): void => hear({ target: event.composedPath()[0] ?? event.target });
      heard.set(hear, outside);
      window.addEventListener(kind, outside);
    },
    removeEventListener(kind: string, hear: unknown) {
      const outside = heard.get(hear);
      if (outside) window.removeEventListener(kind, outside);
    },
  };
  return { environment: environment as unknown as Environment };
}
