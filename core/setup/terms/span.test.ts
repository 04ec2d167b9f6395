import { describe, expect, test } from '@jest/globals';
import { localDay } from '../../base/localTime.ts';
import { endsBeforeItBegins, type Span, spanInWords, stateOf, type When } from './span.ts';

const at = (instant: string, timeZone = 'Europe/Berlin'): When => {
  const now = Date.parse(instant);
  return { now, timeZone, today: localDay(timeZone, now) };
};

describe('what holds for a time', () => {
  const advent: Span = { from: '2026-12-01T08:00', until: '2026-12-24' };
  test.each([
    ['2026-12-01T06:59:59Z', 'early'],
    ['2026-12-01T07:00:00Z', 'holds'],
    ['2026-12-24T22:59:59Z', 'holds'],
    ['2026-12-24T23:00:00Z', 'over'],
  ])('at %s it %s', (instant, state) => expect(stateOf(advent, at(instant))).toBe(state));
  test('until an hour ends with it, until a day holds on that day', () => {
    expect(stateOf({ until: '2026-12-24T18:00' }, at('2026-12-24T17:00:00Z'))).toBe('over');
    expect(stateOf({ until: '2026-12-24' }, at('2026-12-24T17:00:00Z'))).toBe('holds');
  });
  test('every year is on its days, past the new year too, by the storefront’s day', () => {
    const winter: Span = { yearly: { from: '12-01', until: '02-28' } };
    expect(['2026-12-01', '2027-01-15', '2028-02-28'].map((day) => stateOf(winter, at(`${day}T12:00Z`)))).toEqual(
      Array(3).fill('holds'),
    );
    expect(stateOf(winter, at('2026-11-30T22:59:00Z'))).toBe('outOfSeason');
    expect(stateOf(winter, at('2026-11-30T23:00:00Z'))).toBe('holds');
    const summer: Span = { yearly: { from: '06-01', until: '08-31' }, until: '2026-12-31' };
    expect(stateOf(summer, at('2026-07-01T12:00Z'))).toBe('holds');
    expect(stateOf(summer, at('2027-07-01T12:00Z'))).toBe('over');
  });
  test('may be a single day, but not end before it begins', () => {
    expect(endsBeforeItBegins({ from: '2026-12-24', until: '2026-12-24' })).toBe(false);
    expect(endsBeforeItBegins({ from: '2026-12-24T08:00', until: '2026-12-24' })).toBe(false);
    expect(endsBeforeItBegins({ from: '2026-12-24', until: '2026-12-24T00:00' })).toBe(true);
    expect(endsBeforeItBegins({ from: '2026-12-25', until: '2026-12-24' })).toBe(true);
  });
  test('is told', () => {
    expect(spanInWords(advent)).toBe('from 2026-12-01 08:00 until 2026-12-24');
    expect(spanInWords({ yearly: { from: '12-01', until: '01-06' } })).toBe('every year from 12-01 to 01-06');
    expect(spanInWords({})).toBe('');
  });
});
