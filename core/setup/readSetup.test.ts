import { expect, test } from '@jest/globals';
import { changesBetween, checkEdit } from './entries.ts';
import { initialSetup } from './initialSetup.ts';
import { entriesIn, readEntries, readSetup } from './readSetup.ts';
import { setupVersion } from './schema.ts';
import { withEntries, withEntry } from './withEntry.ts';

const setup = initialSetup([]);
const plan = { name: 'Brushes', on: true, searches: ['brush'], pins: [], pulls: [] };
const namesOfLanguage = ['constructor', 'toString', '__proto__', 'hasOwnProperty', 'valueOf', '__defineGetter__'];

test('a key that may be written may be read, and one that may not is refused when written', () => {
  for (const length of [1, 80, 81, 700, 701]) {
    const key = 'k'.repeat(length);
    const isWritten = 'edit' in checkEdit({ part: 'plans', key, value: plan });
    const { setAside } = readEntries([{ part: 'plans', key, value: plan }]);
    expect([length, isWritten]).toEqual([length, setAside.length === 0]);
    expect(isWritten).toBe(length <= 80);
  }
});

test('what cannot be read is set aside with its reason, and the rest is a whole setup', () => {
  const read = readEntries([
    { part: 'plans', key: 'good', value: plan },
    { part: 'plans', key: 'bad', value: { ...plan, on: 'perhaps' } },
    { part: 'relevance', key: 'closeCall', value: 'damaged' },
    { part: 'moods', key: 'x', value: 1 },
  ]);
  expect(Object.keys(read.setup.plans)).toEqual(['good']);
  expect(read.setup.relevance.closeCall).toEqual({ width: 3 });
  expect(read.setAside.map(({ part, key }) => `${part}/${key}`)).toEqual([
    'plans/bad',
    'relevance/closeCall',
    'moods/x',
  ]);
  expect(read.setAside[0]!.reason).toMatch(/^on: /);
});

test('a document of the first format has what came later, as it then was', () => {
  const first = {
    format: 'clever-shelf-setup',
    version: 1,
    attributes: {},
    relevance: { spelling: { tolerance: false }, closeCall: { width: 5 }, tieBreakers: { signals: [] } },
    filters: {},
    plans: { a: plan },
    hiding: {},
    emptyShelf: { content: { message: 'Nothing', searches: [], products: [] } },
  };
  const read = readSetup(first);
  expect(read.setAside).toEqual([]);
  expect(read.setup).toMatchObject({
    version: setupVersion,
    plans: { a: plan },
    relevance: { spelling: { tolerance: false }, sorting: { orders: [{ key: 'relevance' }] } },
    storefront: { shop: { currency: 'GBP' } },
  });
  expect(readSetup(JSON.parse(JSON.stringify(read.setup)))).toEqual(read);
  expect(entriesIn({ format: 'something else' })).toEqual([]);
});

test('entries named as the language names things are entries like any other', () => {
  const named = withEntries(
    setup,
    namesOfLanguage.map((key) => ({ part: 'plans' as const, key, value: plan })),
  );
  for (const key of namesOfLanguage) {
    expect(setup.plans[key]).toBeUndefined();
    expect(named.plans[key]).toEqual(plan);
  }
  expect(changesBetween(setup, named).map(({ key }) => key)).toEqual([...namesOfLanguage].sort());
  const again = readSetup(JSON.parse(JSON.stringify(named))).setup;
  expect(changesBetween(named, again)).toEqual([]);
  expect(Object.keys(withEntry(named, { part: 'plans', key: '__proto__', value: null }).plans)).not.toContain(
    '__proto__',
  );
});

test('what is set back to what it was is no change, whichever way it is said', () => {
  const changed = (part: 'attributes' | 'relevance', key: string, value: unknown) => {
    const outcome = checkEdit({ part, key, value });
    return 'edit' in outcome ? changesBetween(setup, withEntry(setup, outcome.edit)) : outcome;
  };
  const spelling = { tolerance: true, oneEditFrom: 4, twoEditsFrom: 7, atOnce: true, offers: 3 };
  expect(changed('relevance', 'spelling', spelling)).toEqual([]);
  expect(changed('relevance', 'spelling', { ...spelling, offers: 2 })).toHaveLength(1);
  expect(changed('attributes', 'mood', { searchable: false, weight: 1, onCard: false, forms: true })).toEqual([]);
  expect(changed('attributes', 'mood', { searchable: true, weight: 1, onCard: false })).toHaveLength(1);
  // What somebody switched off is kept as decided, so that it is not proposed again.
  const off = checkEdit({ part: 'attributes', key: 'mood', value: { searchable: false, weight: 1, onCard: false } });
  expect(off).toMatchObject({ edit: { value: { searchable: false } } });
});

