import { describe, expect, test } from '@jest/globals';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';

const rows = [
  { id: '1', title: 'Drawing paper 60 gsm' },
  { id: '2', title: 'Masking fluid 60 ml' },
  { id: '3', title: 'Liner 0.5mm' },
  { id: '4', title: 'Stretched canvas 12"' },
  { id: '5', title: 'Twelve pencils in tin' },
  { id: '6', title: '12 pencils in tin' },
  { id: '7', title: 'Canvas 30x40cm' },
  { id: '8', title: 'Flat brush ½ inch' },
];
const records = recordsOf(rows);
const engine = openEngine(snapshotOf(records));
const setup = prepareSetup(engine, initialSetup(engine.snapshot.attributes), 0);
const found = (query: string): string[] =>
  search(engine, setup, { query, filters: {}, page: 1, limit: 20 }, (record) => records[record]!)
    .results.map(({ id }) => id)
    .sort();

describe('amounts are found by what they are', () => {
  test.each([
    ['60 gsm', ['1']],
    ['60gsm', ['1']],
    ['60 ml', ['2']],
    ['0.06 l', ['2']],
    ['.5 mm', ['3']],
    ['0,05 cm', ['3']],
    ['12"', ['4']],
    ['12 inch canvas', ['4']],
    ['1 ft', ['4']],
    ['40 cm canvas', ['7']],
    ['12.7 mm', ['8']],
    ['1/2 in brush', ['8']],
  ])('%s', (query, ids) => expect(found(query)).toEqual(ids));

  test('an amount the catalog does not have matches no other one', () => expect(found('300 gsm')).toEqual([]));
  test('the word “in” stays a word where no twelve inches are meant', () => {
    expect(found('pencils in tin')).toEqual(['5', '6']);
    expect(found('6 in tin')).not.toContain('4');
    expect(found('12 pencils in tin')).toEqual(['6']);
  });
  test('the explanation says the amount, not its token', () => {
    const request = { query: '0.5 mm', filters: {}, page: 1, limit: 1, explain: true };
    const { results } = search(engine, setup, request, (record) => records[record]!);
    expect(results[0]!.why!.words[0]).toMatchObject({ word: '0.5 mm', best: { term: '0.5 mm', how: 'exact' } });
  });
});
