import { describe, expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Setup } from '../setup/schema.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { search } from './search.ts';
import type { SearchRequest } from './searchRequest.ts';

const records = recordsOf([
  { id: 'a', title: 'Scarlet ink', kind: 'Ink', price: '4.00', stock: '2' },
  { id: 'b', title: 'Scarlet paper', kind: 'Paper', price: '3.00', stock: '0' },
  { id: 'c', title: 'Scarlet card', kind: 'Paper', price: '9.00', stock: '1' },
  { id: 'd', title: 'Ink pot', kind: 'Pot', price: '6.00', stock: '5' },
]);
const engine = openEngine(snapshotOf(records));
const plan = (change: Partial<ShelfPlan>): ShelfPlan => ({
  ...{ name: 'Scarlet', on: true, searches: ['scarlet', 'scarlet paper'], pins: [], pulls: [] },
  ...change,
});
function asked(
  plans: Record<string, ShelfPlan>,
  query: string,
  more: Partial<SearchRequest> = {},
  change: Partial<Setup> = {},
) {
  const setup = { ...initialSetup(engine.snapshot.attributes), plans, ...change };
  const request = { query, filters: {}, page: 1, limit: 9, marks: true, explain: true, ...more };
  return search(engine, prepareSetup(engine, setup, 0), request, (at) => records[at]!);
}
const order = (...given: Parameters<typeof asked>): string =>
  asked(...given)
    .results.map(({ id }) => id)
    .join('');
const pinned = (product: string, place = 1) => plan({ pins: [{ product, place }] });

describe('a plan', () => {
  test('orders its results, but for what is pinned, and says so', () => {
    const p = plan({ sort: { attribute: 'price', direction: 'high' }, pins: [{ product: 'b', place: 1 }] });
    const { results } = asked({ p }, 'scarlet');
    expect(results.map(({ id }) => id).join('')).toBe('bca');
    expect(results[1]!.why).toMatchObject({ sortedByPlan: { name: 'Scarlet' }, sorted: { label: 'Scarlet' } });
  });
  test('gives way to the order a shopper chooses', () => {
    const p = plan({ sort: { attribute: 'price', direction: 'high' } });
    const setup = initialSetup(engine.snapshot.attributes);
    const orders = [{ key: 'low', label: 'Cheapest', signals: [{ attribute: 'price', direction: 'low' as const }] }];
    const relevance = { ...setup.relevance, sorting: { orders } };
    expect(order({ p }, 'scarlet', { sort: 'low' }, { relevance })).toBe('bac');
  });
  test('takes words out and looks only where it says', () => {
    const scope = { match: 'all' as const, tests: [{ how: 'is' as const, attribute: 'kind', values: ['Paper'] }] };
    const p = plan({ wordsOut: ['Paper'], scope });
    const answer = asked({ p }, 'scarlet paper');
    expect(answer.results.map(({ id }) => id).sort()).toEqual(['b', 'c']);
    expect(answer.dropped).toEqual([]);
    expect(answer.scoped).toMatchObject({ wordsOut: ['Paper'], within: scope, name: 'Scarlet' });
  });
  test('that takes out every word shows all of its scope', () => {
    const scope = { match: 'all' as const, tests: [{ how: 'is' as const, attribute: 'kind', values: ['Pot'] }] };
    expect(order({ p: plan({ wordsOut: ['scarlet'], scope }) }, 'scarlet')).toBe('d');
  });
  test('holds only while shoppers have chosen what it says, and on the devices it names', () => {
    const first = { first: ['d'] };
    const chosen = plan({ ...first, whenChosen: [{ filter: 'kind', values: ['Ink', 'Pot'] }] });
    expect(order({ chosen }, 'scarlet')[0]).not.toBe('d');
    expect(asked({ chosen }, 'scarlet', { filters: { kind: ['Ink', 'Pot'] } }).results[0]!.id).toBe('d');
    const phones = plan({ ...first, devices: ['phone'] });
    expect(order({ phones }, 'scarlet', { device: 'phone' })[0]).toBe('d');
    expect(order({ phones }, 'scarlet', { device: 'desktop' })[0]).not.toBe('d');
    expect(order({ phones }, 'scarlet')[0]).not.toBe('d');
  });
  test('with more restrictions comes before its equal', () => {
    const plans = { a: pinned('a'), b: { ...pinned('c'), devices: ['phone'] as const } };
    const narrower = { ...plans, b: { ...plans.b, devices: [...plans.b.devices] } };
    expect(order(narrower, 'scarlet', { device: 'phone' }).slice(0, 2)).toBe('ca');
  });
  test('holds for what a search is corrected to at once, and says so; not for what is typed rightly', () => {
    const { results } = asked({ p: pinned('d') }, 'scarlte');
    expect(results[0]).toMatchObject({ id: 'd', why: { pin: { name: 'Scarlet', corrected: 'scarlet' } } });
    expect(asked({ p: pinned('d') }, 'scarlet').results[0]!.why!.pin).not.toHaveProperty('corrected');
    expect(order({ p: pinned('d') }, 'scarlte ink')).not.toBe(order({ p: pinned('d') }, 'scarlte'));
  });
  test('takes a corrected search for another one', () => {
    const p = plan({ treatAs: 'ink pot' });
    expect(asked({ p }, 'scarlte').results.map(({ id }) => id)).toEqual(['d']);
  });
  test('does not hold for a correction that the setup does not make at once', () => {
    const { relevance } = initialSetup(engine.snapshot.attributes);
    const spelling = { ...relevance.spelling, tolerance: false };
    expect(asked({ p: pinned('d') }, 'scarlte', {}, { relevance: { ...relevance, spelling } }).total).toBe(0);
  });
  test('shows other filters in its order, and keeps those in which something is chosen', () => {
    const own = (attribute: string, order: number) => ({
      ...{ attribute, label: attribute, kind: 'ticks' as const, order, counts: true, valueOrder: 'count' as const },
    });
    const filters = { kind: own('kind', 1), stock: own('availability', 2) };
    const p = plan({ filters: ['stock', 'gone', 'kind'] });
    const beside = (more: Partial<SearchRequest> = {}, plans: Record<string, ShelfPlan> = { p }) =>
      asked(plans, 'scarlet', more, { filters }).filters.map(({ key }) => key);
    expect(beside({}, {})).toEqual(['kind', 'stock']);
    expect(beside()).toEqual(['stock', 'kind']);
    const only = { p: plan({ filters: ['stock'] }) };
    expect(beside({}, only)).toEqual(['stock']);
    const chosen = asked(only, 'scarlet', { filters: { kind: ['Paper'] } }, { filters });
    expect(chosen.filters.map(({ key }) => key)).toEqual(['stock', 'kind']);
    expect([chosen.total, chosen.ignoredFilters]).toEqual([2, []]);
    expect(asked(only, 'scarlet', {}, { filters }).filtersNotShown).toContainEqual({
      key: 'kind',
      why: 'otherFilters',
    });
  });
});

