import type { FilterSetting } from '../setup/parts/filters.ts';

/** A value of a filter that stands for amounts. */
export interface Band {
  /** What an address says for it. */
  readonly value: string;
  /** From this amount, up to but without that one; null where it is open. */
  readonly from: number | null;
  readonly to: number | null;
  /** Of dates: not older than so many days. */
  readonly days: number | null;
  /** Whether an amount is in it; never where there is none. */
  readonly holds: (amount: number) => boolean;
}

/** Ratings that are offered where nothing else is said: so many stars and more. */
const usualRatings = [4, 3, 2, 1];
/** Ages that are offered where nothing else is said, in days. */
export const usualAges = [30, 90, 365];

const between = (from: number | null, to: number | null): Band => ({
  value: `${from ?? ''}..${to ?? ''}`,
  from,
  to,
  days: null,
  holds: (amount) => !Number.isNaN(amount) && amount >= (from ?? amount) && (to === null || amount < to),
});

/**
 * What a filter of amounts is chosen from, in the order shown: own ranges from the least up, so many stars and more from
 * the most down, or (of dates) the last so many days, which lie inside each other. None for any other filter. `today` is
 * in days since 1970, as dates are.
 */
export function bandsOf({ kind, thresholds }: FilterSetting, isDate: boolean, today: number): Band[] {
  if (kind === 'rating')
    return (thresholds?.toReversed() ?? usualRatings).map((least) => ({
      ...between(least, null),
      value: String(least),
    }));
  if (kind !== 'bands') return [];
  if (isDate)
    return (thresholds ?? usualAges).map((days) => ({
      value: `${days}d`,
      from: null,
      to: null,
      days,
      holds: (date) => date >= today - days,
    }));
  const ends = thresholds ?? [];
  return ends.length === 0 ? [] : [null, ...ends].map((from, at) => between(from, at < ends.length ? ends[at]! : null));
}

/** A round number near a step: 1, 2, 2.5 or 5 times a power of ten. */
function roundStep(step: number): number {
  const power = 10 ** Math.floor(Math.log10(step));
  return [1, 2, 2.5, 5, 10].map((factor) => factor * power).find((round) => round >= step * 0.999)!;
}
const exact = (amount: number): number => Number(amount.toPrecision(10));

/** Thresholds at round numbers that part a span into about `parts` ranges of one width; none where there is no span. */
export function roundThresholds(least: number, most: number, parts: number): number[] {
  if (!(most > least)) return [];
  const step = roundStep((most - least) / parts);
  const list: number[] = [];
  for (let at = Math.floor(least / step) + 1; exact(at * step) < most; at++) list.push(exact(at * step));
  return list;
}

/**
 * Thresholds that part ascending amounts into ranges of about as many each, rounded as far as no two become one. Fewer
 * come back where many amounts are equal.
 */
export function equalThresholds(ascending: ArrayLike<number>, parts: number): number[] {
  const least = ascending[0];
  const count = ascending.length;
  const list: number[] = [];
  if (least === undefined) return list;
  for (let part = 1; part < parts; part++) {
    const amount = ascending[Math.floor((count * part) / parts)]!;
    const digits = amount === 0 ? 0 : 10 ** (Math.floor(Math.log10(Math.abs(amount))) - 1);
    const round = digits === 0 ? 0 : exact(Math.round(amount / digits) * digits);
    const last = list.at(-1) ?? least;
    const chosen = round > last ? round : amount;
    if (chosen > last) list.push(exact(chosen));
  }
  return list;
}
