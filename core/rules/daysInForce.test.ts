import { expect, test } from '@jest/globals';
import { dayNumber, dayText } from '../base/day.ts';
import { holdsAt, type Span } from '../setup/terms/span.ts';
import { daysInForce } from './daysInForce.ts';

const [first, last] = [dayNumber('2026-11-01'), dayNumber('2027-10-31')];
const told = (span: Span): string =>
  daysInForce(span, first, last)
    .map(([from, to]) => `${dayText(from)}..${dayText(to)}`)
    .join(' ');

test.each<[string, Span, string]>([
  ['always', {}, '2026-11-01..2027-10-31'],
  ['from a day until another', { from: '2026-12-01', until: '2026-12-24' }, '2026-12-01..2026-12-24'],
  ['begun before and ending later', { from: '2025-01-01', until: '2026-11-03T08:00' }, '2026-11-01..2026-11-03'],
  ['ending as a day begins', { until: '2026-11-03T00:00' }, '2026-11-01..2026-11-02'],
  ['over', { until: '2026-10-31' }, ''],
  ['every winter', { yearly: { from: '12-20', until: '01-06' } }, '2026-12-20..2027-01-06'],
  [
    'a season that is cut in two',
    { yearly: { from: '10-15', until: '11-15' } },
    '2026-11-01..2026-11-15 2027-10-15..2027-10-31',
  ],
])('what holds %s', (_, span, expected) => expect(told(span)).toBe(expected));

test('agrees with the clock at noon of every day', () => {
  const span: Span = { from: '2026-11-20T18:00', until: '2027-09-01T09:00', yearly: { from: '11-10', until: '03-31' } };
  const days = new Set(
    daysInForce(span, first, last).flatMap(([a, b]) => Array.from({ length: b - a + 1 }, (_, at) => a + at)),
  );
  for (let day = first; day <= last; day++) {
    if (dayText(day) === '2026-11-20') continue;
    const when = { now: day * 86_400_000 + 43_200_000, today: day, timeZone: undefined };
    expect({ day: dayText(day), holds: days.has(day) }).toEqual({ day: dayText(day), holds: holdsAt(span, when) });
  }
});
