import { expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import type { Collection } from '../content/decidedContent.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import { meetsCondition } from '../testing/obviousConditions.ts';
import { randomCatalog, snapshotOf } from '../testing/randomCatalog.ts';
import { randomCondition } from '../testing/randomCondition.ts';
import { openContent, prepareContent } from './contentEngine.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { search } from './search.ts';

const bare: Collection = {
  ...{
    id: 'c',
    origin: 'here',
    title: 'C',
    text: '',
    picture: '',
    parent: '',
    condition: null,
    products: [],
    first: [],
  },
  ...{ sort: '', direction: 'high' },
};

test('a collection’s page shows just what meets its condition or was chosen, what stands first before the rest', () => {
  for (let seed = 1; seed <= 40; seed++) {
    const random = seededRandom(seed);
    const records = randomCatalog(random, 25);
    const snapshot = snapshotOf(records);
    const engine = openEngine(snapshot);
    const setup = initialSetup(snapshot.attributes);
    const prepared = prepareSetup(engine, setup, 20_700 * 86_400_000);
    const page = (collection: Collection): string[] => {
      const content = prepareContent(openContent({ articles: [], collections: [collection] }), setup, prepared.when);
      const request = { query: '', collection: 'c', filters: {}, page: 1, limit: 250 };
      return search(engine, prepared, request, (at) => records[at]!, content).results.map(({ familyId }) => familyId);
    };
    const condition = randomCondition(random);
    const shown = (record: (typeof records)[number]): boolean => record.values.hidden === undefined;
    const met = new Set(
      records
        .filter((record) => shown(record) && meetsCondition(snapshot.attributes, record, condition, 20_700))
        .map(({ familyId }) => familyId),
    );
    const plain = page({ ...bare, condition });
    expect({ seed, page: [...plain].sort() }).toEqual({ seed, page: [...met].sort() });
    const first = [...plain.slice(-2).reverse(), 'nobody'];
    const expected = [...first.filter((id) => met.has(id)), ...plain.filter((id) => !first.includes(id))];
    expect({ seed, page: page({ ...bare, condition, first }) }).toEqual({ seed, page: expected });
    const families = [...new Set(records.filter(shown).map(({ familyId }) => familyId))];
    const products = families.filter(() => random() < 0.3).reverse();
    expect({ seed, page: page({ ...bare, products }) }).toEqual({ seed, page: products });
  }
});

test('a collection of another time has no page and is not found', () => {
  const records = randomCatalog(seededRandom(5), 10);
  const snapshot = snapshotOf(records);
  const engine = openEngine(snapshot);
  const setup = initialSetup(snapshot.attributes);
  const collection = { ...bare, title: 'Winter', products: [records[0]!.familyId], from: '2030-01-01' };
  const opened = openContent({ articles: [], collections: [collection] });
  const asked = (now: number, query: string, within?: string) => {
    const prepared = prepareSetup(engine, setup, now);
    const content = prepareContent(opened, setup, prepared.when);
    const request = { query, filters: {}, page: 1, limit: 9, ...(within && { collection: within }) };
    return search(engine, prepared, request, (at) => records[at]!, content);
  };
  const [before, after] = [Date.parse('2029-12-31T12:00Z'), Date.parse('2030-01-01T12:00Z')];
  expect(asked(before, 'winter').collections).toEqual([]);
  expect(asked(after, 'winter').collections.map(({ id }) => id)).toEqual(['c']);
  expect(asked(before, '', 'c').collection).toBeNull();
  expect(asked(after, '', 'c').collection).toMatchObject({ title: 'Winter', above: [], below: [] });
});

test('an index that little changed in answers as one that is built anew', () => {
  const article = (id: string, plain: string) => ({
    ...{ id, origin: 'here' as const, title: `Title ${id}`, text: plain, plain, link: '', picture: '', tags: [] },
  });
  const before = openContent({
    articles: ['a', 'b', 'c'].map((id) => article(id, `scarlet ink ${id}`)),
    collections: [],
  });
  const changed = { articles: [...before.content.articles], collections: [] };
  changed.articles[1] = article('b', 'crimson lake');
  const patched = openContent(changed, 'en', before);
  expect(patched.engines.article!.snapshot.layers.length).toBe(before.engines.article!.snapshot.layers.length + 1);
  expect(openContent(changed, 'en', patched).engines.article).toBe(patched.engines.article);
  const records = randomCatalog(seededRandom(5), 5);
  const engine = openEngine(snapshotOf(records));
  const prepared = prepareSetup(engine, initialSetup(engine.snapshot.attributes), 0);
  const found = (content: typeof before, query: string): string[] =>
    search(
      engine,
      prepared,
      { query, filters: {}, page: 1, limit: 9 },
      (at) => records[at]!,
      prepareContent(content, prepared.setup, prepared.when),
    ).articles.map(({ id }) => id);
  for (const query of ['crimson', 'scarlet', 'lake', 'title b'])
    expect({ query, found: found(patched, query) }).toEqual({ query, found: found(openContent(changed), query) });
  expect(found(patched, 'crimson')).toEqual(['b']);
});
