import { dayText } from '../base/day.ts';
import { isAlways, type Span } from '../setup/terms/span.ts';

/** A stretch of days in days since 1970, both ends included. */
export type Days = readonly [number, number];

/** Whether a span holds on some of a day. */
function holdsOnDay({ from, until, yearly }: Span, day: string): boolean {
  if (from !== undefined && day < from.slice(0, 10)) return false;
  // What is until midnight has ended when the day begins.
  if (until !== undefined && (day > until.slice(0, 10) || until === `${day}T00:00`)) return false;
  if (!yearly) return true;
  const ofYear = day.slice(5);
  return yearly.from <= yearly.until
    ? ofYear >= yearly.from && ofYear <= yearly.until
    : ofYear >= yearly.from || ofYear <= yearly.until;
}

/** The stretches of days between two, both included, on which a span holds. Pure. Cost: a look at each day. */
export function daysInForce(span: Span, first: number, last: number): Days[] {
  if (isAlways(span)) return [[first, last]];
  const stretches: [number, number][] = [];
  for (let day = first; day <= last; day++) {
    if (!holdsOnDay(span, dayText(day))) continue;
    const before = stretches.at(-1);
    if (before && before[1] === day - 1) before[1] = day;
    else stretches.push([day, day]);
  }
  return stretches;
}
