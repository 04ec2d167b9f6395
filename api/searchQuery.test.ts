import { describe, expect, test } from '@jest/globals';
import { endpoints } from './endpoints.ts';
import { chosenFilters, filterParameters } from './filterParameters.ts';
import { inFull, paths } from './paths.ts';
import { nearestName } from './problem.ts';
import { deskSearchQuery, requestOf, shopSearchQuery } from './searchQuery.ts';

const refusal = (query: Record<string, unknown>) => shopSearchQuery.safeParse(query).error?.issues[0];

describe('the search’s parameters', () => {
  test('have defaults, and filters by key', () => {
    const query = deskSearchQuery.parse({ q: 'ink', 'f.colour': ['Red', 'Blue'], 'f.price': '5..9' });
    expect(query).toMatchObject({ q: 'ink', page: 1, explain: false });
    expect(requestOf(query)).toMatchObject({ limit: 24, asLaidOut: true });
    expect(requestOf(deskSearchQuery.parse({ limit: '7' })).asLaidOut).toBeUndefined();
    expect(query.from).toBeUndefined();
    expect(chosenFilters(query)).toEqual({ colour: ['Red', 'Blue'], price: ['5..9'] });
  });
  test.each([
    [{ q: 'a'.repeat(513) }, 'q'],
    [{ limit: '0' }, 'limit'],
    [{ limit: '251' }, 'limit'],
    [{ limit: '1e3' }, 'limit'],
    [{ page: '-1' }, 'page'],
    [{ page: '9000', limit: '24' }, 'page'],
    [{ typing: 'yes' }, 'typing'],
    [{ from: 'live' }, 'from'],
    [{ 'f.colour': Array.from({ length: 101 }, () => 'x') }, 'f.colour'],
  ])('%j is refused at %s', (query, field) => expect(refusal(query)?.path[0]).toBe(field));
  test('a misspelt one is answered with the one meant', () =>
    expect(refusal({ limt: '3' })?.message).toBe('There is no parameter “limt”. Did you mean “limit”?'));
  test('the shop takes none of the desk’s', () => expect(refusal({ explain: '1' })?.message).toContain('no parameter'));
});

test('filters written into an address are read from it again', () => {
  const chosen = { colour: ['Red & blue', 'x=y'], price: ['..5'] };
  const parameters = new URLSearchParams(filterParameters(chosen));
  const query: Record<string, string[]> = {};
  for (const [name, value] of parameters) query[name] = [...(query[name] ?? []), value];
  expect(chosenFilters(query)).toEqual(chosen);
});

test('every endpoint stands at the path of its name', () => {
  for (const [name, { method, path }] of Object.entries(endpoints))
    expect(paths[name as keyof typeof paths]).toEqual({ method, path });
});

test('a far name is not taken for a known one', () => {
  expect(nearestName('colour', ['color', 'price'])).toBe('color');
  expect(nearestName('xyz', ['color', 'price'])).toBeNull();
});

test('an address of before storefronts had names is read as the first one’s; any other is left alone', () => {
  expect(inFull('/desk/state')).toBe('/desk/-/-/state');
  expect(inFull('/desk/catalog/import/job')).toBe('/desk/-/-/catalog/import/job');
  expect(inFull('/desk/catalog/rejected.csv')).toBe('/desk/-/-/catalog/rejected.csv');
  expect(inFull('/shop/search')).toBe('/shop/-/search');
  for (const path of ['/desk/winter/main/state', '/shop/winter/search', '/shop', '/shop/products/p1', '/constructor/x'])
    expect(inFull(path)).toBe(path);
});
