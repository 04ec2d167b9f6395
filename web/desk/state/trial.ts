import { create } from 'zustand';
import { persist } from 'zustand/middleware';

const kept = 12;

/** The trial search in the top bar, which every screen previews, and the ones tried before it. */
interface TrialState {
  readonly query: string;
  readonly recent: readonly string[];
  /** Whether nothing was tried here yet. */
  readonly isUntried: boolean;
  /** Begins with some searches, unless one was tried meanwhile. */
  begin(searches: readonly string[]): void;
  search(query: string): void;
  forget(query: string): void;
}

export const useTrial = create<TrialState>()(
  persist(
    (set) => ({
      query: '',
      recent: [],
      isUntried: true,
      begin: (searches) =>
        set(({ isUntried }) =>
          isUntried ? { isUntried: false, query: searches[0] ?? '', recent: [...searches] } : {},
        ),
      search: (text) =>
        set(({ recent }) => {
          const query = text.trim().replace(/\s+/g, ' ');
          return {
            query,
            isUntried: false,
            recent: query ? [query, ...recent.filter((each) => each !== query)].slice(0, kept) : recent,
          };
        }),
      forget: (query) => set(({ recent }) => ({ recent: recent.filter((each) => each !== query) })),
    }),
    { name: 'clever-shelf.trial' },
  ),
);
