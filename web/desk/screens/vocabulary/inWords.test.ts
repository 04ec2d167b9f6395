import { describe, expect, test } from '@jest/globals';
import { noteInWords } from './noteInWords.ts';

describe('what an entry does', () => {
  test('is said once shoppers say its words', () =>
    expect(noteInWords({ searches: 0, times: 0, added: 0 })).toBe('No search in the log says any of its words yet.'));
  test('says how many searches, how often, and what it adds', () => {
    expect(noteInWords({ searches: 1, times: 1, added: 1 })).toBe(
      'Said in 1 search, made 1 time; adds 1 product to the most frequent ones.',
    );
    expect(noteInWords({ searches: 3, times: 1200, added: 0 })).toBe(
      'Said in 3 searches, made 1,200 times; adds no product to them.',
    );
  });
});
