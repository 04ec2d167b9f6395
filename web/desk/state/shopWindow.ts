import { create } from 'zustand';
import type { ShopPage } from '../../bridge/messages.ts';

/** What the shop window shows and how: one concern, kept apart from the draft. */
interface ShopWindowState {
  /** Grows with every change that may show in the window. */
  readonly turn: number;
  /** Another setup of the storefront to show, by its name; null for the draft one works in. */
  readonly other: string | null;
  /** The moment it is seen as of, on the storefront's clock; empty for now. */
  readonly at: string;
  readonly device: Device;
  /** Whether it is seen light or dark; null: as the desk is. */
  readonly theme: 'light' | 'dark' | null;
  /** Products found by the search the window shows last, or null before it told. */
  readonly total: number | null;
  readonly isFolded: boolean;
  /** Where there is no room beside the editor: whether it stands in the editor's place. */
  readonly isInstead: boolean;
  /** Whether the present screen has asked for the window's room. */
  readonly yieldsRoom: boolean;
  /** Whether the present screen is mostly table; null before it said. */
  readonly isBesideTable: boolean | null;
  /** What is shown in place of the trial search; null for the search. */
  readonly page: ShopPage | null;
  /** What the search box is held open with; null where it is not. */
  readonly box: string | null;
  openBox(box: string | null): void;
  /** Shows a page of the shop's, or the search again. */
  visit(page: Omit<ShopPage, 'asked'> | null): void;
  yieldRoom(yieldsRoom: boolean): void;
  standBesideTable(isBesideTable: boolean): void;
  refresh(): void;
  show(other: string | null): void;
  seeAsOf(at: string): void;
  setDevice(device: Device): void;
  setTheme(theme: 'light' | 'dark'): void;
  setTotal(total: number): void;
  fold(isFolded: boolean): void;
  /** Where it stands in the editor's place, the editor is there again. */
  showEditor(): void;
}

export const devices = {
  fit: { label: 'As wide as here', width: null },
  phone: { label: 'Phone', width: 390 },
  tablet: { label: 'Tablet', width: 820 },
  desktop: { label: 'Desktop', width: 1240 },
  both: { label: 'Desktop and phone', width: null },
} as const;
export type Device = keyof typeof devices;

export const useShopWindow = create<ShopWindowState>((set) => ({
  turn: 0,
  other: null,
  at: '',
  device: 'fit',
  theme: null,
  total: null,
  isFolded: false,
  isInstead: false,
  yieldsRoom: false,
  isBesideTable: null,
  page: null,
  box: null,
  openBox: (box) => set({ box }),
  visit: (page) => set((state) => ({ page: page && { ...page, asked: (state.page?.asked ?? 0) + 1 } })),
  yieldRoom: (yieldsRoom) => set({ yieldsRoom }),
  standBesideTable: (isBesideTable) => set({ isBesideTable }),
  refresh: () => set(({ turn }) => ({ turn: turn + 1 })),
  show: (other) => set({ other }),
  seeAsOf: (at) => set({ at }),
  setDevice: (device) => set({ device }),
  setTheme: (theme) => set({ theme }),
  setTotal: (total) => set({ total }),
  fold: (isFolded) => set({ isFolded, isInstead: !isFolded, ...(!isFolded && { yieldsRoom: false }) }),
  showEditor: () => set({ isInstead: false }),
}));
