import type { Card } from '../../core/answer/answer.ts';
import { cardOf } from '../../core/answer/card.ts';
import { pictureOf } from '../../core/catalog/picture.ts';
import { availability } from '../../core/catalog/standardColumns.ts';
import type { Ready } from '../searching/workbench.ts';

/** Cards of products by id as the desk lists them; one that is gone is left out. */
export function cardsOf({ view, setup }: Ready, ids: readonly string[]): Card[] {
  return ids.flatMap((id) => {
    const family = view.snapshot.findFamily(id);
    if (family < 0) return [];
    const [from, to] = view.snapshot.recordsOf(family);
    const records = Array.from({ length: to - from }, (_, at) => view.record(from + at));
    const isInStock = records.some(({ values }) => values[availability.key] !== availability.soldOut);
    // At the desk products are recognised by their pictures, whatever cards in the shop show.
    const card = cardOf(records[0]!, { variants: records.length, isInStock }, setup.setup);
    return [{ ...card, picture: pictureOf(records[0]!) }];
  });
}
