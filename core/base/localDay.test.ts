import { expect, test } from '@jest/globals';
import { isTimeZone, localDay } from './localDay.ts';

const at = Date.UTC(2026, 10, 28, 23, 30);
const day = (text: string): number => Date.parse(text) / 86_400_000;

test.each([
  [undefined, '2026-11-28'],
  ['UTC', '2026-11-28'],
  ['Europe/Berlin', '2026-11-29'],
  ['America/New_York', '2026-11-28'],
  ['Pacific/Auckland', '2026-11-29'],
  ['Nowhere/Land', '2026-11-28'],
])('in %s it is %s', (zone, date) => expect(localDay(zone, at)).toBe(day(date)));

test('the day turns at midnight there, in summer and in winter', () => {
  for (const [zone, midnight] of [
    ['Europe/Berlin', Date.UTC(2026, 6, 1, 22)],
    ['Europe/Berlin', Date.UTC(2026, 11, 1, 23)],
  ] as const)
    expect(localDay(zone, midnight) - localDay(zone, midnight - 1)).toBe(1);
});

test('a zone is known by its name', () => {
  expect(['Europe/Paris', 'constructor', ''].map(isTimeZone)).toEqual([true, false, false]);
});
