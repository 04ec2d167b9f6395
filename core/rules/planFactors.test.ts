import { expect, test } from '@jest/globals';
import { onDay } from '../conditions/asked.ts';
import type { Condition } from '../setup/terms/condition.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import type { Effect, Source } from './effects.ts';
import { planFactors } from './planFactors.ts';

const snapshot = snapshotOf(
  recordsOf([
    { id: 'a1', family: 'a', title: 'Brush', brand: 'Osier' },
    { id: 'b1', family: 'b', title: 'Ink', brand: 'Osier' },
    { id: 'c1', family: 'c', title: 'Pen', brand: 'Harrow' },
  ]),
);
const osier: Condition = { match: 'all', tests: [{ how: 'is', attribute: 'brand', values: ['osier'] }] };
const source = (id: string): Source => ({ kind: 'plan', id, name: id, how: 'exactly' });
const named = (product: string, factor: number, id = 'p'): Effect => ({
  ...{ what: 'factor', product, factor },
  source: source(id),
});
const byCondition = (factor: number, but: string[], id = 'p'): Effect => ({
  ...{ what: 'conditionFactor', condition: osier, factor, but: new Set(but) },
  source: source(id),
});
const of = (effects: Effect[], product: string) => {
  const factors = planFactors(snapshot, effects, onDay(0));
  const family = snapshot.findFamily(product);
  return { factors: factors.on(family).map(({ factor }) => factor), times: factors.times(family, 2) };
};

test('inside one plan a product named by itself goes by its own strength, across plans all multiply', () => {
  const effects = [named('a', 3), byCondition(5, ['a']), byCondition(0.5, [], 'q'), named('b', 4, 'q')];
  expect(of(effects, 'a')).toEqual({ factors: [3, 0.5], times: 3 });
  expect(of(effects, 'b')).toEqual({ factors: [5, 0.5, 4], times: 20 });
  expect(of(effects, 'c')).toEqual({ factors: [], times: 2 });
});

test('many products at once are multiplied as each by itself is', () => {
  const effects = [named('a', 3), byCondition(5, ['a']), byCondition(0.5, [], 'q'), named('gone', 9)];
  const factors = planFactors(snapshot, effects, onDay(0));
  const families = Uint32Array.from(['a', 'b', 'c'].map(snapshot.findFamily)).sort();
  const into = new Float64Array(3).fill(2);
  factors.multiply(into, families);
  expect([...into]).toEqual([...families].map((family) => factors.times(family, 2)));
  expect(planFactors(snapshot, [], onDay(0))).toMatchObject({ isNone: true });
});
