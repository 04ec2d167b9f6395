import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** Groups of the navigation that this browser's person keeps folded. */
interface FoldedGroups {
  readonly folded: readonly string[];
  fold(group: string, isFolded: boolean): void;
}

export const useFoldedGroups = create<FoldedGroups>()(
  persist(
    (set) => ({
      folded: [],
      fold: (group, isFolded) =>
        set(({ folded }) => ({ folded: [...folded.filter((each) => each !== group), ...(isFolded ? [group] : [])] })),
    }),
    { name: 'clever-shelf.navigation' },
  ),
);
