import { describe, expect, test } from '@jest/globals';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { findPriceLimits } from './priceLimits.ts';

describe('a limit of price', () => {
  test.each([
    ['red round brush under 20', 'red round brush', 'under 20', null, 20],
    ['brush under £20.50', 'brush', 'under £20.50', null, 20.5],
    ['over 10 pounds easel', 'easel', 'over 10 pounds', 10, null],
    ['ink between 5 and 10 €', 'ink', 'between 5 and 10 €', 5, 10],
    ['Between 10 and 5 ink', 'ink', 'Between 10 and 5', 5, 10],
    ['Pinsel unter 20 €', 'Pinsel', 'unter 20 €', null, 20],
    ['Pinsel über 5,50', 'Pinsel', 'über 5,50', 5.5, null],
    ['encre moins de 8 euros', 'encre', 'moins de 8 euros', null, 8],
    ['under 20', '', 'under 20', null, 20],
  ])('“%s”', (query, rest, text, from, to) => expect(findPriceLimits(query)).toEqual({ rest, text, from, to }));
  test.each([
    'paper over 300 gsm',
    'under 20 cm canvas',
    'thunder 20',
    'over easy',
    'under 1/2',
    'size 20',
    'wunder 20',
  ])('“%s” says none', (query) => expect(findPriceLimits(query)).toBeNull());
});

const rows = [
  { id: '1', title: 'Round brush', price: '4' },
  { id: '2', title: 'Round brush, large', price: '14' },
  { id: '3', title: 'Under 20 art book', price: '30' },
];
const records = recordsOf(rows);
const engine = openEngine(snapshotOf(records));
const usual = initialSetup(engine.snapshot.attributes);
const recognising: Setup = { ...usual, vocabulary: { recognised: { what: 'recognised' as const, price: true } } };
const ask = (query: string, setup = recognising, asWords: string[] = []) =>
  search(
    engine,
    prepareSetup(engine, setup, 0),
    { query, asWords, filters: {}, page: 1, limit: 9 },
    (at) => records[at]!,
  );

describe('a search that says a price', () => {
  test('shows only what it allows, and says what was understood', () => {
    const { results, understood } = ask('round brush under 10');
    expect(results.map(({ id }) => id)).toEqual(['1']);
    expect(understood).toEqual({ text: 'under 10', from: null, to: 10 });
    expect(ask('under 10').results.map(({ id }) => id)).toEqual(['1']);
  });
  test('can be taken as words, and is where the merchandiser has not asked for it', () => {
    expect(ask('under 20 art book', recognising, ['under 20']).results[0]!.id).toBe('3');
    expect(ask('under 20 art book', usual)).toMatchObject({ understood: null, results: [{ id: '3' }] });
  });
});
