import { expect, test } from '@jest/globals';
import { dayNumber, dayText } from './day.ts';

test.each([
  ['1970-01-01', 0],
  ['1969-12-31', -1],
  ['2026-12-01', 20_788],
  ['2024-02-29', 19_782],
])('%s is day %d', (text, day) => {
  expect(dayNumber(text)).toBe(day);
  expect(dayText(day)).toBe(text);
});
test.each(['', '2026-02-30', '2026-13-01', '2026-1-1', '01.12.2026', 'constructor'])('“%s” is none', (text) =>
  expect(dayNumber(text)).toBeNaN(),
);
