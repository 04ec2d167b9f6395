import { describe, expect, test } from '@jest/globals';
import { searchKey } from '../query/readUnits.ts';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { FilterSetting } from '../setup/parts/filters.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { resolveChoices } from './choices.ts';
import { readRange } from './chosenFilters.ts';

const snapshot = snapshotOf(
  recordsOf([
    { id: 'a1', family: 'a', title: 'Round brush', category: 'Brushes > Watercolour', hair: 'Sable' },
    { id: 'a2', family: 'a', title: 'Round brush', category: 'Brushes > Watercolour', hair: 'Goat' },
    { id: 'b1', family: 'b', title: 'Flat brush', category: 'Brushes > Oil', hair: 'Hog' },
    { id: 'c1', family: 'c', title: 'Ink', category: 'Ink', hair: '' },
  ]),
);
const engine = openEngine(snapshot);
const usual = initialSetup(snapshot.attributes);
type Filters = Record<string, Partial<FilterSetting>>;
function resolve(
  filters: Filters,
  given: Record<string, string[]> = {},
  { collection, query = '', records = [0, 1, 2, 3] }: { collection?: string; query?: string; records?: number[] } = {},
) {
  const settings = Object.entries(filters).map(([key, setting], order): [string, FilterSetting] => [
    key,
    { attribute: 'hair', label: key, kind: 'ticks', order, counts: true, valueOrder: 'count', ...setting },
  ]);
  const prepared = prepareSetup(engine, { ...usual, filters: Object.fromEntries(settings) }, 0);
  const { active, chosen, ignored, notShown } = resolveChoices(snapshot, prepared.filters, {
    filters: given,
    collection,
    said: searchKey(query),
    records: Uint32Array.from(records),
  });
  return {
    shown: active.map(({ key }) => key),
    chosen: { ...chosen },
    ignored,
    notShown: notShown.map(({ key, why }) => `${key} ${why}`),
  };
}

describe('where a filter stands', () => {
  const where = (change: Partial<NonNullable<FilterSetting['where']>>): Partial<FilterSetting> => ({
    where: { collections: [], searches: [], ...change },
  });
  test('everywhere where nothing is said of it', () =>
    expect(resolve({ hair: {}, more: where({}) }).shown).toEqual(['hair', 'more']));
  test('in its collections', () => {
    const filters = { hair: where({ collections: ['gifts'] }) };
    expect(resolve(filters, {}, { collection: 'gifts' }).shown).toEqual(['hair']);
    expect(resolve(filters, {}, { collection: 'sale' }).notShown).toEqual(['hair elsewhere']);
    expect(resolve(filters).notShown).toEqual(['hair elsewhere']);
  });
  test('for its searches, however they are typed', () => {
    const filters = { hair: where({ searches: ['Round brush'] }) };
    expect(resolve(filters, {}, { query: 'ROUND  brush' }).shown).toEqual(['hair']);
    expect(resolve(filters, {}, { query: 'brush' }).shown).toEqual([]);
    expect(resolve(filters, {}, { query: '' }).shown).toEqual([]);
  });
  test('where at least half of the products found are of a kind, a level or what lies below it', () => {
    const filters = {
      hair: where({ mostly: { match: 'all', tests: [{ how: 'is', attribute: 'category', values: ['Brushes'] }] } }),
    };
    expect(resolve(filters, {}, { records: [0, 1, 2, 3] }).shown).toEqual(['hair']);
    expect(resolve(filters, {}, { records: [2, 3] }).shown).toEqual(['hair']);
    expect(resolve(filters, {}, { records: [3] }).shown).toEqual([]);
    expect(resolve(filters, {}, { records: [] }).shown).toEqual([]);
  });
  test('where they meet a condition of several tests; none is met where its attribute is gone', () => {
    const tests = [
      { how: 'is' as const, attribute: 'hair', values: ['Hog', 'Goat'] },
      { how: 'contains' as const, attribute: 'title', text: 'INK' },
    ];
    const any = { hair: where({ mostly: { match: 'any', tests } }) };
    expect(resolve(any, {}, { records: [0, 1, 2, 3] }).shown).toEqual(['hair']);
    expect(resolve(any, {}, { records: [0, 3] }).shown).toEqual(['hair']);
    expect(resolve(any, {}, { records: [0] }).shown).toEqual([]);
    const gone = { hair: where({ mostly: { match: 'all', tests: [{ how: 'hasNone', attribute: 'gone' }] } }) };
    expect(resolve(gone, {}, { records: [0, 1, 2, 3] }).notShown).toEqual(['hair elsewhere']);
  });
  test('variants of one product are one product', () => {
    const filters = {
      hair: where({ mostly: { match: 'all', tests: [{ how: 'is', attribute: 'hair', values: ['Sable'] }] } }),
    };
    expect(resolve(filters, {}, { records: [0, 1, 3] }).shown).toEqual(['hair']);
    expect(resolve(filters, {}, { records: [0, 1, 2, 3] }).shown).toEqual([]);
  });
});

