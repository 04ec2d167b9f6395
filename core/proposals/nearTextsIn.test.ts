import { expect, test } from '@jest/globals';
import { stem } from '../text/wordForms.ts';
import type { Lexicon, Sense } from './lexicon.ts';
import { nearKey, nearTextsIn } from './nearTextsIn.ts';

const thing = (sense: Partial<Sense>): Sense => ({ same: [], broader: [], narrower: [], isThing: true, ...sense });
const senses: Record<string, Sense[]> = {
  sketchbook: [thing({ same: ['sketchpad'], broader: ['notebook'] })],
  notebook: [thing({ narrower: ['sketchbook', 'jotter', 'daybook'] })],
  pen: [thing({ narrower: ['biro'] }), thing({ isThing: false, same: ['enclosure'] })],
};
const lexicon: Lexicon = { has: (word) => word in senses, senses: (text) => senses[text] ?? [] };
const known = new Set(['sketchbook', 'pen', 'paper', 'black']);
const stemmed = (word: string): string => stem(word, 'en');
const evidence = {
  ...{ retries: [], opened: [], lexicon, names: ['pen', 'sketchbook'], stem: stemmed },
  isKnown: (word: string): boolean => known.has(word),
  isMisspelt: (word: string): boolean => word === 'papper',
};

test('a dictionary relates what the catalog does not have to what its products are called, the nearest first', () => {
  const list = nearTextsIn(evidence);
  expect(list[nearKey('sketchpads', stemmed)]).toEqual([['sketchbook', 'dictionary']]);
  expect(list[nearKey('jotter', stemmed)]).toEqual([['sketchbook', 'dictionary']]);
  expect(list[nearKey('Biros', stemmed)]).toEqual([['pen', 'dictionary']]);
  expect(list.enclosure).toBeUndefined();
  // What the catalog has is looked for itself.
  expect(list.sketchbook).toBeUndefined();
});

test('what enough shoppers tried next is nearer, and what they opened the same products with comes between', () => {
  const list = nearTextsIn({
    ...evidence,
    retries: [
      { from: 'jotter', to: 'black paper', sessions: 4, of: 6 },
      { from: 'biro', to: 'pen', sessions: 2, of: 2 },
      { from: 'daybook', to: 'unknown', sessions: 9, of: 9 },
    ],
    opened: [
      { search: 'biro refill', products: new Map([['p1', 3]]) },
      { search: 'papper', products: new Map([['p3', 4]]) },
      {
        search: 'black pen',
        products: new Map([
          ['p1', 2],
          ['p2', 1],
        ]),
      },
      {
        search: 'paper',
        products: new Map([
          ['p1', 1],
          ['p3', 9],
        ]),
      },
    ],
  });
  expect(list[nearKey('jotter', stemmed)]![0]).toEqual(['black paper', 'tried']);
  expect(list[nearKey('biro', stemmed)]).toEqual([['pen', 'dictionary']]);
  expect(list[nearKey('daybook', stemmed)]).toEqual([['sketchbook', 'dictionary']]);
  expect(list[nearKey('biro refill', stemmed)]).toEqual([['black pen', 'opened']]);
  expect(list[nearKey('papper', stemmed)]).toBeUndefined();
});
