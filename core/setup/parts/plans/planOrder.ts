import type { ShelfPlan } from './shelfPlan.ts';

type Ranked = Pick<ShelfPlan, 'rank'>;
/** A plan by its id, as the list keeps it. */
export type Listed<Plan extends Ranked> = readonly [id: string, plan: Plan];

/** Below 0 where the first stands higher in the merchandiser's list: by rank, and where none was ever moved by id. */
export function higherInList([a, { rank: x = 0 }]: Listed<Ranked>, [b, { rank: y = 0 }]: Listed<Ranked>): number {
  return x - y || (a < b ? -1 : Number(a > b));
}

/** Plans in the merchandiser's order. Cost: one sort. */
export const inListOrder = <Plan extends Ranked>(plans: Readonly<Record<string, Plan>>): Listed<Plan>[] =>
  Object.entries(plans).sort(higherInList);

/**
 * The ranks that put a plan at a place of the list, counted from 0: that of the plan alone where there is one between its
 * neighbours; where those stand at one rank, also those of the others at it on one side, whichever are fewer. Nothing where
 * it stands there.
 */
export function ranksToMove(list: readonly Listed<Ranked>[], id: string, to: number): ReadonlyMap<string, number> {
  const at = list.findIndex(([own]) => own === id);
  const place = Math.max(0, Math.min(list.length - 1, to));
  if (at < 0 || place === at) return new Map();
  const others = list.filter(([own]) => own !== id);
  const rankAt = (index: number): number | undefined => others[index] && (others[index][1].rank ?? 0);
  const idsAt = (from: number, until: number): string[] => others.slice(from, until).map(([own]) => own);
  const [before, after] = [rankAt(place - 1), rankAt(place)];
  if (before === undefined) return new Map([[id, after! - 1]]);
  if (after === undefined) return new Map([[id, before + 1]]);
  let [from, until] = [place, place];
  if (before === after) {
    while (rankAt(from - 1) === after) from--;
    while (rankAt(until) === before) until++;
  }
  const isBelow = until - place < place - from;
  const moved = isBelow ? [id, ...idsAt(place, until)] : [...idsAt(from, place), id];
  const low = isBelow ? before : (rankAt(from - 1) ?? after - moved.length - 1);
  const high = isBelow ? (rankAt(until) ?? before + moved.length + 1) : after;
  const step = (high - low) / (moved.length + 1);
  return new Map(moved.map((own, index) => [own, low + step * (index + 1)]));
}
