import { expect, test } from '@jest/globals';
import { shuffledPlace } from '../ranking/shuffle.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Leads } from '../setup/parts/resultsPage.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { search } from './search.ts';
import type { SearchRequest } from './searchRequest.ts';

const records = recordsOf(
  'abcdefgh'
    .split('')
    .map((id) => ({ id, title: id < 'd' ? 'Red ink' : 'Blue paper', price: '3', colour: id < 'e' ? 'Red' : 'Blue' })),
);
const shopOf = (some: typeof records) => ({ ...openEngine(snapshotOf(some)), records: some });
const engine = shopOf(records);
const day = 86_400_000;
const collections = new Map([
  ['hand', { condition: null, products: ['g', 'b', 'gone'], title: 'By hand' }],
  [
    'blue',
    {
      condition: { match: 'all' as const, tests: [{ how: 'is' as const, attribute: 'colour', values: ['Blue'] }] },
      products: [],
    },
  ],
]);
function order(leads: Leads | undefined, request: Partial<SearchRequest> = {}, now = day, of = engine): string {
  const usual = initialSetup(of.snapshot.attributes);
  const begin = { ...usual.resultsPage.begin, ...(leads && { leads }) };
  const setup = { ...usual, resultsPage: { ...usual.resultsPage, begin } };
  const asked = { query: '', filters: {}, page: 1, limit: 9, ...request };
  return search(of, prepareSetup(of, setup, now, collections), asked, (at) => of.records[at]!)
    .results.map(({ familyId }) => familyId)
    .join('');
}

test('chosen products, a collection by hand and what a search finds stand first, in their order', () => {
  expect(order(undefined)).toBe('abcdefgh');
  expect(order({ what: 'products', products: ['f', 'gone', 'c'] })).toBe('fcabdegh');
  expect(order({ what: 'collection', collection: 'hand' })).toBe('gbacdefh');
  expect(order({ what: 'search', search: 'paper' })).toBe('defghabc');
});

test('a collection by a condition stands first in the order that the rest has; one that is gone leads nothing', () => {
  expect(order({ what: 'collection', collection: 'blue' })).toBe('efghabcd');
  expect(order({ what: 'collection', collection: 'gone' })).toBe('abcdefgh');
});

test('only where nothing is searched for', () => {
  const leads: Leads = { what: 'products', products: ['c'] };
  expect(order(leads, { query: 'ink' })).toBe('abc');
  expect(order(leads, { box: true })).toBe('abcdefgh');
  expect(order({ what: 'search', search: 'nothing like it' })).toBe('abcdefgh');
});

test('a shuffle is the same all day, and another the next', () => {
  const shuffle: Leads = { what: 'shuffle' };
  const today = order(shuffle);
  expect(order(shuffle, {}, day + 3_600_000)).toBe(today);
  const others = [2, 3, 4].map((days) => order(shuffle, {}, days * day));
  expect(new Set([today, ...others]).size).toBeGreaterThan(2);
  expect([...today].sort().join('')).toBe('abcdefgh');
  // What else is in the catalog changes nobody's order.
  const fewer = shopOf(records.filter(({ id }) => 'bdfg'.includes(id)));
  expect(order(shuffle, {}, day, fewer)).toBe([...today].filter((id) => 'bdfg'.includes(id)).join(''));
  const firsts = Array.from({ length: 400 }, (_, at) => (shuffledPlace('a', at) < shuffledPlace('b', at) ? 1 : 0));
  const share = firsts.reduce<number>((sum, one) => sum + one, 0) / firsts.length;
  expect(share).toBeGreaterThan(0.4);
  expect(share).toBeLessThan(0.6);
});