describe('a pinned product that is not at its place is told with why', () => {
  const gaps = (...given: Parameters<typeof asked>) => asked(...given).gaps!.map(({ product, why }) => [product, why]);
  test('where it waits while it is sold out, and what comes next moves up', () => {
    const waiting = { p: { ...pinned('b'), pinsWait: true } };
    expect(order(waiting, 'scarlet')[0]).not.toBe('b');
    expect(asked(waiting, 'scarlet').gaps).toEqual([
      { product: 'b', title: 'Scarlet paper', place: 1, why: 'waits', plan: { id: 'p', name: 'Scarlet' } },
    ]);
    expect(order({ p: pinned('b') }, 'scarlet')[0]).toBe('b');
    expect(gaps({ p: pinned('b') }, 'scarlet')).toEqual([]);
  });
  test('where it is gone, hidden, filtered away or left out by the plan', () => {
    expect(gaps({ p: pinned('zz') }, 'scarlet')).toEqual([['zz', 'gone']]);
    const hiding = { h: { what: 'product' as const, product: 'a' } };
    expect(gaps({ p: pinned('a') }, 'scarlet', {}, { hiding })).toEqual([['a', 'hidden']]);
    expect(gaps({ p: { ...pinned('a'), hides: ['a'] } }, 'scarlet')).toEqual([['a', 'hidden']]);
    expect(gaps({ p: { ...pinned('a'), first: ['c'], only: true } }, 'scarlet')).toEqual([['a', 'notAmongOnly']]);
    const filters = { kind: ['Paper'] };
    expect(gaps({ p: pinned('a') }, 'scarlet', { filters })).toEqual([['a', 'filtered']]);
  });
  test('and to nobody but the desk', () =>
    expect(asked({ p: pinned('zz') }, 'scarlet', { marks: false }).gaps).toBeUndefined());
});
