import { describe, expect, test } from '@jest/globals';
import type { Setup } from '../../../../core/setup/schema.ts';
import { conditionText } from './conditionText.ts';
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

test('conditions as a merchandiser reads them', () => {
  const label = (key: string) => key.toUpperCase();
  expect(conditionText({ what: 'reduced' }, label)).toBe('it costs less than it did');
  expect(conditionText({ what: 'newer', attribute: 'added', days: 60 }, label)).toBe('ADDED is not older than 60 days');
  expect(conditionText({ what: 'number', attribute: 'sold', from: 50, to: null }, label)).toBe('SOLD is at least 50');
  expect(conditionText({ what: 'number', attribute: 'sold', from: null, to: 5 }, label)).toBe('SOLD is at most 5');
  expect(conditionText({ what: 'value', attribute: 'tags', value: 'new' }, label)).toBe('TAGS is new');
});
