import { expect, test } from '@jest/globals';
import type { Setup } from '../setup/schema.ts';
import { checkVocabulary } from './checkVocabulary.ts';

const known = new Set(['watercolour', 'paper', 'rubber', 'putty rubber']);
const codes = (vocabulary: Setup['vocabulary']): Record<string, string[]> =>
  Object.fromEntries(
    [...checkVocabulary(vocabulary, (text) => known.has(text))].map(([key, list]) => [
      key,
      list.map(({ code }) => code),
    ]),
  );

test('entries that find nothing, say what another says, or lead to each other are pointed out', () => {
  const oneWay = (from: string, to: string) => ({ what: 'oneWay' as const, from: [from], to: [to], on: true });
  expect(
    codes({
      a: oneWay('aquarelle', 'watercolour'),
      b: { what: 'synonyms', words: ['Aquarelle', 'watercolour'], on: true },
      c: oneWay('zebra', 'quagga'),
      d: oneWay('paper', 'rubber'),
      e: oneWay('rubber', 'paper'),
      fine: oneWay('putty', 'putty rubber'),
      off: { ...oneWay('zebra', 'quagga'), on: false },
    }),
  ).toEqual({ b: ['twice'], c: ['findsNothing'], d: ['circle'], e: ['circle'] });
});

test('a set is fine while the catalog says one of its words', () => {
  expect(codes({ a: { what: 'synonyms', words: ['caoutchouc', 'rubber'], on: true } })).toEqual({});
  expect(codes({ a: { what: 'synonyms', words: ['zebra', 'quagga'], on: true } })).toEqual({ a: ['findsNothing'] });
});
