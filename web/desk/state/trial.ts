import { create } from 'zustand';
import { persist } from 'zustand/middleware';

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
    { name: 'clever-shelf.trial' },
  ),
);
