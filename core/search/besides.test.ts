import { expect, test } from '@jest/globals';
import { decidedContent } from '../content/decidedContent.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Besides } from '../setup/parts/resultsPage.ts';
import { mostOfKind } from '../setup/terms/besidesTerms.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { openContent, prepareContent } from './contentEngine.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { search } from './search.ts';
import type { SearchRequest } from './searchRequest.ts';

const records = recordsOf([
  { id: 'a', title: 'Red ink', tags: 'ink' },
  { id: 'b', title: 'Blue ink', tags: 'ink' },
  { id: 'c', title: 'Ink brush', tags: 'brush' },
  { id: 'd', title: 'Flat brush', tags: 'brush' },
  { id: 'e', title: 'Paper', tags: 'paper' },
]);
const engine = openEngine(snapshotOf(records));
const many = mostOfKind + 5;
const articles = Array.from({ length: many }, (_, at) => {
  const text = 'On ink and how it dries. '.repeat(20);
  return { id: `r${at}`, title: `Ink, part ${at}`, text, link: '', picture: '', tags: [] };
});
const setupWith = (change: Partial<Besides>) => {
  const usual = initialSetup(engine.snapshot.attributes);
  const made = (id: string, tag: string) => ({
    ...{ what: 'collection' as const, id, title: `All ${id}` },
    condition: { match: 'all' as const, tests: [{ how: 'is' as const, attribute: 'tags', values: [tag] }] },
  });
  const content = {
    ...usual.content,
    'collection:inks': made('inks', 'ink'),
    'collection:brushes': made('brushes', 'brush'),
  };
  const { besides } = usual.resultsPage;
  return { ...usual, content, resultsPage: { ...usual.resultsPage, besides: { ...besides, ...change } } };
};
function found(query: string, change: Partial<Besides> = {}, request: Partial<SearchRequest> = {}) {
  const setup = setupWith(change);
  const opened = openContent(decidedContent({ articles, collections: [] } as never, setup));
  const prepared = prepareSetup(engine, setup, 0, opened.members);
  const asked = { query, filters: {}, page: 1, limit: 3, ...request };
  return search(engine, prepared, asked, (at) => records[at]!, prepareContent(opened, setup, prepared.when));
}

test('as many as are wanted stand with the products, and how many there are is told', () => {
  const { articles: shown, besides } = found('ink', { articles: { where: 'above', most: 2 } });
  expect(shown).toHaveLength(2);
  expect(shown[0]!.extract.length).toBeLessThanOrEqual(161);
  expect(besides.articles).toEqual({ where: 'above', total: mostOfKind });
  expect(besides.show).toBeNull();
});

test('on a tab they are only counted, on every page; asked for, all of them are there', () => {
  const tab: Partial<Besides> = { articles: { where: 'tab', most: 2 } };
  for (const page of [1, 2]) {
    const { articles: shown, besides } = found('ink', tab, { page, limit: 1 });
    expect([shown.length, besides.articles.total]).toEqual([0, mostOfKind]);
  }
  const { articles: all, besides, total } = found('ink', tab, { show: 'articles' });
  expect([all.length, besides.show, total]).toEqual([mostOfKind, 'articles', 3]);
});

test('where they are not to stand, none are there and none are counted; pages after the first have none', () => {
  const { articles: shown, besides } = found('ink', { articles: { where: 'none', most: 4 } });
  expect([shown.length, besides.articles.total]).toEqual([0, 0]);
  expect(found('ink', {}, { page: 2, limit: 1 }).articles).toEqual([]);
});

test('a block has what all the words find within its collection, under its heading', () => {
  const block = { collection: 'brushes', heading: '“{search}” in brushes', most: 1, where: 'below' as const };
  const { blocks, results } = found('ink', { blocks: [block] });
  expect(blocks).toMatchObject([
    { collection: { id: 'brushes', title: 'All brushes' }, heading: '“ink” in brushes', where: 'below', total: 1 },
  ]);
  expect(blocks[0]!.cards.map(({ familyId }) => familyId)).toEqual(['c']);
  // What is looked for besides changes nothing about the results.
  expect(results.map(({ familyId }) => familyId)).toEqual(found('ink').results.map(({ familyId }) => familyId));
  expect(found('brush', { blocks: [block] }).blocks[0]).toMatchObject({ total: 2, cards: [{}] });
});

test('no block where it finds nothing, nothing is searched for, a filter is chosen, or the collection is gone', () => {
  const block = { collection: 'inks', heading: 'Inks', most: 4, where: 'above' as const };
  const blocksOf = (query: string, request: Partial<SearchRequest> = {}, collection = 'inks') =>
    found(query, { blocks: [{ ...block, collection }] }, request).blocks.length;
  expect(blocksOf('ink')).toBe(1);
  expect(blocksOf('paper')).toBe(0);
  expect(blocksOf('ink paper')).toBe(0);
  expect(blocksOf('')).toBe(0);
  expect(blocksOf('ink', { page: 2, limit: 1 })).toBe(0);
  expect(blocksOf('ink', { collection: 'brushes' })).toBe(0);
  expect(blocksOf('ink', { filters: { tags: ['ink'] } })).toBe(0);
  expect(blocksOf('ink', {}, 'gone')).toBe(0);
});
