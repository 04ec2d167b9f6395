import { describe, expect, test } from '@jest/globals';
import { readSynonymRow } from './readSynonymRow.ts';
import type { Setup } from './schema.ts';
import { sayingsIn, synonymKey, vocabularyChanges, writeVocabularyCsv } from './vocabularyCsv.ts';

const vocabulary: Setup['vocabulary'] = {
  a: { what: 'synonyms', words: ['rubber', 'putty rubber'], on: true },
  b: { what: 'oneWay', name: 'French', from: ['aquarelle'], to: ['watercolour', 'watercolor'], on: false },
  stop: { what: 'stopWords', words: ['for'] },
};

describe('synonyms as CSV', () => {
  test('go out and come in unchanged; what is no synonym stays here', () => {
    const [, ...lines] = writeVocabularyCsv(vocabulary).trim().split('\r\n');
    expect(lines).toEqual(['same,rubber|putty rubber,,on,', 'one way,aquarelle,watercolour|watercolor,off,French']);
    const entries = lines.map((line) => {
      const [kind, words, finds, on, name] = line.split(',');
      const read = readSynonymRow({ kind: kind!, words: words!, finds: finds!, on: on!, name: name! });
      if ('refusal' in read) throw new Error(read.refusal);
      return read.entry;
    });
    // Named entries replace the one of that name; others have a key of their own.
    expect(vocabularyChanges(vocabulary, entries)).toMatchObject({
      unchanged: 1,
      changed: [],
      added: [{ entry: entries[0] }],
    });
  });
  test.each([
    [{ words: 'rubber' }, 'at least two'],
    [{ words: '' }, 'no words'],
    [{ kind: 'one way', words: 'a' }, 'finds'],
    [{ kind: 'both', words: 'a|b' }, 'no kind'],
    [{ words: 'a|one two three four five' }, 'at most four'],
  ])('%j is refused', (cells, reason) => {
    const read = readSynonymRow(cells);
    expect('refusal' in read && read.refusal).toContain(reason);
  });
  test('a changed entry of the same name is reported as changed', () => {
    const next = { what: 'oneWay', name: 'French', from: ['aquarelle'], to: ['watercolour'], on: true } as const;
    const { changed, added } = vocabularyChanges(vocabulary, [{ ...next, from: ['aquarelle'], to: ['watercolour'] }]);
    expect([changed.map(({ key }) => key), added]).toEqual([['b'], []]);
  });
});

test('words stand apart by commas or bars, each once; keys read well', () => {
  expect(sayingsIn(' putty  rubber, eraser|eraser,, ')).toEqual(['putty rubber', 'eraser']);
  expect(synonymKey({ what: 'synonyms', words: ['Putty rubber', 'eraser'], on: true })).toBe(
    'same-putty_rubber-eraser',
  );
});
