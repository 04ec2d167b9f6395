import { describe, expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { unsetAttribute } from '../setup/terms/usualValues.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { explainWords } from './explainWords.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { rank } from './rank.ts';

const rows = [
  { id: 'a', sku: 'WU-100', title: 'Gouache paint', colour: 'Blue', series: 'Old masters' },
  { id: 'b', sku: 'WU-200', title: 'Oil paint', colour: 'Cadmium scarlet', series: 'Old masters' },
  { id: 'c', sku: 'WU-300', title: 'Vermeil leaf', colour: 'Gold', series: 'Gilding' },
  { id: 'd', sku: 'WU-400', title: 'Sketchbook', colour: 'White', series: 'Paper' },
];
const snapshot = snapshotOf(recordsOf(rows));
const engine = openEngine(snapshot, (word) => word === 'zebra');
const usual = initialSetup(snapshot.attributes);
const recognising: Setup = {
  ...usual,
  vocabulary: { r: { what: 'recognised', price: true, attributes: { colour: 'filter' } } },
};

function explain(query: string, setup: Setup = usual) {
  const prepared = prepareSetup(engine, setup, 0);
  const ranking = rank(engine, prepared, { query, filters: {}, page: 1, limit: 1 }, 1);
  return explainWords(engine, prepared, query, ranking);
}
const wordOf = (query: string, text: string, setup?: Setup) =>
  explain(query, setup).words.find((word) => word.text === text)!;
const codes = (query: string, text: string, setup?: Setup) => wordOf(query, text, setup).notes.map(({ code }) => code);

describe('what became of a word', () => {
  test('found, corrected, passed over, dropped, recognised', () => {
    expect(wordOf('oil paint', 'paint')).toMatchObject({ as: 'word', products: 2 });
    expect(wordOf('guache', 'guache')).toMatchObject({ as: 'corrected', means: [{ text: 'gouache', how: 'oneEdit' }] });
    const stopping: Setup = { ...usual, vocabulary: { s: { what: 'stopWords', words: ['the'] } } };
    expect(wordOf('the paint', 'the', stopping)).toMatchObject({ as: 'stopWord', notes: [] });
    expect(wordOf('paint xqzzk', 'xqzzk')).toMatchObject({ as: 'givenUp', products: 0 });
    expect(wordOf('blue paint', 'blue', recognising)).toMatchObject({
      as: 'recognised',
      value: { attribute: 'Colour', value: 'Blue' },
    });
    expect(wordOf('paint under 5', '5', recognising)).toMatchObject({
      as: 'recognised',
      value: { attribute: 'Price' },
    });
  });
});

describe('why not otherwise', () => {
  test('a value is not recognised, or only a whole one is', () => {
    expect(codes('blue paint', 'blue')).toContain('valueNotRecognised');
    expect(codes('scarlet paint', 'scarlet', recognising)).toContain('partOfValue');
  });
  test('a word is not corrected', () => {
    const spelling = (value: Partial<Setup['relevance']['spelling']>): Setup => ({
      ...usual,
      relevance: { ...usual.relevance, spelling: { tolerance: true, ...value } },
    });
    expect(codes('paint xqzzk', 'xqzzk')).toEqual(['nothingNear']);
    expect(codes('paint zebra', 'zebra')).toEqual(['wordOfLanguage']);
    expect(codes('paint guache', 'guache', spelling({ tolerance: false }))).toEqual(['correctionsOff']);
    expect(codes('paint oyl', 'oyl')).toEqual(['tooShort']);
    expect(codes('paint 7777', '7777')).toEqual(['numberLike']);
    const never: Setup = { ...usual, vocabulary: { n: { what: 'neverCorrected', words: ['guache'] } } };
    expect(codes('paint guache', 'guache', never)).toEqual(['neverCorrected']);
  });
  test('a word stands only where the search does not read', () => {
    const setup: Setup = { ...usual, attributes: { ...usual.attributes, series: unsetAttribute } };
    expect(wordOf('gilding', 'gilding', setup).notes).toContainEqual({ code: 'notRead', attributes: ['Series'] });
  });
});

test('a product found only by the part number or a word of what is hidden is named', () => {
  const setup: Setup = { ...usual, hiding: { 'product:c': { what: 'product', product: 'c' } } };
  expect(explain('WU-300', setup).hidden).toEqual(['c']);
  expect(explain('vermeil', setup)).toMatchObject({
    hidden: ['c'],
    words: [{ notes: [{ code: 'onlyHidden', products: 1 }] }],
  });
  expect(explain('paint', setup).hidden).toEqual([]);
});
