import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import { randomCatalog, randomQuery, recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { readRange } from './chosenFilters.ts';
import { mostValuesShown } from './filters.ts';

const records = randomCatalog(seededRandom(21), 80);
const snapshot = snapshotOf(records);
const engine = openEngine(snapshot);
const setup = initialSetup(snapshot.attributes);
const prepared = prepareSetup(engine, setup, 0);
const ask = (query: string, filters: Record<string, string[]> = {}) =>
  search(engine, prepared, { query, filters, page: 1, limit: 100 }, (record) => records[record]!);

test.each([
  ['5..20', { from: 5, to: 20 }],
  ['5..', { from: 5, to: Number.POSITIVE_INFINITY }],
  ['..9.5', { from: Number.NEGATIVE_INFINITY, to: 9.5 }],
  ['..', null],
  ['5', null],
  ['a..b', null],
  ['1e3..', null],
  [`${'9'.repeat(40)}..`, null],
])('the range %s', (text, range) => expect(readRange(text)).toEqual(range));

describe('a count is what choosing the value shows', () => {
  const random = seededRandom(22);
  const queries = ['', 'blue', ...Array.from({ length: 10 }, () => randomQuery(random))];
  test.each(queries)('for “%s”, alone and beside another choice', (query) => {
    const choices: Record<string, string[]>[] = [{}, { availability: ['In stock'] }, { price: ['4..14'] }];
    for (const beside of choices) {
      for (const { key, kind, values } of ask(query, beside).filters) {
        if (kind === 'range' || key in beside) continue;
        for (const { value, count } of values)
          expect({ query, key, value, total: ask(query, { ...beside, [key]: [value] }).total }).toEqual({
            query,
            key,
            value,
            total: count,
          });
      }
    }
  });
});

test('several values of one filter are any-of, filters among each other all-of', () => {
  const total = (filters: Record<string, string[]>) => ask('', filters).total;
  expect(total({ colour: ['Blue', 'Green'] })).toBeGreaterThanOrEqual(total({ colour: ['Blue'] }));
  expect(total({ colour: ['Blue'], size: ['A4'] })).toBeLessThanOrEqual(total({ colour: ['Blue'] }));
});

test('a family matches two filters only by one variant that has both', () => {
  const { results } = ask('', { colour: ['Blue'], size: ['A4'] });
  for (const { id } of results)
    expect(records.find((record) => record.id === id)?.values).toMatchObject({ colour: 'Blue', size: 'A4' });
});

test('a single choice takes the first value only; a chosen value with no products is still reported', () => {
  const first = ask('', { availability: ['Sold out', 'In stock'] });
  expect(first.total).toBe(ask('', { availability: ['Sold out'] }).total);
  const none = ask('blue', { colour: ['Mauve'] });
  expect(none.total).toBe(0);
  expect(none.filters.find(({ key }) => key === 'colour')?.values).toContainEqual({
    value: 'Mauve',
    label: 'Mauve',
    count: 0,
    chosen: true,
  });
  // A filter too many is no empty search: the shopper can take it off again.
  expect(none.emptyShelf).toBeNull();
});

test('a range’s ends follow the results, not its own choice', () => {
  const range = (filters: Record<string, string[]>) =>
    ask('', filters).filters.find(({ key }) => key === 'price')!.range!;
  expect(range({ price: ['5..6'] })).toMatchObject({ least: range({}).least, most: range({}).most, chosen: '5..6' });
});

test('a filter whose attribute is gone is left out, and values beyond the limit are counted', () => {
  const many = Array.from({ length: mostValuesShown + 20 }, (_, at) => ({
    ...records[0]!,
    id: `m${at}`,
    familyId: `m${at}`,
    values: { title: 'Tube', shade: `Shade ${String(at).padStart(3, '0')}` },
  }));
  const other = openEngine(snapshotOf(many));
  const filter = {
    attribute: 'shade',
    label: 'Shade',
    kind: 'ticks',
    order: 1,
    counts: true,
    valueOrder: 'name',
  } as const;
  const withFilters = { ...setup, filters: { shade: filter, gone: { ...filter, attribute: 'gone' } } };
  const request = { query: '', filters: {}, page: 1, limit: 5 };
  const { filters } = search(other, prepareSetup(other, withFilters, 0), request, (record) => many[record]!);
  expect(filters).toHaveLength(1);
  expect(filters[0]).toMatchObject({ key: 'shade', more: 20 });
  expect(filters[0]!.values.map(({ value }) => value)).toEqual(
    [...filters[0]!.values.map(({ value }) => value)].sort(),
  );
});

test('values by name stand by the name that the shopper reads, as the language sorts', () => {
  const colours = ['Red', 'Black', 'Green', 'Blue'];
  const some = recordsOf(colours.map((colour, at) => ({ id: `c${at}`, title: 'Tube', price: '2', colour })));
  const other = openEngine(snapshotOf(some));
  const values = { Red: 'Rojo', Black: 'Nuez', Green: 'Ñandú', Blue: 'Obispo' };
  const colour = {
    ...{ attribute: 'colour', label: 'Colour', kind: 'ticks', order: 1, counts: true, valueOrder: 'name' },
    names: { es: { values } },
  };
  const initial = initialSetup(other.snapshot.attributes);
  const languages = { list: ['en' as const, 'es' as const] };
  const shop = { ...initial, filters: { colour }, storefront: { ...initial.storefront, languages } } as typeof initial;
  const listed = (language: 'en' | 'es') =>
    search(
      other,
      prepareSetup(other, shop, 0),
      { query: '', filters: {}, page: 1, limit: 9, language },
      (at) => some[at]!,
    ).filters[0]!.values.map(({ label }) => label);
  expect(listed('en')).toEqual(['Black', 'Blue', 'Green', 'Red']);
  expect(listed('es')).toEqual(['Nuez', 'Ñandú', 'Obispo', 'Rojo']);
});

test('where the shopper chose no language, values by name stand as the shop’s own language sorts', () => {
  const some = recordsOf(
    ['Obispo', 'Ñandú', 'Nuez'].map((colour, at) => ({ id: `c${at}`, title: 'Tubo', price: '2', colour })),
  );
  const other = openEngine(snapshotOf(some));
  const colour = { attribute: 'colour', label: 'Color', kind: 'ticks', order: 1, counts: true, valueOrder: 'name' };
  const initial = initialSetup(other.snapshot.attributes);
  const listed = (language: 'en' | 'es' | 'de') => {
    const storefront = { ...initial.storefront, languages: { list: [language] } };
    const shop = { ...initial, filters: { colour }, storefront } as typeof initial;
    const request = { query: '', filters: {}, page: 1, limit: 9 };
    const { filters } = search(other, prepareSetup(other, shop, 0), request, (at) => some[at]!);
    return filters[0]!.values.map(({ label }) => label);
  };
  // Only Spanish has ñ as a letter of its own, behind n.
  expect(listed('es')).toEqual(['Nuez', 'Ñandú', 'Obispo']);
  expect(listed('de')).toEqual(['Ñandú', 'Nuez', 'Obispo']);
});

test('a product is in stock where at least one variant is, in the filter, on the card and in the counts', () => {
  const shown = records.filter(({ values }) => values.hidden === undefined);
  const families = new Set(shown.map(({ familyId }) => familyId));
  const inStock = new Set(
    shown.filter(({ values }) => values.availability === 'In stock').map(({ familyId }) => familyId),
  );
  const partly = shown.some(({ familyId, values }) => inStock.has(familyId) && values.availability === 'Sold out');
  expect(partly).toBe(true);
  const counts = ask('').filters.find(({ key }) => key === 'availability')!.values;
  expect(Object.fromEntries(counts.map(({ value, count }) => [value, count]))).toEqual({
    'In stock': inStock.size,
    'Sold out': families.size - inStock.size,
  });
  for (const { familyId, available } of ask('', { availability: ['Sold out'] }).results) {
    expect(inStock.has(familyId)).toBe(false);
    expect(available).toBe(false);
  }
});
