import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { decidedContent } from '../../core/content/decidedContent.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';
import { importContent, readContent } from './content.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());

const bring = (kind: 'article' | 'collection', text: string) => {
  const path = join(shelf.root, 'content');
  writeFileSync(path, text);
  return importContent(shelf.db, shelf.id, kind, path);
};
const jsonl = (...items: object[]) => items.map((item) => JSON.stringify(item)).join('\n');
const found = async (query: string, more = ''): Promise<SearchAnswer> =>
  (await shelf.get(`/desk/search?q=${encodeURIComponent(query)}${more}`)).body as SearchAnswer;
const decide = (key: string, value: unknown) =>
  shelf.setups.edit([{ part: 'content', key, value }], shelf.setups.revision(), 'Ada', Date.now());
const articles = jsonl(
  {
    id: 'g',
    title: 'How to choose a brush',
    text: 'Start with one round sable.',
    link: '/journal/brush',
    tags: ['guide'],
  },
  { id: 'u', title: 'Ultramarine: a short history', text: 'It came over the sea.' },
);
const collections = jsonl(
  { id: 'blue', title: 'Blue things', attribute: 'colour', values: ['Blue'] },
  { id: 'picked', title: 'Our favourites', products: ['c', 'gone', 'a'] },
  { id: 'cheap', title: 'By price', attribute: 'brand', values: ['Osier', 'Harrow'], sort: 'price', direction: 'low' },
);

describe('articles', () => {
  test('are found beside the products, by their own weights, with the same tolerance', async () => {
    await bring('article', articles);
    expect((await found('brush')).articles).toEqual([
      {
        id: 'g',
        title: 'How to choose a brush',
        link: '/journal/brush',
        picture: null,
        extract: 'Start with one round sable.',
      },
    ]);
    expect((await found('ultramarin history')).articles.map(({ id }) => id)).toEqual(['u']);
    expect((await found('brush history')).articles).toEqual([]);
    expect((await found('')).articles).toEqual([]);
    expect((await found('brush', '&page=2')).articles).toEqual([]);
  });
  test('can be switched off together or left out one by one, in the draft first', async () => {
    await bring('article', articles);
    decide('leftOut:article:g', { what: 'leftOut', kind: 'article', id: 'g' });
    expect((await found('brush')).articles).toEqual([]);
    expect((await found('brush', '&from=release:live')).articles).toHaveLength(1);
    decide('leftOut:article:g', null);
    decide('article', { what: 'kind', found: true, weights: { title: 0, text: 2, tags: 0 } });
    expect((await found('brush')).articles).toEqual([]);
    expect((await found('sable')).articles).toHaveLength(1);
    decide('article', { what: 'kind', found: false, weights: {} });
    expect((await found('sable')).articles).toEqual([]);
  });
  test('come from CSV and JSON as well; what is wrong is reported and the rest is taken', async () => {
    expect(await bring('article', 'ID,Title,Text,Tags\nx,On ink,Blue words,a|b\n,No id,text,\n')).toMatchObject({
      items: 1,
      refused: [{ line: 3, column: 'id' }],
    });
    expect((await found('ink')).articles.map(({ id }) => id)).toEqual(['x']);
    await expect(bring('article', 'ID,Title\n,x\n')).rejects.toThrow('no article that could be taken');
    expect((await found('ink')).articles).toHaveLength(1);
  });
});

describe('collections', () => {
  test('are found by name and counted as the catalog stands', async () => {
    await bring('collection', collections);
    expect((await found('favourites')).collections).toEqual([{ id: 'picked', title: 'Our favourites', picture: null }]);
    const { body } = await shelf.get('/desk/content');
    expect((body as { collections: { id: string; products: number; rule: string }[] }).collections).toMatchObject([
      { id: 'blue', products: 3, rule: 'Colour is Blue' },
      { id: 'cheap', products: 3 },
      { id: 'picked', products: 2, rule: 'Chosen by hand, in this order' },
    ]);
  });
  test('have a page of their own: by rule, in their order, or by hand; searches stay inside', async () => {
    await bring('collection', collections);
    const page = async (id: string, query = '') =>
      (await found(query, `&collection=${id}`)).results.map(({ familyId }) => familyId);
    expect((await page('blue')).sort()).toEqual(['a', 'b', 'c']);
    expect(await page('picked')).toEqual(['c', 'a']);
    expect(await page('cheap')).toEqual(['c', 'a', 'b']);
    expect(await page('picked', 'brush')).toEqual(['a']);
    expect((await found('', '&collection=picked')).collection).toMatchObject({ title: 'Our favourites' });
    expect((await found('', '&collection=nobody')).collection).toBeNull();
  });
  test('one without products and without a rule is refused', async () => {
    expect(await bring('collection', `${collections}\n{"id":"n","title":"Nothing"}`)).toMatchObject({
      items: 3,
      refused: [{ line: 4, column: 'products' }],
    });
  });
});

