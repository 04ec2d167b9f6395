import { dayNumber, dayText } from './day.ts';

const clock = /^(\d{4}-\d{2}-\d{2})(?:T([01]\d|2[0-3]):([0-5]\d))?$/;

/** A moment as it is written, `2026-12-01` or `2026-12-01T08:00`, in minutes since 1970 on the clock of wherever it is said; NaN for none. */
export function clockMinutes(text: string): number {
  const parts = clock.exec(text);
  return parts ? dayNumber(parts[1]!) * 1440 + Number(parts[2] ?? 0) * 60 + Number(parts[3] ?? 0) : Number.NaN;
}

/** Whether a moment names a whole day and not an hour of it. */
export const isWholeDay = (text: string): boolean => !text.includes('T');

/** The day after one, as it is written. */
export const dayAfter = (text: string): string => dayText(dayNumber(text) + 1);

/** Formats by time zone: making one takes longer than asking it. */
const formats = new Map<string, Intl.DateTimeFormat | null>();
const formatsKept = 100;
function formatOf(timeZone: string): Intl.DateTimeFormat | null {
  const known = formats.get(timeZone);
  if (known !== undefined) return known;
  let format: Intl.DateTimeFormat | null = null;
  try {
    format = new Intl.DateTimeFormat('en-GB', {
      ...{ timeZone, hourCycle: 'h23', year: 'numeric', month: 'numeric', day: 'numeric' },
      ...{ hour: 'numeric', minute: 'numeric' },
    });
  } catch {
    // A name that is no zone's.
  }
  if (formats.size >= formatsKept) formats.clear();
  formats.set(timeZone, format);
  return format;
}

export const isTimeZone = (timeZone: string): boolean => formatOf(timeZone) !== null;

/** What a clock in a time zone shows at an instant, in minutes since 1970; in UTC where no zone is named, or none there is. */
export function localMinutes(timeZone: string | undefined, at: number): number {
  const parts = timeZone === undefined ? null : formatOf(timeZone)?.formatToParts(at);
  if (!parts) return Math.floor(at / 60_000);
  const of = (type: string): number => Number(parts.find((part) => part.type === type)?.value);
  return Math.floor(Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute')) / 60_000);
}

/** Which day it is in a time zone at an instant, in days since 1970-01-01; in UTC where no zone is named. */
export const localDay = (timeZone: string | undefined, at: number): number =>
  Math.floor(localMinutes(timeZone, at) / 1440);

/**
 * The instant, in milliseconds since 1970, at which a clock in a time zone shows a moment; NaN for none. Of an hour that
 * the clock shows twice it is the first, one that it leaves out is as if it had not been changed yet. Cost: three looks at the clock.
 */
export function instantOf(timeZone: string | undefined, moment: string): number {
  const wanted = clockMinutes(moment) * 60_000;
  if (timeZone === undefined || Number.isNaN(wanted)) return wanted;
  const aheadAt = (at: number): number => localMinutes(timeZone, at) * 60_000 - at;
  // A day before and a day after have the two offsets there can be around a change of the clock.
  const tries = [aheadAt(wanted - 86_400_000), aheadAt(wanted + 86_400_000)].map((ahead) => wanted - ahead);
  const right = tries.filter((at) => aheadAt(at) === wanted - at);
  return right.length > 0 ? Math.min(...right) : Math.max(...tries);
}
