export interface SearchMade {
  readonly search: string;
  readonly searches: number;
  readonly foundNothing: number;
  readonly clicked: number;
  readonly clickPlace: number | null;
}

export const searchOrders = {
  often: 'most frequent first',
  nothing: 'most often without a result',
  ignored: 'least clicked',
  words: 'by their words',
} as const;
export type SearchOrder = keyof typeof searchOrders;

/** Searches made seldom say little of how many clicks they get. */
const enough = 5;
const clickedShare = ({ clicked, searches }: SearchMade): number => (searches < enough ? 2 : clicked / searches);

/** Searches that have a text in them, in an order; equal ones stay as they come, most frequent first. */
export function listSearches(all: readonly SearchMade[], contains: string, order: SearchOrder): SearchMade[] {
  const sought = contains.trim().toLowerCase();
  const found = all.filter(
    ({ search, foundNothing }) => search.includes(sought) && (order !== 'nothing' || foundNothing > 0),
  );
  switch (order) {
    case 'often':
      return found;
    case 'nothing':
      return found.sort((a, b) => b.foundNothing - a.foundNothing);
    case 'ignored':
      return found.sort((a, b) => clickedShare(a) - clickedShare(b));
    case 'words':
      return found.sort((a, b) => a.search.localeCompare(b.search));
  }
}
