import { expect, test } from '@jest/globals';
import { looksLike } from './looksLike.ts';

const known = new Set(['oil', 'paint', 'canvas', 'set']);
const english = new Set(['order', 'frame', 'how', 'long', 'take', 'does']);
const look = (query: string, language = 'en') =>
  looksLike(query, { language, isKnown: (word) => known.has(word), isOfLanguage: (word) => english.has(word) });

test.each([
  ['how long does delivery take', ['question']],
  ['returns', ['question']],
  ['Oil paint?', ['question']],
  ['how', []],
  ['WU-2041-B', ['partNumber']],
  ['wu 2041 b', ['partNumber']],
  ['50412287', ['partNumber']],
  ['504-122/87', ['partNumber']],
  ['oil 40', []],
  ['canvas 30 x 40', []],
  ['30 x 40 cm', ['size']],
  ['A3', ['size']],
  ['size 12', ['size']],
  ['50 ml', ['size']],
  ['sennelux', ['name']],
  ['sennelux oil', ['name']],
  ['order frame', ['question']],
  ['frame', []],
  ['', []],
])('“%s” looks like %j', (query, expected) => expect(look(query)).toEqual(expected));

test('each language has its own words for questions', () => {
  expect(look('Rückgabe', 'de')).toEqual(['question']);
  expect(look('délai de livraison', 'fr')).toEqual(['question']);
});
