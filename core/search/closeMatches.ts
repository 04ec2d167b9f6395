import { testFilters } from '../facets/filters.ts';
import type { QueryWord } from '../query/understand.ts';
import { scoreAfter } from '../rules/resolve.ts';
import { affordable } from './affordable.ts';
import { climb } from './climb.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import { factorOf, type Ranking } from './rank.ts';
import type { Scope } from './scope.ts';
import type { SearchRequest } from './searchRequest.ts';

/** A product that lacks one word of the search. */
export interface CloseMatch {
  readonly family: number;
  /** The variant that stands for it. */
  readonly record: number;
  /** What the other words give, less the share of the missing one; in thousandths, after pulls. */
  readonly score: number;
  /** The word it lacks, as it was typed. */
  readonly without: string;
}

/**
 * Records looked at for all of a search: those of the rarest word left, for each word that may be missing. What is commoner
 * is close to nothing in particular, and would make the search wait.
 */
const mostRecords = 500;
/** Of what the words tell, the share that the missing one may have: of two words half, of more two thirds. */
const mostLost = (words: number): number => (words > 2 ? 2 / 3 : 1 / 2);

/** Words of a search that what was found may lack, where what lacks another one is looked for. */
const mostMissing = 2;

/** Records that have any of what a word may stand for, or more. */
const recordsWith = ({ snapshot }: Engine, { expansions }: QueryWord): number =>
  expansions.reduce((sum, { term }) => sum + (snapshot.postings.termRecords[term] ?? 0), 0);

/** The words of a search of which one may be missing: those it was found by, and those it had to do without. */
const wordsOf = ({ words, missing }: Ranking): QueryWord[] => [...words, ...missing];

/**
 * Whether a search is filled up: where what was found has all the words that the catalog knows, or all but one or two since
 * nothing has them all (one rare word may tell more than two others, and they together mean something as well), on a
 * first page that has room left, in order of relevance. Never while the shopper types, nor where
 * a part number was meant.
 */
export function isFilledUp({ setup }: PreparedSetup, ranking: Ranking, request: SearchRequest): boolean {
  const { missing, together, isBrowsing, sorted, skuCandidate, foundAny, total } = ranking;
  if (!setup.relevance.fillUp.on || request.typing || request.box || request.allWords) return false;
  if (request.page > 1 || total >= request.limit || !foundAny || isBrowsing) return false;
  if (together.length > 0 || sorted !== null || skuCandidate >= 0) return false;
  return wordsOf(ranking).length > 1 && missing.length <= mostMissing;
}

/** What of a search decides which products may be shown for it, and before which. */
interface Showing {
  /** Families that were found with all words. */
  readonly found: ReadonlySet<number>;
  readonly isOut: (family: number) => boolean;
  readonly pullOf: (family: number) => number;
}

/** Whether one product stands before another. */
const isBefore = ({ isOut }: Showing, a: CloseMatch, b: CloseMatch): boolean =>
  (Number(isOut(a.family)) - Number(isOut(b.family)) || b.score - a.score || a.family - b.family) < 0;

/**
 * The best `wanted` products among records that lack one word, in order. Records ascend, so a product's variants are
 * neighbours; most products are worse than the last one kept and cost no more than their score.
 */
function bestOf(
  engine: Engine,
  records: Uint32Array,
  showing: Showing,
  { left, without, failing, wanted }: { left: number; without: string; failing: Uint32Array | null; wanted: number },
): CloseMatch[] {
  const { snapshot, inStock } = engine;
  const { scores } = engine.matcher;
  const owners = snapshot.recordFamily;
  const best: CloseMatch[] = [];
  for (let at = 0; at < records.length; ) {
    const family = owners[records[at]!]!;
    let shown = -1;
    let worth = -1;
    for (; at < records.length && owners[records[at]!] === family; at++) {
      const record = records[at]!;
      if (failing !== null && failing[record] !== 0) continue;
      const score = Math.round(scores[record]! * left);
      if (score < worth || (score === worth && (inStock[shown] === 1 || inStock[record] === 0))) continue;
      shown = record;
      worth = score;
    }
    if (shown < 0 || showing.found.has(family)) continue;
    const match = { family, record: shown, score: scoreAfter(worth, showing.pullOf(family)), without };
    if (best.length === wanted && !isBefore(showing, match, best[wanted - 1]!)) continue;
    let place = best.length;
    while (place > 0 && isBefore(showing, match, best[place - 1]!)) place--;
    best.splice(place, 0, match);
    if (best.length > wanted) best.pop();
  }
  return best;
}

/**
 * What lacks just one word of a search that the catalog knows, the best first, at most so many products: for the room that
 * is left on a page below what was found. Filters, hiding, limits of price and the collection hold for it as for the rest.
 * Overwrites what the ranking found, so it comes after everything is read from that. Cost: a match for each word, of
 * `mostRecords` records together.
 */
export function closeMatches(
  engine: Engine,
  prepared: PreparedSetup,
  ranking: Ranking,
  scope: Scope | null,
  wanted: number,
): CloseMatch[] {
  const { snapshot, matcher } = engine;
  const words = wordsOf(ranking);
  const { factors, standing, understood, choices, hidden, soldOutLast } = ranking;
  const showing: Showing = {
    found: new Set(ranking.candidates.families),
    isOut: (family) => soldOutLast && engine.familyInStock[family] === 0,
    pullOf: factors.isNone && standing === null ? () => 1 : (family) => factorOf(ranking, family),
  };
  const total = words.reduce((sum, { rarity }) => sum + rarity, 0);
  const best = new Map<number, CloseMatch>();
  let room = mostRecords;
  // The least telling word first: what lacks it is closest, and the rare words that stay are found soonest.
  for (const missing of [...words].sort((a, b) => a.rarity - b.rarity)) {
    if (missing.rarity > total * mostLost(words.length)) break;
    const kept = words.filter((word) => word !== missing);
    const cost = Math.min(...kept.map((word) => recordsWith(engine, word)));
    if (cost > room) continue;
    room -= cost;
    const { records: matching } = matcher.match(kept, prepared.gains, hidden);
    const within = scope ? matching.filter((record) => scope.contains(record)) : matching;
    const records = understood.price ? affordable(snapshot, within, understood.price) : within;
    const { failing } = testFilters(prepared.filters, choices.chosen, records, engine.failing);
    const left = 1 - missing.rarity / total;
    for (const match of bestOf(engine, records, showing, { left, without: missing.text, failing, wanted })) {
      const before = best.get(match.family);
      if (!before || match.score > before.score) best.set(match.family, match);
    }
  }
  return [...best.values()].sort((a, b) => (isBefore(showing, a, b) ? -1 : 1)).slice(0, wanted);
}

/** Ids of the first `depth` products in order, and of those a page is filled up with: what a shopper gets to see. */
export function shownFamilies(engine: Engine, setup: PreparedSetup, request: SearchRequest, depth: number): string[] {
  const { ranking, prepared } = climb(engine, setup, request, depth);
  const { snapshot } = engine;
  const ids = ranking.placed.map(({ candidate }) => snapshot.familyId(ranking.candidates.families[candidate]!));
  if (!isFilledUp(prepared, ranking, request)) return ids;
  const close = closeMatches(engine, prepared, ranking, null, request.limit - ranking.total);
  return [...ids, ...close.map(({ family }) => snapshot.familyId(family))];
}