test('a document of the fourth format says of conditions and places what it said', () => {
  const fourth = {
    ...JSON.parse(JSON.stringify(setup)),
    version: 4,
    houseRules: undefined,
    hiding: {
      'product:p': { what: 'product', product: 'p', from: ['results', 'collections'] },
      'tag:t': { what: 'tag', tag: 't' },
      'product:q': { what: 'product', product: 'q', from: ['emptyShelf'] },
    },
    vocabulary: {
      recognised: {
        what: 'recognised',
        price: true,
        conditions: [
          { words: 'gift', condition: { what: 'value', attribute: 'tags', value: 'gift' } },
          { words: 'best seller', condition: { what: 'number', attribute: 'units_sold', from: 50, to: null } },
          { words: 'new', condition: { what: 'newer', attribute: 'date_added', days: 60 } },
          { words: 'sale', condition: { what: 'reduced' } },
        ],
      },
    },
  };
  const read = readSetup(fourth);
  expect(read.setAside).toEqual([]);
  expect(read.setup.houseRules).toEqual({});
  expect(read.setup.hiding).toEqual({
    'product:p': { what: 'product', product: 'p', places: ['results', 'box', 'collections', 'companions'] },
    'tag:t': { what: 'tag', tag: 't' },
    'product:q': { what: 'product', product: 'q', places: ['emptyShelf'] },
  });
  const { recognised } = read.setup.vocabulary;
  const tests = recognised?.what === 'recognised' ? recognised.conditions?.map(({ condition }) => condition.tests) : [];
  expect(tests).toEqual([
    [{ how: 'is', attribute: 'tags', values: ['gift'] }],
    [{ how: 'between', attribute: 'units_sold', from: 50, to: null }],
    [{ how: 'lastDays', attribute: 'date_added', days: 60 }],
    [{ how: 'reduced' }],
  ]);
  const odd = {
    ...fourth,
    vocabulary: { recognised: { what: 'recognised', price: true, conditions: ['x', { words: 'y' }] } },
  };
  expect(readSetup(odd).setAside).toHaveLength(1);
});

test('what a document of the fifth format kept out of the results stays out of companions', () => {
  const condition = { match: 'all', tests: [{ how: 'inStock' }] };
  const rule = (name: string, does: object, places?: string[]) => ({
    name,
    on: true,
    condition,
    does,
    ...(places && { places }),
  });
  const { setup: read, setAside } = readSetup({
    ...JSON.parse(JSON.stringify(setup)),
    version: 5,
    hiding: {
      'product:p': { what: 'product', product: 'p', places: ['results'] },
      'product:q': { what: 'product', product: 'q', places: ['box'] },
      'tag:t': { what: 'tag', tag: 't' },
    },
    houseRules: {
      hide: rule('Hide', { what: 'hide' }, ['results', 'companions']),
      only: rule('Only', { what: 'only' }, ['collections', 'results']),
      pull: rule('Pull', { what: 'pull', pull: 2 }, ['results']),
      all: rule('All', { what: 'hide' }),
    },
  });
  expect(setAside).toEqual([]);
  expect(Object.values(read.hiding).map(({ places }) => places)).toEqual([
    ['results', 'companions'],
    ['box'],
    undefined,
  ]);
  expect(Object.values(read.houseRules).map(({ places }) => places)).toEqual([
    ['results', 'companions'],
    ['collections', 'results', 'companions'],
    ['results'],
    undefined,
  ]);
});

test('a filter that a document of the sixth format showed where most products have a value is shown there still', () => {
  const filter = { attribute: 'hair', label: 'Hair', kind: 'ticks', order: 1, counts: true, valueOrder: 'count' };
  const places = { collections: ['gifts'], searches: [] };
  const value = (attribute: string, of: string) => ({ attribute, value: of });
  const { setup: read, setAside } = readSetup({
    ...JSON.parse(JSON.stringify(setup)),
    version: 6,
    filters: {
      hair: { ...filter, where: { ...places, values: [value('category', 'Brushes'), value('kind', 'Brush')] } },
      two: { ...filter, where: { ...places, values: [value('category', 'Brushes'), value('category', 'Inks')] } },
      none: { ...filter, where: { ...places, values: [] } },
      many: { ...filter, where: { ...places, values: Array.from({ length: 24 }, (_, at) => value(`a${at}`, 'Red')) } },
      all: filter,
    },
  });
  expect(setAside).toEqual([]);
  const { hair, two, none, many, all } = read.filters;
  expect(hair!.where).toEqual({
    ...places,
    mostly: {
      match: 'any',
      tests: [
        { how: 'is', attribute: 'category', values: ['Brushes'] },
        { how: 'is', attribute: 'kind', values: ['Brush'] },
      ],
    },
  });
  expect(two!.where!.mostly!.tests).toEqual([{ how: 'is', attribute: 'category', values: ['Brushes', 'Inks'] }]);
  expect(many!.where!.mostly!.tests).toHaveLength(20);
  expect([none!.where, all!.where]).toEqual([places, undefined]);
});
