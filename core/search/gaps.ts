import type { Gap } from '../answer/answer.ts';
import { isHidden } from '../index/recordMask.ts';
import type { Snapshot } from '../index/snapshot.ts';
import type { PinEffect } from '../rules/effects.ts';
import { pinsAmong } from '../rules/resolve.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import type { Ranking } from './rank.ts';
import type { Scope } from './scope.ts';

/** A pin whose product is not at its place, and why. */
export interface MissingPin {
  readonly pin: PinEffect;
  readonly why: Gap['why'];
}

const isAnyRecord = (snapshot: Snapshot, family: number, passes: (record: number) => boolean): boolean => {
  const [from, to] = snapshot.recordsOf(family);
  for (let record = from; record < to; record++) if (passes(record)) return true;
  return false;
};

/**
 * The pins of a ranking that show nothing, by place: of products that wait, are hidden, not in the collection, filtered
 * away or gone. None where the shopper sorted, since no pin holds then. Cost: a look at the records of each such product.
 */
export function missingPins(
  engine: Engine,
  prepared: PreparedSetup,
  ranking: Pick<Ranking, 'effects' | 'waiting' | 'pins' | 'sorted' | 'place'>,
  scope: Scope | null,
): MissingPin[] {
  if (ranking.sorted) return [];
  const { snapshot, familyInStock } = engine;
  const { place } = ranking;
  const shown = new Set(ranking.pins.map(({ pin }) => pin));
  const only = ranking.effects.find((effect) => effect.what === 'only');
  const hides = ranking.effects.filter((effect) => effect.what === 'hide');
  const { hidden } = prepared.at[place];
  const soldOutHidden = prepared.setup.relevance.soldOut[place] === 'notAtAll';
  const whyOf = ({ product }: PinEffect): Gap['why'] => {
    const family = snapshot.findFamily(product);
    if (family < 0) return 'gone';
    if (soldOutHidden && familyInStock[family] === 0) return 'soldOut';
    if (!isAnyRecord(snapshot, family, (record) => !isHidden(hidden, record))) return 'hidden';
    if (hides.some(({ of }) => 'product' in of && of.product === product)) return 'hidden';
    if (only && !only.products.includes(product)) return 'notAmongOnly';
    if (scope && !isAnyRecord(snapshot, family, (record) => scope.contains(record))) return 'elsewhere';
    return 'filtered';
  };
  const missing: MissingPin[] = [
    ...ranking.waiting.map((pin) => ({ pin, why: 'waits' as const })),
    ...pinsAmong(ranking.effects)
      .filter((pin) => !shown.has(pin))
      .map((pin) => ({ pin, why: whyOf(pin) })),
  ];
  return missing.sort((a, b) => a.pin.place - b.pin.place);
}
