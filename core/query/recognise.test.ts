import { describe, expect, test } from '@jest/globals';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import type { SearchRequest } from '../search/searchRequest.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';

const rows: Record<string, string>[] = [
  { id: '1', title: 'Round brush', colour: 'Red', size: '6', kind: 'Brush', price: '8', tags: 'new', units_sold: '90' },
  { id: '2', title: 'Round brush', colour: 'Blue', size: '6', kind: 'Brush', price: '8', units_sold: '4' },
  { id: '3', title: 'Round brush', colour: 'Red', size: '12', kind: 'Brush', price: '30', former_price: '40' },
  { id: '4', title: 'Red book of brush work, size 6 print', colour: 'Green', size: 'A4', kind: 'Book', price: '9' },
  { id: '6', title: 'Blue pen', colour: 'Blue', size: '1 mm', kind: 'Pen', price: '2' },
  { id: '5', title: 'Warm ochre ink', colour: 'RED', size: '0.5 mm', kind: 'Ink', price: '5', former_price: '5' },
];
const records = recordsOf(rows);
const engine = openEngine(snapshotOf(records));
const usual = initialSetup(engine.snapshot.attributes);
type Recognised = Extract<Setup['vocabulary'][string], { what: 'recognised' }>;
const recognising = (what: Partial<Recognised>): Setup => ({
  ...usual,
  vocabulary: { recognised: { what: 'recognised', price: true, ...what } },
});
const ask = (query: string, setup: Setup, more: Partial<SearchRequest> = {}) =>
  search(
    engine,
    prepareSetup(engine, setup, 0),
    { query, filters: {}, page: 1, limit: 9, explain: true, ...more },
    (at) => records[at]!,
  );
const ids = ({ results }: ReturnType<typeof ask>): string[] => results.map(({ id }) => id);

describe('values turned into filters', () => {
  const setup = recognising({ attributes: { colour: 'filter', size: 'filter', kind: 'strong' } });
  test('a search is understood as what it names, price limit included', () => {
    const answer = ask('red round brush size 6 under 20', setup);
    expect(ids(answer)).toEqual(['1']);
    expect(answer.recognised).toEqual([
      { text: 'red', as: 'filter', named: { attribute: 'colour', label: 'Colour', value: 'Red' } },
      { text: 'size 6', as: 'filter', named: { attribute: 'size', label: 'Size', value: '6' } },
      { text: 'brush', as: 'strong', named: { attribute: 'kind', label: 'Kind', value: 'Brush' } },
    ]);
    expect(answer.understood).toMatchObject({ to: 20 });
  });
  test('however a value is written, and in another form', () => {
    expect(ids(ask('red', setup)).sort()).toEqual(['1', '3', '5']);
    expect(ids(ask('reds', setup)).sort()).toEqual(['1', '3', '5']);
    expect(ids(ask('0.5mm', setup))).toEqual(['5']);
  });
  test('a bare number is no value unless its attribute is named', () => {
    expect(ask('6 brush', setup).recognised.map(({ text }) => text)).toEqual(['brush']);
    expect(ids(ask('size 12', setup))).toEqual(['3']);
  });
  test('one of them can be taken as a word again, a price too', () => {
    expect(ids(ask('red brush', setup))).not.toContain('4');
    const asWord = ask('red brush', setup, { asWords: ['red'] });
    expect(ids(asWord)).toContain('4');
    expect(asWord.recognised.map(({ text }) => text)).toEqual(['brush']);
    const anyPrice = ask('red brush under 20', setup, { asWords: ['under 20'] });
    expect(anyPrice.understood).toBeNull();
    expect(anyPrice.recognised.map(({ text }) => text)).toEqual(['red', 'brush']);
  });
  test('what nothing is found with is taken as words after all', () => {
    const answer = ask('green ink', setup);
    expect(answer.recognised.filter(({ as }) => as === 'filter')).toEqual([]);
    expect(ids(answer).length).toBe(1);
    expect(answer.dropped.length).toBe(1);
  });
  test('where only one of several leaves nothing, that one is a word, and the others narrow all the same', () => {
    const answer = ask('blue round brush size 12', setup);
    expect(answer.recognised.filter(({ as }) => as === 'filter').map(({ text }) => text)).toEqual(['size 12']);
    expect(ids(answer)).toEqual(['3']);
    expect(answer.dropped).toEqual(['blue']);
  });
  test('a corrected word names a value too', () => {
    const corrected: Setup = {
      ...setup,
      vocabulary: { ...setup.vocabulary, fixed: { what: 'corrections', pairs: [{ from: 'rouge', to: 'red' }] } },
    };
    expect(ids(ask('rouge', corrected)).sort()).toEqual(['1', '3', '5']);
  });
});

describe('values that count as strong matches', () => {
  test('stand before products that only say the word, and why here says so', () => {
    const strong = ask('red', recognising({ attributes: { colour: 'strong' } }));
    expect(ids(ask('red', usual))[0]).toBe('4');
    expect(ids(strong).indexOf('4')).toBe(3);
    const [first] = strong.results;
    expect(first!.why!.words[0]!.best).toMatchObject({ how: 'value', attribute: 'colour', gain: 1 });
  });
  test('even of an attribute in which words are not looked for', () => {
    const setup = recognising({ attributes: { colour: 'strong' } });
    const attributes = { ...setup.attributes, colour: { searchable: false, weight: 1, onCard: false } };
    expect(ids(ask('green', { ...setup, attributes }))).toEqual(['4']);
    expect(ids(ask('green', { ...usual, attributes }))).toEqual([]);
  });
});

describe('sayings with a condition', () => {
  const setup = recognising({
    conditions: [
      { words: 'new', condition: { match: 'all', tests: [{ how: 'is', attribute: 'tags', values: ['new'] }] } },
      {
        words: 'best seller',
        condition: { match: 'all', tests: [{ how: 'between', attribute: 'units_sold', from: 50, to: null }] },
      },
      { words: 'sale', condition: { match: 'all', tests: [{ how: 'reduced' }] } },
      {
        words: 'gone',
        condition: { match: 'all', tests: [{ how: 'between', attribute: 'no_such', from: 1, to: null }] },
      },
    ],
  });
  test.each([
    ['new brush', ['1']],
    ['best sellers', ['1']],
    ['brush sale', ['3']],
    ['sale', ['3']],
  ])('“%s”', (query, expected) => expect(ids(ask(query, setup))).toEqual(expected));
  test('one that nothing meets is words', () => expect(ask('gone brush', setup).dropped).toEqual(['gone']));
});
