import { describe, expect, test } from '@jest/globals';
import { instantOf, isTimeZone, localDay, localMinutes } from './localTime.ts';

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

describe('a moment on the clock of a place', () => {
  const at = (zone: string | undefined, moment: string): string => new Date(instantOf(zone, moment)).toISOString();
  test('is an instant, by the offset that holds then', () => {
    expect(at(undefined, '2026-12-01T08:00')).toBe('2026-12-01T08:00:00.000Z');
    expect(at('Europe/Berlin', '2026-12-01T08:00')).toBe('2026-12-01T07:00:00.000Z');
    expect(at('Europe/Berlin', '2026-07-01')).toBe('2026-06-30T22:00:00.000Z');
    expect(at('Pacific/Auckland', '2026-07-01')).toBe('2026-06-30T12:00:00.000Z');
  });
  test('is the first where the clock shows it twice, and as if unchanged where it leaves it out', () => {
    expect(at('Europe/Berlin', '2026-10-25T02:30')).toBe('2026-10-25T00:30:00.000Z');
    expect(at('Europe/Berlin', '2026-03-29T02:30')).toBe('2026-03-29T01:30:00.000Z');
  });
  test('is none where it is no moment', () => {
    for (const text of ['2026-02-30', '2026-12-01T24:00', '2026-12-01 08:00', 'soon'])
      expect(instantOf('Europe/Berlin', text)).toBeNaN();
  });
  test('every hour of two years is found again', () => {
    for (const zone of ['Europe/Berlin', 'America/New_York', 'Australia/Lord_Howe'])
      for (let hour = 0; hour < 24 * 730; hour += 7) {
        const instant = Date.UTC(2026, 0, 1) + hour * 3_600_000;
        const shown = new Date(localMinutes(zone, instant) * 60_000).toISOString().slice(0, 16);
        expect(localMinutes(zone, instantOf(zone, shown))).toBe(localMinutes(zone, instant));
      }
  });
});
