import { type Beside, besides, depth, type FirstPage, pageSize } from './firstPage.ts';
import type { WeighedSearch } from './weighedSearch.ts';

/** One product that moved on the first page of one search. */
export interface Move {
  readonly search: string;
  /** How often the search is made. */
  readonly searches: number;
  readonly product: string;
  /** Places from 1; null where it was, or is, not among the first ones looked at. */
  readonly from: number | null;
  readonly to: number | null;
}

/** What changes on the first pages of searches, in a shopper's terms. */
export interface PageEffect {
  readonly looked: number;
  readonly changed: number;
  /** How often the searches that change are made, and all that were looked at. */
  readonly times: number;
  readonly ofTimes: number;
  /** The largest move of each of the searches that change most, those made most often first. */
  readonly moves: readonly Move[];
  /** Searches that find fewer products, and more. */
  readonly fewer: number;
  readonly more: number;
  /** Those whose numbers change most, by how much of them and how often they are made. */
  readonly found: readonly FoundChange[];
  /** Searches that show other banners, send elsewhere or show other filters than before. */
  readonly beside: Readonly<Record<Beside, number>>;
}

/** One search that finds more or fewer products than before. */
export interface FoundChange {
  readonly search: string;
  readonly searches: number;
  readonly from: number;
  readonly to: number;
}

const movesShown = 5;
const foundShown = 3;
/** A product that comes from, or goes, beyond what was looked at counts as having moved so far. */
const beyond = depth;

/** The product that rises furthest on the page, or where none does the one that falls furthest; null where none moves. */
function largestMove(before: readonly string[], after: readonly string[]): Omit<Move, 'search' | 'searches'> | null {
  const was = new Map(before.map((id, at) => [id, at + 1]));
  const is = new Map(after.map((id, at) => [id, at + 1]));
  let largest: { move: Omit<Move, 'search' | 'searches'>; places: number } | null = null;
  for (const product of new Set([...after.slice(0, pageSize), ...before.slice(0, pageSize)])) {
    const from = was.get(product) ?? null;
    const to = is.get(product) ?? null;
    const gained = (from ?? beyond) - (to ?? beyond);
    // What comes up is what shoppers now see: it is reported before anything that made room for it.
    const places = gained > 0 ? gained + beyond : -gained;
    if (places > (largest?.places ?? 0)) largest = { move: { product, from, to }, places };
  }
  return largest?.move ?? null;
}

/** How much of what a search finds changes, from 0 to 1, weighed by how often it is made. */
const weightOf = ({ from, to, searches }: FoundChange): number => (searches * Math.abs(to - from)) / Math.max(from, to);

const isSamePage = (a: FirstPage, b: FirstPage): boolean => {
  const [before, after] = [a.families.slice(0, pageSize), b.families.slice(0, pageSize)];
  return before.length === after.length && before.every((id, at) => id === after[at]);
};

/** Compares first pages before and after; the lists are parallel to the searches. Cost: linear in the places. */
export function pageEffect(
  searches: readonly WeighedSearch[],
  before: readonly FirstPage[],
  after: readonly FirstPage[],
): PageEffect {
  const changed = searches.flatMap(({ search, searches: times }, at): (Move & { readonly weight: number })[] => {
    if (isSamePage(before[at]!, after[at]!)) return [];
    const move = largestMove(before[at]!.families, after[at]!.families);
    if (!move) return [];
    const places = Math.abs((move.from ?? beyond) - (move.to ?? beyond));
    return [{ search, searches: times, ...move, weight: times * places }];
  });
  const found = searches
    .map(({ search, searches: times }, at): FoundChange => {
      return { search, searches: times, from: before[at]!.total, to: after[at]!.total };
    })
    .filter(({ from, to }) => from !== to);
  const otherBeside = (what: Beside): number =>
    searches.filter((_, at) => before[at]!.beside[what] !== after[at]!.beside[what]).length;
  return {
    beside: Object.fromEntries(besides.map((what) => [what, otherBeside(what)])) as PageEffect['beside'],
    fewer: found.filter(({ from, to }) => to < from).length,
    more: found.filter(({ from, to }) => to > from).length,
    found: [...found].sort((a, b) => weightOf(b) - weightOf(a) || (a.search < b.search ? -1 : 1)).slice(0, foundShown),
    looked: searches.length,
    changed: changed.length,
    times: changed.reduce((sum, { searches: times }) => sum + times, 0),
    ofTimes: searches.reduce((sum, { searches: times }) => sum + times, 0),
    moves: [...changed]
      .sort((a, b) => b.weight - a.weight || (a.search < b.search ? -1 : 1))
      .slice(0, movesShown)
      .map(({ weight: _, ...move }) => move),
  };
}
