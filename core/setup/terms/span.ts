import { clockMinutes, dayAfter, instantOf, isWholeDay } from '../../base/localTime.ts';

/**
 * When something holds: from a moment on, until another, and on some days of every year; what is not said does not limit.
 * Moments are read on the storefront's clock, as 2026-12-01 or 2026-12-01T08:00. A day stands for the whole of it, so what
 * is until a day holds on that day too; what is until an hour ends with it. Days of the year are written as 12-24, both
 * included, and may go past the new year.
 */
export interface Span {
  readonly from?: string | undefined;
  readonly until?: string | undefined;
  readonly yearly?: { readonly from: string; readonly until: string } | undefined;
}

/** The clock that spans are read on, and what it shows. */
export interface When {
  /** Milliseconds since 1970. */
  readonly now: number;
  /** The storefront's day then, in days since 1970. */
  readonly today: number;
  readonly timeZone: string | undefined;
}

export const endsTooSoon = 'It ends before it begins.';

/** The moment at which what is until another one has ended. */
const endOf = (until: string): string => (isWholeDay(until) ? dayAfter(until) : until);

export const endsBeforeItBegins = ({ from, until }: Span): boolean =>
  from !== undefined && until !== undefined && clockMinutes(endOf(until)) <= clockMinutes(from);

/** Instants by zone and moment: setups are bound often, and looking at a clock takes long. */
const instants = new Map<string, number>();
const instantsKept = 10_000;
function instantAt(timeZone: string | undefined, moment: string): number {
  const key = `${timeZone} ${moment}`;
  const known = instants.get(key);
  if (known !== undefined) return known;
  const instant = instantOf(timeZone, moment);
  if (instants.size >= instantsKept) instants.clear();
  instants.set(key, instant);
  return instant;
}

/** The instants at which a span begins and ends, in milliseconds since 1970; null for open ends. Days of the year are not among them. */
export function instantsOf(
  { from, until }: Span,
  timeZone: string | undefined,
): { readonly begins: number | null; readonly ends: number | null } {
  return {
    begins: from === undefined ? null : instantAt(timeZone, from),
    ends: until === undefined ? null : instantAt(timeZone, endOf(until)),
  };
}

function isOfYear({ from, until }: { readonly from: string; readonly until: string }, today: number): boolean {
  const day = new Date(today * 86_400_000).toISOString().slice(5, 10);
  return from <= until ? from <= day && day <= until : day >= from || day <= until;
}

/** Whether something holds, or has yet to begin, or is over; `outOfSeason` where its days of the year are not now. */
export function stateOf(span: Span, { now, today, timeZone }: When): 'holds' | 'early' | 'over' | 'outOfSeason' {
  if (span.from !== undefined || span.until !== undefined) {
    const { begins, ends } = instantsOf(span, timeZone);
    if (begins !== null && now < begins) return 'early';
    if (ends !== null && now >= ends) return 'over';
  }
  return span.yearly && !isOfYear(span.yearly, today) ? 'outOfSeason' : 'holds';
}

export const holdsAt = (span: Span, when: When): boolean => stateOf(span, when) === 'holds';

/** Whether nothing limits when it holds. */
export const isAlways = ({ from, until, yearly }: Span): boolean => (from ?? until ?? yearly) === undefined;

/** When something holds, in words that follow a verb: “from 2026-12-01 until 2026-12-24”; empty for always. */
export const spanInWords = ({ from, until, yearly }: Span): string =>
  [
    from && `from ${from.replace('T', ' ')}`,
    until && `until ${until.replace('T', ' ')}`,
    yearly && `every year from ${yearly.from} to ${yearly.until}`,
  ]
    .filter(Boolean)
    .join(' ');
