/** Formats by time zone: making one takes longer than asking it. */
const formats = new Map<string, Intl.DateTimeFormat | null>();
const formatsKept = 100;

/** Formats of a zone, or null where there is no zone of that name. */
function formatOf(timeZone: string): Intl.DateTimeFormat | null {
  const known = formats.get(timeZone);
  if (known !== undefined) return known;
  let format: Intl.DateTimeFormat | null = null;
  try {
    format = new Intl.DateTimeFormat('en-GB', { timeZone, year: 'numeric', month: 'numeric', day: 'numeric' });
  } catch {
    // A name that is no zone's.
  }
  if (formats.size >= formatsKept) formats.clear();
  formats.set(timeZone, format);
  return format;
}

export const isTimeZone = (timeZone: string): boolean => formatOf(timeZone) !== null;

/** Which day it is in a time zone at an instant, in days since 1970-01-01; in UTC where no zone is named. */
export function localDay(timeZone: string | undefined, at: number): number {
  const parts = timeZone === undefined ? null : formatOf(timeZone)?.formatToParts(at);
  if (!parts) return Math.floor(at / 86_400_000);
  const of = (type: string): number => Number(parts.find((part) => part.type === type)?.value);
  return Math.floor(Date.UTC(of('year'), of('month') - 1, of('day')) / 86_400_000);
}