describe('what waits for another', () => {
  const chain: Filters = { kind: { attribute: 'category', kind: 'tree' }, hair: { after: 'kind' } };
  test('opens when something is chosen there', () => {
    expect(resolve(chain)).toMatchObject({ shown: ['kind'], notShown: ['hair waiting'] });
    expect(resolve(chain, { kind: ['Brushes'] }).shown).toEqual(['kind', 'hair']);
  });
  test('a choice in what is closed is ignored and reported', () =>
    expect(resolve(chain, { hair: ['Hog'] })).toMatchObject({ chosen: {}, ignored: ['hair'] }));
  test('never opens where the other is gone, or waits for it too', () => {
    expect(resolve({ hair: { after: 'gone' } }).notShown).toEqual(['hair waiting']);
    expect(resolve({ a: { after: 'b' }, b: { after: 'a' } }, { a: ['Hog'], b: ['Hog'] }).shown).toEqual([]);
  });
  test('opens by what is preselected too', () =>
    expect(
      resolve({ ...chain, kind: { ...chain.kind, chosen: [{ collection: null, values: ['Brushes'] }] } }).shown,
    ).toEqual(['kind', 'hair']));
});

describe('what is chosen', () => {
  const preselected: Filters = {
    hair: {
      chosen: [
        { collection: null, values: ['Hog'] },
        { collection: 'gifts', values: ['Sable'] },
      ],
    },
  };
  test('is what the shopper said, else what is preselected for the collection', () => {
    expect(resolve(preselected).chosen).toEqual({ hair: ['Hog'] });
    expect(resolve(preselected, {}, { collection: 'gifts' }).chosen).toEqual({ hair: ['Sable'] });
    expect(resolve(preselected, { hair: ['Goat'] }).chosen).toEqual({ hair: ['Goat'] });
  });
  test('nothing, where the shopper took it off', () => expect(resolve(preselected, { hair: [] }).chosen).toEqual({}));
  test('of one choice the first', () =>
    expect(resolve({ hair: { kind: 'single' } }, { hair: ['Hog', 'Goat'] }).chosen).toEqual({ hair: ['Hog'] }));
  test('in a filter that is not there is ignored and reported, an empty one is not worth telling', () =>
    expect(resolve({ hair: {} }, { gone: ['x'], older: [] }).ignored).toEqual(['gone']));
});

test.each([
  ['5..20', { from: 5, to: 20 }],
  ['5..', { from: 5, to: Number.POSITIVE_INFINITY }],
  ['..20', { from: Number.NEGATIVE_INFINITY, to: 20 }],
  ['-3.5..0', { from: -3.5, to: 0 }],
  ['..', null],
  ['5', null],
  ['a..b', null],
  ['1..2..3', null],
  [`${'9'.repeat(40)}..`, null],
])('the range %s', (text, range) => expect(readRange(text)).toEqual(range));
