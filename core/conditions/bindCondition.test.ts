import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { type Condition, conditionSchema, type Test } from '../setup/terms/condition.ts';
import { meetsCondition } from '../testing/obviousConditions.ts';
import { randomCatalog, recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { namedCollections, randomCondition } from '../testing/randomCondition.ts';
import { type Collections, onDay } from './asked.ts';
import { bindCondition, missingAttributes, missingCollections } from './bindCondition.ts';
import { countIn, eachIn, isIn } from './recordSet.ts';

const records = recordsOf([
  {
    id: 'a1',
    title: 'Round brush',
    brand: 'Osier',
    tags: 'new|brush',
    price: '4.00',
    stock: '3',
    date_added: '2026-10-01',
  },
  { id: 'b1', title: 'Ink', brand: 'OSIER ', tags: 'sale', price: '9.00', former_price: '12.00', stock: '0' },
  { id: 'c1', title: 'Café pen', brand: 'Harrow', price: '2.50', stock: '1', date_added: '2026-11-20' },
  { id: 'd1', title: 'Gouache', category: 'Paint > Gouache', stock: '2' },
  { id: 'e1', title: 'Paint box', category: 'Paint', stock: '2' },
  { id: 'f1', title: 'Paintings', category: 'Paintings', stock: '2' },
]);
const snapshot = snapshotOf(records);
const today = Date.parse('2026-11-28') / 86_400_000;
function meeting(...tests: Condition['tests']): string[] {
  const set = bindCondition(snapshot, { match: 'all', tests }, onDay(today));
  return records.filter((_, record) => isIn(set, record)).map(({ id }) => id);
}

describe('a condition is met', () => {
  const cases: readonly (readonly [string, Test, readonly string[]])[] = [
    ['by a value however it is written', { how: 'is', attribute: 'brand', values: ['osier'] }, ['a1', 'b1']],
    ['by any of several values', { how: 'is', attribute: 'tags', values: ['new', 'sale'] }, ['a1', 'b1']],
    [
      'by a level of a category and all below it',
      { how: 'is', attribute: 'category', values: ['Paint'] },
      ['d1', 'e1'],
    ],
    ['also by what has no value', { how: 'isNot', attribute: 'brand', values: ['Osier'] }, ['c1', 'd1', 'e1', 'f1']],
    ['by a part of a value', { how: 'contains', attribute: 'title', text: 'CAFE' }, ['c1']],
    ['by its beginning', { how: 'startsWith', attribute: 'title', text: 'paint' }, ['e1', 'f1']],
    ['by an amount, ends included', { how: 'between', attribute: 'price', from: 2.5, to: 4 }, ['a1', 'c1']],
    ['by an amount without an end', { how: 'between', attribute: 'price', from: 4, to: null }, ['a1', 'b1']],
    ['before a day', { how: 'before', attribute: 'date_added', day: '2026-11-20' }, ['a1']],
    ['after a day', { how: 'after', attribute: 'date_added', day: '2026-10-01' }, ['c1']],
    ['by being new', { how: 'lastDays', attribute: 'date_added', days: 8 }, ['c1']],
    ['by having a value', { how: 'hasValue', attribute: 'date_added' }, ['a1', 'c1']],
    ['by having none', { how: 'hasNone', attribute: 'brand' }, ['d1', 'e1', 'f1']],
    ['by being sold out', { how: 'soldOut' }, ['b1']],
    ['by costing less than it did', { how: 'reduced' }, ['b1']],
  ];
  test.each(cases)('%s', (_, asked, expected) => expect(meeting(asked)).toEqual(expected));
  test('where all its tests hold, or any of them, in groups too', () => {
    const cheap: Test = { how: 'between', attribute: 'price', from: null, to: 5 };
    const osier: Test = { how: 'is', attribute: 'brand', values: ['Osier'] };
    expect(meeting(cheap, osier)).toEqual(['a1']);
    expect(meeting({ match: 'any', tests: [cheap, osier] })).toEqual(['a1', 'b1', 'c1']);
    expect(meeting({ how: 'inStock' }, { match: 'any', tests: [cheap, osier] })).toEqual(['a1', 'c1']);
  });
});

test('a test of an attribute that is gone is met by nothing, whichever way it compares', () => {
  for (const how of ['hasValue', 'hasNone'] as const) expect(meeting({ how, attribute: 'gone' })).toEqual([]);
  expect(meeting({ how: 'isNot', attribute: 'gone', values: ['x'] })).toEqual([]);
  const condition: Condition = {
    match: 'any',
    tests: [
      { how: 'is', attribute: 'brand', values: ['Osier'] },
      { how: 'is', attribute: 'constructor', values: ['x'] },
      { how: 'before', attribute: 'brand', day: '2026-01-01' },
    ],
  };
  expect(missingAttributes(snapshot, condition)).toEqual(['constructor', 'brand']);
});

test('collections are asked about by what is in them as it is now, and those that are gone are in none', () => {
  const members = new Map([['mine', { condition: null, products: ['b1'] }]]);
  const test = { how: 'inCollection', collections: ['mine'] } as const;
  const asking = (how: 'inCollection' | 'notInCollection', ...collections: string[]): Condition => ({
    match: 'all',
    tests: [{ how, collections }],
  });
  const met = (condition: Condition, now: Collections = members): number =>
    countIn(bindCondition(snapshot, condition, { today, collections: now }));
  expect(met(asking('inCollection', 'mine'))).toBe(1);
  expect(met(asking('notInCollection', 'mine', 'gone'))).toBe(snapshot.records - 1);
  for (const how of ['inCollection', 'notInCollection'] as const) expect(met(asking(how, 'gone'))).toBe(0);
  expect(missingCollections(asking('inCollection', 'mine', 'gone'), { today, collections: members })).toEqual(['gone']);
  const other = new Map([
    ['mine', { condition: { match: 'all', tests: [{ how: 'inStock' }] }, products: [] } as const],
  ]);
  const inStock = bindCondition(snapshot, { match: 'all', tests: [{ how: 'inStock' }] }, onDay(today));
  expect(met({ match: 'all', tests: [test, { how: 'inStock' }] } as never, other as never)).toBe(countIn(inStock));
});

test('conditions of random catalogs hold for just the records that meet them', () => {
  for (let seed = 1; seed <= 60; seed++) {
    const random = seededRandom(seed);
    const catalog = randomCatalog(random, 30);
    const own = snapshotOf(catalog);
    for (let round = 0; round < 12; round++) {
      const condition = randomCondition(random);
      const collections = namedCollections(own);
      const set = bindCondition(own, condition, { today, collections: new Map(Object.entries(collections)) });
      const expected = catalog.flatMap((record, at) =>
        meetsCondition(own.attributes, record, condition, today, collections) ? [at] : [],
      );
      const found: number[] = [];
      eachIn(set, (record) => found.push(record));
      expect({ seed, round, condition, found }).toEqual({ seed, round, condition, found: expected });
      expect(countIn(set)).toBe(expected.length);
    }
  }
});

test('what is no condition is refused with what is missing', () => {
  const reason = (value: unknown): string | undefined => conditionSchema.safeParse(value).error?.issues[0]?.message;
  expect(reason({ match: 'all', tests: [] })).toBe('Say what a product must be.');
  expect(reason({ match: 'all', tests: [{ how: 'is', attribute: 'brand', values: [] }] })).toBe(
    'Name at least one value.',
  );
  const nested = { match: 'any', tests: [{ how: 'inStock' }] };
  expect(conditionSchema.safeParse({ match: 'all', tests: [nested] }).success).toBe(true);
  expect(conditionSchema.safeParse({ match: 'all', tests: [{ match: 'all', tests: [nested] }] }).success).toBe(false);
});
