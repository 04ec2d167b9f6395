import { describe, expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { findPairs, likelihoodRatio, proposePhrases } from './proposePhrases.ts';

const kinds = ['Trowel', 'Micro', 'Diamond', 'Pear', 'Offset', 'Long', 'Broad', 'Tiny'];
const texts = [
  ...kinds.map((kind) => `${kind} palette knife`),
  ...kinds.map((kind) => `Cold press paper, ${kind.toLowerCase()}`),
  ...kinds.map((kind) => `${kind} brush`),
  ...kinds.map((kind) => `Brush for ${kind.toLowerCase()} work 300 gsm`),
  'Palette',
  'Hot press block',
];

describe('pairs of words that belong together', () => {
  const pairs = findPairs(texts, new Set(['for']));
  test('are those that seldom stand apart', () =>
    expect(pairs.map(({ words }) => words.join(' '))).toEqual(['cold press', 'palette knife', 'press paper']));
  test('with how often they do', () => expect(pairs[0]).toMatchObject({ together: 8, rarer: 8 }));
  test('words without meaning, numbers and chance make none', () => {
    expect(findPairs(['for sale', 'for hire', 'for sale'], new Set(['for']))).toEqual([]);
    expect(
      findPairs(
        kinds.map((kind) => `${kind} 300 gsm`),
        new Set(),
      ),
    ).toEqual([]);
  });
});

test('the likelihood ratio is nothing for what chance explains, and grows with the evidence', () => {
  expect(likelihoodRatio(25, 50, 50, 100)).toBeCloseTo(0, 9);
  expect(likelihoodRatio(10, 10, 10, 100)).toBeCloseTo(65.02, 1);
  expect(likelihoodRatio(20, 20, 20, 200)).toBeCloseTo(2 * likelihoodRatio(10, 10, 10, 100), 6);
});

describe('what is proposed', () => {
  const pairs = findPairs(texts, new Set(['for']));
  const usual = initialSetup([]);
  const searches = [{ search: 'Palette knife set' }, { search: 'press paper cold' }, { search: 'knife palette' }];
  test('is what shoppers search for, in that order', () =>
    expect(proposePhrases(pairs, searches, usual).map(({ id }) => id)).toEqual([
      'phrase:palette knife',
      'phrase:press paper',
    ]));
  test('adds to the phrases there are, and none twice', () => {
    const setup: Setup = { ...usual, vocabulary: { phrases: { what: 'phrases', phrases: ['Palette Knife'] } } };
    const [proposal, ...others] = proposePhrases(pairs, searches, setup);
    expect(others).toEqual([]);
    expect(proposal!.edits[0]!.value).toEqual({ what: 'phrases', phrases: ['Palette Knife', 'press paper'] });
  });
});
