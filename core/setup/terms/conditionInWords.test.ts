import { expect, test } from '@jest/globals';
import type { Condition, Test } from './condition.ts';
import { conditionInWords, testInWords } from './conditionInWords.ts';

const labels: Record<string, string> = { date_added: 'Date added', units_sold: 'Units sold', tags: 'Tags' };
const labelOf = (key: string): string => labels[key]!;
const number = (from: number | null, to: number | null): Test => ({
  how: 'between',
  attribute: 'units_sold',
  from,
  to,
});

test.each<[Test, string]>([
  [{ how: 'is', attribute: 'tags', values: ['gift'] }, 'Tags is gift'],
  [{ how: 'is', attribute: 'tags', values: ['a', 'b', 'c', 'd', 'e', 'f'] }, 'Tags is a or b or c or d or 2 more'],
  [{ how: 'isNot', attribute: 'tags', values: ['gift', 'sale'] }, 'Tags is not gift or sale'],
  [{ how: 'contains', attribute: 'tags', text: 'gi' }, 'Tags contains “gi”'],
  [{ how: 'startsWith', attribute: 'tags', text: 'gi' }, 'Tags starts with “gi”'],
  [{ how: 'before', attribute: 'date_added', day: '2026-12-01' }, 'Date added is before 2026-12-01'],
  [{ how: 'after', attribute: 'date_added', day: '2026-12-01' }, 'Date added is after 2026-12-01'],
  [{ how: 'lastDays', attribute: 'date_added', days: 90 }, 'Date added is not older than 90 days'],
  [{ how: 'hasValue', attribute: 'tags' }, 'Tags has a value'],
  [{ how: 'hasNone', attribute: 'tags' }, 'Tags has no value'],
  [{ how: 'reduced' }, 'it costs less than it did'],
  [{ how: 'soldOut' }, 'it is sold out'],
  [number(500, null), 'Units sold is at least 500'],
  [number(null, 20), 'Units sold is at most 20'],
  [number(0, 20), 'Units sold is from 0 to 20'],
  [number(null, null), 'Units sold is known'],
  [{ how: 'inCollection', collections: ['Inks', 'Pens'] }, 'it is in “Inks” or “Pens”'],
  [{ how: 'notInCollection', collections: ['Inks'] }, 'it is not in “Inks”'],
])('%j', (test, expected) => expect(testInWords(test, labelOf, (id) => `“${id}”`)).toBe(expected));

test('tests are joined, groups stand in brackets', () => {
  const inside = { match: 'any' as const, tests: [{ how: 'reduced' as const }, { how: 'inStock' as const }] };
  const condition: Condition = { match: 'all', tests: [{ how: 'hasValue', attribute: 'tags' }, inside] };
  expect(conditionInWords(condition, labelOf, (id) => id)).toBe(
    'Tags has a value and (it costs less than it did, or it is in stock)',
  );
});