test('what goes out comes in as it was decided: conditions, dates, first products and texts with bars', async () => {
  await bring('collection', collections);
  await bring('article', articles);
  const condition = {
    match: 'any',
    tests: [{ how: 'inStock' }, { how: 'is', attribute: 'brand', values: ['a|b', 'c'] }],
  };
  decide('collection:blue', {
    what: 'collection',
    id: 'blue',
    condition,
    first: ['c', 'a'],
    yearly: { from: '11-15', until: '12-24' },
  });
  decide('collection:mine', {
    what: 'collection',
    id: 'mine',
    title: '=Mine',
    products: ['b'],
    from: '2026-12-01T08:00',
  });
  decide('article:g', { what: 'article', id: 'g', text: '<p>One, “two”</p>', tags: ['a|b', 'c'] });
  const file = async (kind: string): Promise<string> => (await shelf.request(`/desk/content.csv?kind=${kind}`)).text();
  const before = readContent(shelf.db, shelf.id);
  const decided = decidedContent(before, shelf.setups.draft());
  for (const kind of ['article', 'collection'] as const)
    expect((await bring(kind, await file(kind))).refused).toEqual([]);
  const again = decidedContent(readContent(shelf.db, shelf.id), { content: {} });
  const asIs = (items: readonly { readonly id: string; readonly origin: string }[]) =>
    Object.fromEntries(items.map(({ origin: _, ...item }) => [item.id, item]));
  expect(asIs(again.collections)).toEqual(asIs(decided.collections));
  expect(asIs(again.articles)).toEqual(asIs(decided.articles));
  expect((await shelf.request('/desk/content.csv?kind=nothing')).status).toBe(400);
});

test('a collection’s file may have a condition as JSON; what is none is refused', async () => {
  const csv = (condition: string) => `id,title,condition\nx,X,"${condition.replaceAll('"', '""')}"`;
  const inStock = '{"match":"all","tests":[{"how":"inStock"}]}';
  expect((await bring('collection', csv(inStock))).items).toBe(1);
  for (const wrong of ['{"match":"all"', '{"match":"all","tests":[{"how":"inCollection","collections":["x"]}]}'])
    await expect(bring('collection', csv(wrong))).rejects.toThrow(/no collection that could be taken/);
});

test('the change list calls collections by their titles, and says which is no longer there', async () => {
  await bring('collection', collections);
  decide('collection:mine', { what: 'collection', id: 'mine', title: 'For printers', products: ['b'] });
  const plan = { name: 'Season', on: true, searches: ['brush'], pins: [], pulls: [] };
  const change = (value: unknown) =>
    shelf.setups.edit([{ part: 'plans', key: 'p', value }], shelf.setups.revision(), 'Ada', Date.now());
  change(plan);
  shelf.setups.publish(shelf.setups.revision(), 'Ada', '', Date.now());
  const scope = { match: 'all', tests: [{ how: 'inCollection', collections: ['blue'] }] };
  change({ ...plan, collections: ['picked', 'mine', 'never'], scope });
  const told = async () =>
    ((await shelf.get('/desk/state')).body as { changes: { sentences: string[] }[] }).changes.flatMap(
      ({ sentences }) => sentences,
    );
  expect(await told()).toEqual([
    'Shelf plan “Season” holds on pages of the collections: “Our favourites”, “For printers”, “never” (no longer there)',
    'Shelf plan “Season” looks only at what meets: it is in “Blue things”',
  ]);
  // Another title, from a file or given here, is told from then on.
  await bring('collection', collections.replace('Blue things', 'All that is blue'));
  expect((await told())[1]).toContain('it is in “All that is blue”');
  decide('collection:blue', { what: 'collection', id: 'blue', title: 'Blues' });
  expect((await told()).join()).toContain('it is in “Blues”');
});
