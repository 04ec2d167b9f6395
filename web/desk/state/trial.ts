import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { unnamed } from '../../../api/paths.ts';
import { placeNow } from '../../client/place.ts';

const kept = 12;

/** The trial search in the top bar, which every screen previews, and the ones tried before it. */
interface TrialState {
  readonly query: string;
  readonly recent: readonly string[];
  /** Begins with some searches, where nothing was tried yet. */
  begin(searches: readonly string[]): void;
  search(query: string): void;
  forget(query: string): void;
}

const nameIn = (storefront: string): string =>
  storefront === unnamed ? 'clever-shelf.trial' : `clever-shelf.trial.${storefront}`;

export const isUntried = ({ query, recent }: Pick<TrialState, 'query' | 'recent'>): boolean =>
  query === '' && recent.length === 0;

export const useTrial = create<TrialState>()(
  persist(
    (set) => ({
      query: '',
      recent: [],
      begin: (searches) =>
        set((state) => (isUntried(state) ? { query: searches[0] ?? '', recent: [...searches] } : {})),
      search: (text) =>
        set(({ recent }) => {
          const query = text.trim().replace(/\s+/g, ' ');
          return {
            query,
            recent: query ? [query, ...recent.filter((each) => each !== query)].slice(0, kept) : recent,
          };
        }),
      forget: (query) => set(({ recent }) => ({ recent: recent.filter((each) => each !== query) })),
    }),
    {
      name: nameIn(placeNow().storefront),
      merge: (kept, current) => ({ ...current, query: '', recent: [], ...(kept as Partial<TrialState> | undefined) }),
    },
  ),
);

/** Goes on with what was tried in a storefront: what shoppers look for in one is not what they look for in another. */
export function recallTrial(storefront: string): void {
  useTrial.persist.setOptions({ name: nameIn(storefront) });
  void useTrial.persist.rehydrate();
}
