import { type CSSProperties, createContext, useContext } from 'react';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { usualCard } from '../../core/setup/terms/cardTerms.ts';
import { usualLayout, usuallyApart } from '../../core/setup/terms/layoutTerms.ts';

type Layout = SearchAnswer['layout'];
const LayoutContext = createContext<Layout>(usualLayout);
export const LayoutIn = LayoutContext.Provider;
/** How products stand in the shop that is shown. */
export const useLayout = (): Layout => useContext(LayoutContext);

type Arrangement = SearchAnswer['arrangement'];
export const usualArrangement: Arrangement = { ...usualCard, pieces: [...usualCard.pieces] };
const CardContext = createContext(usualArrangement);
export const CardIn = CardContext.Provider;
const OwnCardsContext = createContext<SearchAnswer['ownCards']>([]);
export const OwnCardsIn = OwnCardsContext.Provider;
/** The card of its own that a product has; null where it has the usual one. */
export const useOwnCard = (key: string | undefined): Arrangement | null => {
  const own = useContext(OwnCardsContext);
  return own.find((each) => each.key === key)?.card ?? null;
};

/** What a card is made of in the shop that is shown. */
export const useArrangement = (): Arrangement => useContext(CardContext);

/** What a list of products needs to stand as the layout says, by the room that it has; within a `shelf-room`. */
export function useShelfGrid(): { readonly className: string; readonly style: CSSProperties } {
  const { shape, inRow, apart = usuallyApart } = useLayout();
  const one = shape === 'grid' ? inRow : { narrow: 1, middle: 1, wide: 1 };
  const room = { '--shelf-pad': `${apart / 2}px` };
  const style = { '--narrow': one.narrow, '--middle': one.middle, '--wide': one.wide, ...room } as CSSProperties;
  return { className: 'shelf-grid shelf-out', style };
}
