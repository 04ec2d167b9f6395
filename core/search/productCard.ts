import type { Card } from '../answer/answer.ts';
import { badgesOn } from '../answer/badgesOn.ts';
import { cardOf } from '../answer/card.ts';
import { isIn } from '../conditions/recordSet.ts';
import type { Language } from '../text/languages.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import type { RecordReader } from './recordReader.ts';
import { shopperLanguage } from './shopperLanguage.ts';
import { type BadgeMaker, variantChoices } from './variantChoices.ts';

/** Makes the card of a record, the first of its own whose condition it meets, with the badges whose conditions it meets. */
export type CardMaker = (record: number) => Card;

/** For whom cards are made, and where they stand. */
export interface CardMakerOptions {
  readonly readRecord: RecordReader;
  /** The language the shopper chose; undefined where none was. */
  readonly chosen: Language | undefined;
  /** What must not show where the cards stand; null where nothing is hidden there. */
  readonly hidden: Uint8Array | null;
}

/** How cards are made for a shopper who reads the shop in a language. Cost of a card: its record is read. */
export function cardMaker(
  engine: Engine,
  prepared: PreparedSetup,
  { readRecord, chosen, hidden }: CardMakerOptions,
): CardMaker {
  const { setup } = prepared;
  const language = shopperLanguage(engine, setup, chosen);
  const { most } = setup.badges.shown;
  const badgesOf: BadgeMaker = (number, record) => {
    const met = prepared.badges().flatMap(({ badge, met }) => (isIn(met, number) ? [badge] : []));
    return badgesOn(record, met, { language, most });
  };
  return (number) => {
    const { recordFamily, recordsOf } = engine.snapshot;
    const family = recordFamily[number]!;
    const [from, to] = recordsOf(family);
    const record = readRecord(number);
    const own = prepared.ownCards().find(({ met }) => isIn(met, number))?.own;
    const arrangement = own?.card ?? setup.resultsPage.card;
    const choices = arrangement.pieces.some(({ piece, on }) => piece === 'variants' && on)
      ? variantChoices(engine, prepared, number, { readRecord, badgesOf, language, hidden, arrangement })
      : undefined;
    return {
      ...cardOf(record, { variants: to - from, isInStock: engine.familyInStock[family] === 1 }, setup, arrangement),
      ...(choices && { choices }),
      badges: badgesOf(number, record),
      ...(own && { ownCard: own.key }),
    };
  };
}
