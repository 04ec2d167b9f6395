import { describe, expect, test } from '@jest/globals';
import { openEngine } from '../search/prepareSetup.ts';
import type { TieBreaker } from '../setup/parts/relevance/tieBreakers.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { bindSignals, marginOf, newness, pulledRating } from './signals.ts';

const rows: Record<string, string>[] = [
  {
    id: 'a1',
    family: 'a',
    title: 'A',
    price: '4',
    cost: '1',
    stock: '2',
    rating: '5',
    ratings: '1',
    date_added: '2026-09-01',
  },
  {
    id: 'a2',
    family: 'a',
    title: 'A',
    price: '9',
    cost: '3',
    stock: '0',
    rating: '5',
    ratings: '1',
    date_added: '2026-09-01',
  },
  { id: 'b1', family: 'b', title: 'B', price: '6', stock: '9', rating: '4.5', ratings: '99', date_added: '2026-06-03' },
  { id: 'c1', family: 'c', title: 'C', price: '2', cost: '2', units_sold: '3' },
];
const engine = openEngine(snapshotOf(recordsOf(rows)));
/** 1 September 2026. */
const today = Date.UTC(2026, 8, 1) / 86_400_000;
const bind = (signal: TieBreaker) => bindSignals(engine, [signal], today)[0]!;

describe('a signal', () => {
  test('of availability is the product’s, as the card tells it: in stock where any variant is', () =>
    expect([...bind({ attribute: 'availability', direction: 'high' }).values]).toEqual([1, 1, 1]));
  test('of price is the variant’s that is shown, so that the order is the one on the cards', () => {
    const price = bind({ attribute: 'price', direction: 'low' });
    expect([price.byRecord, ...price.values]).toEqual([true, 4, 9, 6, 2]);
  });
  test('of any other amount is the product’s', () => {
    const stock = bind({ attribute: 'stock', direction: 'high' });
    expect([stock.byRecord, ...stock.values]).toEqual([false, 2, 9, Number.NaN]);
  });
  test('with a rating pulled to the mean, one happy shopper does not beat a hundred content ones', () => {
    const { values } = bind({ attribute: 'rating', direction: 'high', pulledBy: 10 });
    expect(values[0]).toBeLessThan(4.6);
    expect(values[1]).toBeGreaterThan(4.5);
    // Nobody rated the third: it is rated the mean, (5 × 1 + 4.5 × 99) / 100.
    expect(values[2]).toBeCloseTo(4.505, 10);
    expect(pulledRating(5, 1, 4, 0)).toBe(5);
    expect(pulledRating(Number.NaN, 0, 4, 0)).toBe(4);
  });
  test('of newness halves with every half-life and counts in whole percent, so that near dates tie', () => {
    expect([0, 90, 180, 3650].map((days) => newness(days, 90))).toEqual([100, 50, 25, 0]);
    expect(newness(1, 90)).toBe(newness(1.4, 90));
    expect(newness(-5, 90)).toBe(100);
    expect([...bind({ attribute: 'date_added', direction: 'high', halfLife: 90 }).values]).toEqual([
      100,
      50,
      Number.NaN,
    ]);
  });
  test('of margin is worked out from price and cost, where both are known', () => {
    expect([...bind({ attribute: 'margin', direction: 'high' }).values]).toEqual([0.75, 6 / 9, Number.NaN, 0]);
    expect(marginOf(0, 1)).toBeNaN();
  });
  test('of enough stock tells only that; what is unknown is enough', () => {
    expect([...bind({ attribute: 'stock', direction: 'high', lowBelow: 3 }).values]).toEqual([0, 0, 1, 1]);
  });
  test('puts what has no value last, in either direction', () => {
    for (const direction of ['high', 'low'] as const)
      expect(bind({ attribute: 'stock', direction }).keys[2]).toBe(Number.POSITIVE_INFINITY);
  });
  test('of an attribute that is gone is left out', () => {
    expect(bindSignals(engine, [{ attribute: 'gone', direction: 'high' }], today)).toEqual([]);
  });
});
