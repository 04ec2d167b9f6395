import { describe, expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import type { HouseRule } from '../setup/parts/houseRules.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Setup } from '../setup/schema.ts';
import { type RuleFigures, type RuleUse, reviewRules } from './reviewRules.ts';

const begun = initialSetup([]);
const when = { now: Date.parse('2026-12-01T12:00Z'), today: 20_788, timeZone: undefined };
const plan = (change: Partial<ShelfPlan>): ShelfPlan => ({
  ...{ name: 'Plan', on: true, searches: ['ink'], pins: [{ product: 'a', place: 1 }], pulls: [] },
  ...change,
});
const rule = (pull: number, change: Partial<HouseRule> = {}): HouseRule => ({
  ...{ name: 'Rule', on: true, does: { what: 'pull', pull } },
  condition: { match: 'all', tests: [{ how: 'is', attribute: 'brand', values: ['Osier'] }] },
  ...change,
});
const review = (change: Partial<Setup>, figures: RuleFigures = { rules: [], hidings: [] }) =>
  reviewRules({ ...begun, ...change }, figures, when).map(({ key, reason }) => `${key} ${reason.code}`);

describe('by what shoppers did', () => {
  const use = (plans: Partial<RuleUse['plans'][number]>, rules: RuleUse['rules'] = []): RuleUse => ({
    ...{ searches: 500, rules, plans: [{ id: 'a', times: 10, isIdle: false, against: [], ...plans }] },
  });
  const told = (used: RuleUse, change: Partial<ShelfPlan> = {}) =>
    reviewRules(
      { ...begun, plans: { a: plan(change) }, houseRules: { r: rule(0.5) } },
      { rules: [], hidings: [] },
      when,
      used,
    ).map(({ key, reason }) => `${key} ${reason.code}`);
  test('a plan that no search triggers, or that changes nothing', () => {
    expect(told(use({}))).toEqual([]);
    expect(told(use({ times: 0 }))).toEqual(['a neverTriggers']);
    expect(told(use({ isIdle: true }))).toEqual(['a changesNothing']);
    expect(told(use({ times: 0, isIdle: null }), { collections: ['inks'] })).toEqual([]);
    expect(told(use({ times: 0 }), { from: '2027-01-01' })).toEqual([]);
    expect(told({ ...use({ times: 0 }), searches: 0 })).toEqual([]);
  });
  test('what works against what they buy, where enough was bought to tell', () => {
    const against = (bought: number, of: number) => use({ against: [{ product: 'b', bought, of }] });
    expect(told(against(8, 40))).toEqual(['a againstBuying']);
    expect(told(against(4, 4))).toEqual([]);
    expect(told(against(8, 400))).toEqual([]);
    expect(told(use({}, [{ id: 'r', bought: 60, of: 300 }]))).toEqual(['r againstBuying']);
  });
});

describe('what is to be looked at', () => {
  test('is nothing where all is well', () =>
    expect(review({ plans: { a: plan({}) }, houseRules: { r: rule(1.5) } })).toEqual([]));
  test('plans of one search that want a place for two products, however it is written', () => {
    const other = plan({ searches: ['INK'], pins: [{ product: 'b', place: 1 }] });
    expect(review({ plans: { a: plan({}), b: other } })).toEqual(['b samePlace']);
    expect(review({ plans: { a: plan({}), b: { ...other, on: false } } })).toEqual([]);
    expect(review({ plans: { a: plan({}), b: { ...other, how: 'containing' } } })).toEqual([]);
    expect(review({ plans: { a: plan({}), b: plan({}) } })).toEqual([]);
  });
  test('plans that never get their say, since a higher one for the same search has it', () => {
    const sent = (change: object = {}) => plan({ pins: [], redirect: '/help', ...change });
    expect(review({ plans: { a: sent(), b: sent() } })).toEqual(['b outdone']);
    expect(review({ plans: { a: sent(), b: sent({ rank: -1 }) } })).toEqual(['a outdone']);
    expect(review({ plans: { a: sent(), b: sent({ devices: ['phone'] }) } })).toEqual([]);
    expect(review({ plans: { a: sent(), b: sent({ how: 'containing' }) } })).toEqual([]);
    expect(review({ plans: { a: sent({ on: false }), b: sent() } })).toEqual([]);
  });
  test('what a plan shows and a hiding hides from results', () => {
    const hide = (change: object) => ({ 'product:a': { what: 'product' as const, product: 'a', ...change } });
    expect(review({ plans: { a: plan({}) }, hiding: hide({}) })).toEqual(['a hiddenAnyway']);
    expect(review({ plans: { a: plan({}) }, hiding: hide({ places: ['box'] }) })).toEqual([]);
    expect(review({ plans: { a: plan({}) }, hiding: hide({ from: '2027-01-01' }) })).toEqual([]);
  });
  test('house rules that take each other back', () => {
    expect(review({ houseRules: { r: rule(2), s: rule(0.5) } })).toEqual(['s cancelOut']);
    expect(review({ houseRules: { r: rule(2), s: rule(0.5, { places: ['box'] }) } })).toEqual([]);
    expect(review({ houseRules: { r: rule(2), s: rule(0.8) } })).toEqual([]);
  });
  test('rules that nothing meets, or whose attribute is gone', () => {
    const rules = [
      { id: 'r', products: 0, missing: [] },
      { id: 's', products: 0, missing: ['mood'] },
      { id: 'off', products: 0, missing: [] },
    ];
    const houseRules = { r: rule(2), s: rule(3), off: rule(2, { on: false }) };
    expect(review({ houseRules }, { rules, hidings: [{ key: 'tag:x', products: 0 }] })).toEqual([
      ...['r meetsNothing', 's attributeGone', 'tag:x meetsNothing'],
    ]);
  });
  test('what is over, and what was to be looked at by now, also where it is switched off', () => {
    expect(
      review({
        plans: {
          a: plan({ until: '2026-11-30', lookAgain: '2026-12-01' }),
          b: plan({ searches: ['pen'], lookAgain: '2026-12-02' }),
        },
        houseRules: { r: rule(2, { on: false, until: '2026-01-01', lookAgain: '2026-06-01' }) },
      }),
    ).toEqual(['a over', 'a lookAgain', 'r lookAgain']);
  });
});
