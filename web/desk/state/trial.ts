import { create } from 'zustand';
import { persist } from 'zustand/middleware';

const kept = 12;

/** The trial search in the top bar, which every screen previews, and the ones tried before it. */
interface TrialState {
  readonly query: string;
  readonly recent: readonly string[];
  search(query: string): void;
  forget(query: string): void;
}

export const useTrial = create<TrialState>()(
  persist(
    (set) => ({
      query: 'ultramarine',
      recent: ['ultramarine', 'round brush', 'watercolour paper'],
      search: (text) =>
        set(({ recent }) => {
          const query = text.trim().replace(/\s+/g, ' ');
          return { query, recent: query ? [query, ...recent.filter((each) => each !== query)].slice(0, kept) : recent };
        }),
      forget: (query) => set(({ recent }) => ({ recent: recent.filter((each) => each !== query) })),
    }),
    { name: 'clever-shelf.trial' },
  ),
);
