import type { Marks } from '../../core/answer/answer.ts';
import type { ProductAct } from '../bridge/messages.ts';

/** Where a product stands: in a search, on a collection's page, or among everything, for which there are no plans. */
export type ShelfAt = 'search' | 'collection' | 'everything';

/** Keys that do something to the product whose label has the focus, as a menu shows them. */
export const shelfKeys = {
  choose: 'X',
  why: 'W',
  pin: 'P',
  boost: '+',
  lower: '−',
  neutral: '0',
  hide: 'H',
} as const;

/** All of them as the browser is told. */
export const shelfShortcuts = 'x w p + - 0 h Delete';

/** What a key does to a product at a place; null where it does nothing there. */
export function actOfKey(
  key: string,
  { at, place, marks }: { readonly at: ShelfAt; readonly place: number; readonly marks: Marks },
): ProductAct | 'choose' | null {
  switch (key.toLowerCase()) {
    case 'x':
      return 'choose';
    case 'w':
      return { act: 'why' };
    case 'h':
    case 'delete':
      return { act: 'hide' };
  }
  if (at === 'everything') return null;
  switch (key.toLowerCase()) {
    case 'p':
      return marks.pin ? { act: 'unpin' } : { act: 'pin', place };
    case '+':
    case '=':
      return { act: 'boost' };
    case '-':
      return { act: 'lower' };
    case '0':
      return marks.pull === undefined ? null : { act: 'neutral' };
    default:
      return null;
  }
}
