import { describe, expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import type { HouseRule } from '../setup/parts/houseRules.ts';
import type { Place } from '../setup/terms/placeTerms.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { rulesInForce } from './houseRulesInForce.ts';
import { boostColumn, standingAt } from './standing.ts';

const snapshot = snapshotOf(
  recordsOf([
    { id: 'a1', family: 'a', title: 'Ink', brand: 'Osier', boost: '2' },
    { id: 'b1', family: 'b', title: 'Pen', brand: 'Osier', colour: 'Red' },
    { id: 'b2', family: 'b', title: 'Pen', brand: 'Osier', colour: 'Blue' },
    { id: 'c1', family: 'c', title: 'Nib', boost: '900' },
    { id: 'd1', family: 'd', title: 'Paper', brand: 'Harrow' },
  ]),
);
const when = { now: 0, today: 0, timeZone: undefined };
const boosts = (attribute: string, value: string, pull: number, change: Partial<HouseRule> = {}): HouseRule => ({
  name: `${value} first`,
  on: true,
  condition: { match: 'all', tests: [{ how: 'is', attribute, values: [value] }] },
  does: { what: 'pull', pull },
  ...change,
});
function standing(houseRules: Record<string, HouseRule>, place: Place = 'results', own = snapshot) {
  const rules = rulesInForce(own, { ...initialSetup(own.attributes), houseRules }, when);
  return standingAt({ snapshot: own, boosts: boostColumn(own) }, rules, [place])[place];
}
const factor = (of: ReturnType<typeof standing>, id: string) => of?.factors[snapshot.findFamily(id)];

describe('what stands in every search', () => {
  test('is a product’s own boost, as far as a plan’s would go', () => {
    const own = standing({});
    expect(['a', 'b', 'c'].map((id) => factor(own, id))).toEqual([2, 1, 10]);
    expect(own!.effectsOn(snapshot.findFamily('b'))).toEqual([]);
  });
  test('multiplies with house rules, each told with its source', () => {
    const own = standing({ osier: boosts('brand', 'Osier', 1.5), red: boosts('colour', 'red', 0.5) });
    expect(['a', 'b', 'd'].map((id) => factor(own, id))).toEqual([3, 0.75, 1]);
    expect(own!.effectsOn(snapshot.findFamily('a')).map((effect) => [effect.source, effect.factor])).toEqual([
      [{ kind: 'boost' }, 2],
      [{ kind: 'rule', id: 'osier', name: 'Osier first' }, 1.5],
    ]);
  });
  test('is for a product where one of its variants meets the rule, once', () =>
    expect(factor(standing({ any: boosts('brand', 'osier', 3) }), 'b')).toBe(3));
  test('holds only at its places', () => {
    const only = { x: boosts('brand', 'Harrow', 2, { places: ['box'] }) };
    expect([factor(standing(only), 'd'), factor(standing(only, 'box'), 'd')]).toEqual([1, 2]);
  });
});

test('a shop with neither boosts nor rules pays nothing', () => {
  const plain = snapshotOf(recordsOf([{ id: 'a', title: 'Ink' }]));
  expect(standing({}, 'results', plain)).toBeNull();
  expect(standing({ off: boosts('title', 'Ink', 2, { on: false }) }, 'results', plain)).toBeNull();
});
