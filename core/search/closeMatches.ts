import { testFilters } from '../facets/filters.ts';
import type { QueryWord } from '../query/understand.ts';
import { withBoost } from '../rules/boosts.ts';
import { pulledScore, totalPull } from '../rules/plansForSearch.ts';
import { affordable } from './affordable.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import { type Ranking, rank, type SearchRequest } from './rank.ts';
import type { Scope } from './scope.ts';

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

/** Records that the rarest word left may be found in: what is commoner is close to nothing in particular. */
const mostRecords = 20_000;
/** Of what the words tell, the share that the missing one may have: of two words half, of more two thirds. */
const mostLost = (words: number): number => (words > 2 ? 2 / 3 : 1 / 2);

/** Records that have any of what a word may stand for, or more. */
const recordsWith = ({ snapshot }: Engine, { expansions }: QueryWord): number =>
  expansions.reduce((sum, { term }) => sum + (snapshot.postings.termRecords[term] ?? 0), 0);

/** The words of a search of which one may be missing: those it was found by, and those it had to do without. */
const wordsOf = ({ words, missing }: Ranking): QueryWord[] => [...words, ...missing];

/**
 * Whether a search is filled up: where what was found has all the words that the catalog knows, or all but one since
 * nothing has them all, on a first page that has room left, in order of relevance. Never while the shopper types, nor where
 * a part number was meant.
 */
export function isFilledUp({ setup }: PreparedSetup, ranking: Ranking, request: SearchRequest): boolean {
  const { missing, together, isBrowsing, sorted, skuCandidate, foundAny, total } = ranking;
  if (!setup.relevance.fillUp.on || request.typing || request.box || request.allWords) return false;
  if (request.page > 1 || total >= request.limit || !foundAny || isBrowsing) return false;
  if (together.length > 0 || sorted !== null || skuCandidate >= 0) return false;
  return wordsOf(ranking).length > 1 && missing.length <= 1;
}

/**
 * What lacks just one word of a search that the catalog knows, the best first, at most so many products: for the room that
 * is left on a page below what was found. Filters, hiding, limits of price and the collection hold for it as for the rest. Overwrites
 * what the ranking found, so it comes after everything is read from that. Cost: a match for each word, none of which
 * begins with more than `mostRecords` records.
 */
export function closeMatches(
  engine: Engine,
  prepared: PreparedSetup,
  ranking: Ranking,
  scope: Scope | null,
  wanted: number,
): CloseMatch[] {
  const { snapshot, matcher, inStock, boosts } = engine;
  const words = wordsOf(ranking);
  const { pulls, understood, choices, hidden, soldOutLast } = ranking;
  const found = new Set(ranking.candidates.families);
  const total = words.reduce((sum, { rarity }) => sum + rarity, 0);
  const best = new Map<number, CloseMatch>();
  for (const missing of words) {
    if (missing.rarity > total * mostLost(words.length)) continue;
    const kept = words.filter((word) => word !== missing);
    if (kept.every((word) => recordsWith(engine, word) > mostRecords)) continue;
    const { records: matching } = matcher.match(kept, prepared.gains, hidden);
    const within = scope ? matching.filter((record) => scope.contains(record)) : matching;
    const records = understood.price ? affordable(snapshot, within, understood.price) : within;
    const { failing } = testFilters(prepared.filters, choices.chosen, records, engine.failing);
    const left = 1 - missing.rarity / total;
    for (const record of records) {
      const family = snapshot.recordFamily[record]!;
      if (found.has(family) || (failing !== null && failing[record] !== 0)) continue;
      const score = Math.round(matcher.scores[record]! * left);
      const before = best.get(family);
      const isBetter =
        !before ||
        score > before.score ||
        (score === before.score && inStock[before.record] === 0 && inStock[record] === 1);
      if (isBetter) best.set(family, { family, record, score, without: missing.text });
    }
  }
  const pulled = [...best.values()].map((match) => {
    const own = pulls.get(snapshot.familyId(match.family)) ?? [];
    return { ...match, score: pulledScore(match.score, totalPull(withBoost(own, boosts, match.family))) };
  });
  const isOut = ({ family }: CloseMatch): number => Number(soldOutLast && engine.familyInStock[family] === 0);
  return pulled.sort((a, b) => isOut(a) - isOut(b) || b.score - a.score || a.family - b.family).slice(0, wanted);
}

/** Ids of the first `depth` products in order, and of those a page is filled up with: what a shopper gets to see. */
export function shownFamilies(
  engine: Engine,
  prepared: PreparedSetup,
  request: SearchRequest,
  depth: number,
): string[] {
  const ranking = rank(engine, prepared, request, depth);
  const { snapshot } = engine;
  const ids = ranking.placed.map(({ candidate }) => snapshot.familyId(ranking.candidates.families[candidate]!));
  if (!isFilledUp(prepared, ranking, request)) return ids;
  const close = closeMatches(engine, prepared, ranking, null, request.limit - ranking.total);
  return [...ids, ...close.map(({ family }) => snapshot.familyId(family))];
}
