import { createContext, useContext } from 'react';

/** What is around parts of the shop: a page of ours, or of another site, in which they stand in a root of their own. */
export interface Around {
  /** Where what opens over the page is put; absent: the page's body. */
  readonly container?: HTMLElement;
  /** Whose width is the room there is; absent: the window's, or that of the part's own place. */
  readonly room?: Element;
  /** Whether the page has a main part and a heading of its own. */
  readonly isEmbedded: boolean;
}

const AroundContext = createContext<Around>({ isEmbedded: false });
export const AroundIn = AroundContext.Provider;
export const useAround = (): Around => useContext(AroundContext);
