import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { unnamed } from '../../../api/paths.ts';
import { placeNow } from '../../client/place.ts';

const kept = 12;

/** The trial search in the top bar, which every screen previews, and the ones tried before it. */
interface TrialState {
  readonly query: string;
  /** The collection it is made in, by id; empty for the whole shop. Without a search it is the collection's own page. */
  readonly collection: string;
  readonly recent: readonly string[];
  /** Whether it was asked which searches shoppers make most: where none was tried, there is none then. */
  readonly isBegun: boolean;
  /** Begins with some searches, where nothing was tried yet. */
  begin(searches: readonly string[]): void;
  search(query: string, collection?: string): void;
  forget(query: string): void;
}

const nameIn = (storefront: string): string =>
  storefront === unnamed ? 'clever-shelf.trial' : `clever-shelf.trial.${storefront}`;

export const isUntried = ({
  query,
  collection,
  recent,
}: Pick<TrialState, 'query' | 'collection' | 'recent'>): boolean =>
  query === '' && collection === '' && recent.length === 0;

export const useTrial = create<TrialState>()(
  persist(
    (set) => ({
      query: '',
      collection: '',
      recent: [],
      isBegun: false,
      begin: (searches) =>
        set((state) => ({
          isBegun: true,
          ...(isUntried(state) && { query: searches[0] ?? '', recent: [...searches] }),
        })),
      search: (text, collection = '') =>
        set(({ recent }) => {
          const query = text.trim().replace(/\s+/g, ' ');
          return {
            query,
            collection,
            recent: query ? [query, ...recent.filter((each) => each !== query)].slice(0, kept) : recent,
          };
        }),
      forget: (query) => set(({ recent }) => ({ recent: recent.filter((each) => each !== query) })),
    }),
    {
      name: nameIn(placeNow().storefront),
      // A collection is looked at while its screen is open, and forgotten with the page.
      partialize: ({ query, recent }) => ({ query, recent }),
      merge: (kept, current) => ({
        ...current,
        query: '',
        collection: '',
        recent: [],
        isBegun: false,
        ...(kept as Partial<TrialState> | undefined),
      }),
    },
  ),
);

/** Whether there is a trial search to show, be it the one for everything, so that none comes over what someone begins to type. */
export const useIsToldTrial = (): boolean => useTrial((state) => state.isBegun || !isUntried(state));

/** Goes on with what was tried in a storefront: what shoppers look for in one is not what they look for in another. */
export function recallTrial(storefront: string): void {
  useTrial.persist.setOptions({ name: nameIn(storefront) });
  void useTrial.persist.rehydrate();
}
