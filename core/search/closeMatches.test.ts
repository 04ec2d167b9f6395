import { expect, test } from '@jest/globals';
import type { CatalogRecord } from '../catalog/record.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import { snapshotOf } from '../testing/randomCatalog.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { search } from './search.ts';
import type { SearchRequest } from './searchRequest.ts';

const record = (id: string, title: string, more: CatalogRecord['values'] = {}): CatalogRecord => ({
  ...{ id, familyId: id, sku: '' },
  values: { availability: 'In stock', title, ...more },
});
const records = [
  record('a', 'Sable round brush', { price: 9 }),
  record('b', 'Sable flat brush', { price: 5 }),
  record('c', 'Hog round brush', { price: 3 }),
  record('d', 'Sable round mop', { price: 30 }),
  record('e', 'Drawing ink', { price: 4 }),
  record('f', 'Hog flat brush', { price: 3 }),
  record('g', 'Goat flat brush', { price: 3 }),
];
const snapshot = snapshotOf(records);
const engine = openEngine(snapshot);
const setup = initialSetup(snapshot.attributes);

function ask(query: string, request: Partial<SearchRequest> = {}, change: Partial<typeof setup> = {}) {
  const prepared = prepareSetup(engine, { ...setup, ...change }, 0);
  const asked = { query, filters: {}, page: 1, limit: 24, ...request };
  const { results, close, total } = search(engine, prepared, asked, (at) => records[at]!);
  return {
    total,
    results: results.map(({ id }) => id),
    close: close.map(({ id, without }) => `${id} without ${without}`),
  };
}

test('what lacks one word follows what has them all, and is not counted', () => {
  const { total, results, close } = ask('sable round brush');
  expect({ total, results }).toEqual({ total: 1, results: ['a'] });
  expect(close.toSorted()).toEqual(['b without round', 'c without sable', 'd without brush']);
});

test('of two words the one that is missing tells at most half', () => {
  // Without “ink” a search for it is about something else.
  expect(ask('drawing ink').close).toEqual([]);
  expect(ask('goat brush').close).toEqual([]);
});

test('where one rare word is found without two others, what has those two follows', () => {
  const many = [record('e', 'Drawing ink'), ...['a', 'b', 'c', 'd'].map((id) => record(id, 'Round brush'))];
  const own = snapshotOf(many);
  const engine = openEngine(own);
  const prepared = prepareSetup(engine, initialSetup(own.attributes), 0);
  const asked = { query: 'drawing round brush', filters: {}, page: 1, limit: 3 };
  const { results, close, total } = search(engine, prepared, asked, (at) => many[at]!);
  expect({ total, results: results.map(({ id }) => id) }).toEqual({ total: 1, results: ['e'] });
  expect(close.map(({ id, without }) => [id, without])).toEqual([
    ['a', 'drawing'],
    ['b', 'drawing'],
  ]);
});

test('no more than the page has room for, and nothing while typing, on later pages or where it is switched off', () => {
  expect(ask('sable round brush', { limit: 3 }).close).toHaveLength(2);
  expect(ask('sable round brush', { limit: 1 }).close).toEqual([]);
  expect(ask('sable round brush', { typing: true }).close).toEqual([]);
  expect(ask('sable round brush', { page: 2 }).close).toEqual([]);
  const relevance = { ...setup.relevance, fillUp: { on: false } };
  expect(ask('sable round brush', {}, { relevance }).close).toEqual([]);
});

test('what is hidden or too dear stays away', () => {
  const hiding = { 'product:d': { what: 'product' as const, product: 'd' } };
  expect(ask('sable round brush', {}, { hiding }).close.toSorted()).toEqual(['b without round', 'c without sable']);
  const vocabulary = { x: { what: 'recognised' as const, price: true, attributes: {}, conditions: [] } };
  const cheap = ask('sable round brush under 10', {}, { vocabulary });
  expect(cheap.close.toSorted()).toEqual(['b without round', 'c without sable']);
});
