import { describe, expect, test } from '@jest/globals';
import type { Setup } from '../../../../core/setup/schema.ts';
import { inOrder, listSynonyms } from './listSynonyms.ts';

const vocabulary: Setup['vocabulary'] = {
  a: { what: 'synonyms', words: ['rubber', 'eraser'], on: true, name: 'Rubbers' },
  b: { what: 'oneWay', from: ['aquarelle'], to: ['watercolour'], on: true },
  c: { what: 'oneWay', from: ['biro'], to: ['pen'], on: false },
  d: { what: 'stopWords', words: ['for'] },
};
const keys = (rows: readonly { key: string }[]): string => rows.map(({ key }) => key).join('');

describe('the list of synonyms', () => {
  test('is by first word, and narrowed by text, name and kind', () => {
    expect(keys(listSynonyms(vocabulary, '', 'all'))).toBe('bca');
    expect(keys(listSynonyms(vocabulary, 'ERAS', 'all'))).toBe('a');
    expect(keys(listSynonyms(vocabulary, 'rubbers', 'all'))).toBe('a');
    expect(keys(listSynonyms(vocabulary, '', 'off'))).toBe('c');
    expect(keys(listSynonyms(vocabulary, '', 'oneWay'))).toBe('bc');
  });
  test('can be by what is found, or by how often shoppers say it', () => {
    const rows = listSynonyms(vocabulary, '', 'all');
    expect(keys(inOrder(rows, 'words', new Map()))).toBe('bca');
    expect(keys(inOrder(rows, 'finds', new Map()))).toBe('cab');
    expect(
      keys(
        inOrder(
          rows,
          'searches',
          new Map([
            ['a', 3],
            ['c', 9],
          ]),
        ),
      ),
    ).toBe('cab');
  });
});
