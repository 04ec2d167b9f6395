import { dayAfter, instantOf } from '../base/localTime.ts';
import type { Setup } from '../setup/schema.ts';
import { instantsOf, type Span } from '../setup/terms/span.ts';

/** By setup, the instants at which anything in it begins or ends, ascending. */
const known = new WeakMap<Setup, readonly number[]>();
function changesOf(setup: Setup): readonly number[] {
  const before = known.get(setup);
  if (before) return before;
  const { timeZone } = setup.storefront.shop;
  const instants = new Set<number>();
  for (const { entry } of datedIn(setup)) {
    if (entry.from === undefined && entry.until === undefined) continue;
    const { begins, ends } = instantsOf(entry, timeZone);
    if (begins !== null) instants.add(begins);
    if (ends !== null) instants.add(ends);
  }
  const all = [...instants].sort((a, b) => a - b);
  known.set(setup, all);
  return all;
}

/**
 * The stretch of time an instant lies in, between two instants at which something of a setup begins or ends: while it is
 * the same, and the day is, the setup means the same. Cost: a look over the entries, once a setup.
 */
export function periodOf(setup: Setup, now: number): number {
  const changes = changesOf(setup);
  const next = changes.findIndex((instant) => instant > now);
  return next < 0 ? changes.length : next;
}

/** The parts whose entries may have dates. */
const datedParts = ['plans', 'houseRules', 'hiding', 'content', 'suggestedSearches'] as const;

/** Something of a setup that may have dates, as far as those go; a badge is known by its own key. */
export interface Dated {
  readonly part: (typeof datedParts)[number] | 'badges';
  readonly key: string;
  readonly entry: Span & { readonly on?: boolean | undefined };
}

/** Everything of a setup that may have dates. Cost: a look over the entries. */
export const datedIn = (setup: Setup): Dated[] => [
  ...datedParts.flatMap((part) =>
    Object.entries(setup[part] as Readonly<Record<string, Dated['entry']>>).map(([key, entry]) => ({
      part,
      key,
      entry,
    })),
  ),
  ...setup.badges.shown.list.map((entry) => ({ part: 'badges' as const, key: entry.key, entry })),
];

/** Something of a setup that begins or ends at an instant. */
export interface ComingChange {
  /** Milliseconds since 1970. */
  readonly instant: number;
  readonly what: 'begins' | 'ends';
  readonly part: Dated['part'];
  readonly key: string;
}

/** When days of every year begin and end next, of two years to come. */
function nextSeason(
  { from, until }: { readonly from: string; readonly until: string },
  now: number,
  timeZone: string | undefined,
): (readonly ['begins' | 'ends', number])[] {
  const year = new Date(now).getUTCFullYear();
  const next = (day: string, shown: (moment: string) => string): number[] =>
    [year - 1, year, year + 1, year + 2]
      .map((each) => instantOf(timeZone, shown(`${each}-${day}`)))
      .filter((instant) => instant > now)
      .slice(0, 1);
  return [
    ...next(from, (day) => day).map((instant) => ['begins', instant] as const),
    ...next(until, dayAfter).map((instant) => ['ends', instant] as const),
  ];
}

/** What begins and ends after an instant, the soonest first, at most so many; what is switched off does neither. */
export function comingChanges(setup: Setup, now: number, most: number): ComingChange[] {
  const { timeZone } = setup.storefront.shop;
  const all = datedIn(setup).flatMap(({ part, key, entry }): ComingChange[] => {
    if (entry.on === false) return [];
    const { begins, ends } = instantsOf(entry, timeZone);
    const season = entry.yearly ? nextSeason(entry.yearly, now, timeZone) : [];
    const change = (what: ComingChange['what'], instant: number): ComingChange => ({ instant, what, part, key });
    return [
      ...(begins !== null && begins > now ? [change('begins', begins)] : []),
      ...(ends !== null && ends > now ? [change('ends', ends)] : []),
      // Days of the year outside its dates are none of its own.
      ...season
        .filter(([, instant]) => instant > (begins ?? 0) && instant < (ends ?? Number.POSITIVE_INFINITY))
        .map(([what, instant]) => change(what, instant)),
    ];
  });
  return all.sort((a, b) => a.instant - b.instant || (a.key < b.key ? -1 : 1)).slice(0, most);
}
