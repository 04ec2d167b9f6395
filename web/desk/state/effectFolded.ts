import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** Whether the strip that says the effect of the draft shows its first line only. */
interface EffectFolded {
  readonly isFolded: boolean;
  fold(isFolded: boolean): void;
}

export const useEffectFolded = create<EffectFolded>()(
  persist((set) => ({ isFolded: false, fold: (isFolded) => set({ isFolded }) }), { name: 'clever-shelf.effect' }),
);
