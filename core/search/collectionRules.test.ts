import { describe, expect, test } from '@jest/globals';
import { importedCollection } from '../content/content.ts';
import { decidedContent } from '../content/decidedContent.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { HouseRule } from '../setup/parts/houseRules.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { openContent, prepareContent } from './contentEngine.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { search } from './search.ts';

const records = recordsOf([
  { id: 'a', title: 'Ink', kind: 'Ink', brand: 'Osier', price: '4.00' },
  { id: 'b', title: 'Pen', kind: 'Pen', brand: 'Harrow', price: '3.00' },
  { id: 'c', title: 'Nib', kind: 'Pen', brand: 'Osier', price: '2.00' },
  { id: 'd', title: 'Paper', kind: 'Paper', brand: 'Harrow', price: '1.00' },
]);
const engine = openEngine(snapshotOf(records));
const collection = (id: string, more: object) => importedCollection.parse({ id, title: id, ...more });
const imported = {
  articles: [],
  collections: [
    collection('byRule', { attribute: 'kind', values: ['Ink', 'Pen', 'Paper'] }),
    collection('byPrice', { attribute: 'kind', values: ['Ink', 'Pen', 'Paper'], sort: 'price' }),
    collection('byHand', { products: ['d', 'c', 'b'] }),
  ],
};
const harrow: HouseRule = {
  name: 'Harrow',
  on: true,
  condition: { match: 'all', tests: [{ how: 'is', attribute: 'brand', values: ['Harrow'] }] },
  does: { what: 'pull', pull: 2 },
};
function page(id: string, rules: Record<string, HouseRule>, plans: Record<string, ShelfPlan> = {}, query = '') {
  const setup = { ...initialSetup(engine.snapshot.attributes), houseRules: rules, plans };
  const prepared = prepareSetup(engine, setup, 0);
  const request = { query, collection: id, filters: {}, page: 1, limit: 9, marks: true, explain: true };
  return search(
    engine,
    prepared,
    request,
    (at) => records[at]!,
    prepareContent(openContent(decidedContent(imported, setup)), setup, prepared.when),
  ).results;
}
const order = (...given: Parameters<typeof page>): string =>
  page(...given)
    .map(({ id }) => id)
    .join('');
const plan = (change: Partial<ShelfPlan>): ShelfPlan => ({
  ...{ name: 'Page', on: true, searches: [], collections: ['byRule', 'byHand'], pins: [], pulls: [] },
  ...change,
});

describe('on a collection’s page', () => {
  test('house rules order what has no order of its own, and say so', () => {
    expect(order('byRule', {})).toBe('abcd');
    expect(order('byRule', { harrow })).toBe('bdac');
    const [first] = page('byRule', { harrow });
    expect(first!.why).toMatchObject({ start: 100_000, matchScore: 100_000, score: 200_000, totalPull: 2 });
  });
  test('an order by hand or by an attribute is kept, whatever stands', () => {
    expect(order('byHand', { harrow })).toBe('dcb');
    expect(order('byPrice', { harrow })).toBe('abcd');
    expect(page('byHand', { harrow })[0]!.why).toMatchObject({ pulls: [], totalPull: 1, score: 100_000 });
  });
  test('a rule of other places does nothing', () =>
    expect(order('byRule', { harrow: { ...harrow, places: ['results', 'box'] } })).toBe('abcd'));
  test('a plan of the collection arranges it: first, pinned, hidden', () => {
    expect(order('byRule', {}, { p: plan({ first: ['d', 'c'] }) })).toBe('dcab');
    expect(order('byHand', {}, { p: plan({ pins: [{ product: 'b', place: 1 }], hides: ['c'] }) })).toBe('bd');
    expect(page('byRule', {}, { p: plan({ first: ['d'] }) })[0]!.marks).toMatchObject({ first: { name: 'Page' } });
  });
  test('what is not in the collection is not brought onto its page', () =>
    expect(order('byHand', {}, { p: plan({ first: ['a'], pins: [{ product: 'a', place: 1 }] }) })).toBe('dcb'));
  test('a search within it has the plans of both, the search’s before the page’s', () => {
    const plans = {
      page: plan({ only: true, first: ['d', 'b'] }),
      search: plan({ searches: ['pen'], collections: [], hides: ['b'] }),
    };
    expect(order('byRule', {}, plans, 'pen')).toBe('d');
  });
});
