import { describe, expect, test } from '@jest/globals';
import type { Condition } from '../../../../core/setup/parts/vocabulary.ts';
import { conditionText } from './conditionText.ts';
import { noteInWords } from './noteInWords.ts';

describe('a condition in words', () => {
  const labels: Record<string, string> = { date_added: 'Date added', units_sold: 'Units sold', tags: 'Tags' };
  const number = (from: number | null, to: number | null): Condition => ({
    what: 'number',
    attribute: 'units_sold',
    from,
    to,
  });
  test.each<[Condition, string]>([
    [{ what: 'value', attribute: 'tags', value: 'gift' }, 'Tags is gift'],
    [{ what: 'newer', attribute: 'date_added', days: 90 }, 'Date added is not older than 90 days'],
    [{ what: 'reduced' }, 'it costs less than it did'],
    [number(500, null), 'Units sold is at least 500'],
    [number(null, 20), 'Units sold is at most 20'],
    [number(0, 20), 'Units sold is from 0 to 20'],
    [number(null, null), 'Units sold is known'],
  ])('%j', (condition, expected) => expect(conditionText(condition, (key) => labels[key]!)).toBe(expected));
});

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
