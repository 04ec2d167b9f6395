import { rowsWith, sizeOf } from '../index/postingArrays.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { spotSteps, wordsAt } from '../index/spot.ts';
import type { QueryWord } from '../query/understand.ts';
import { alsoLine, bestLine, perfect, wholeLine, wordPoints } from '../scoring/formula.ts';
import { type Gains, kindNumber, notFound, wholeOnly } from '../scoring/gains.ts';
import { openWordMatcher } from './matchWords.ts';
import { wholeValues } from './wholeValues.ts';

/** What matching found, valid until the next call: `records` ascending. */
export interface Matches {
  readonly records: Uint32Array;
  /** Postings looked at, for keeping the work of one search within bounds. */
  readonly steps: number;
}

export interface Matcher {
  /** By record of the whole catalog the score in thousandths, which says something only of the records found last. */
  readonly scores: Int32Array;
  /**
   * The visible records that have every word, with their scores. `hidden` holds 255 for a record that must not show,
   * else 0. Cost: one step a posting of the words' terms; words are taken rarest first, so later ones only add to
   * records that are still in.
   */
  match(words: readonly QueryWord[], gains: Gains, hidden: Uint8Array | null): Matches;
  /** Every visible record, scored 0: a search of no words. */
  all(hidden: Uint8Array | null): Matches;
  /** Nothing: a search in which no word can be read. */
  none(): Matches;
}

const nothing: ReadonlySet<number> = new Set();

/** Each word's share of the points for words, by rarity. */
export function pointsByWord(words: readonly QueryWord[]): number[] {
  const total = words.reduce((sum, word) => sum + word.rarity, 0);
  return words.map((word) => (wordPoints(words.length) * word.rarity) / total);
}

/**
 * Owns `score` and `found`, one item a record of the catalog: what every way of matching writes its scores and the
 * records found to. `longest`: records of a stretch in matching several words (matchWords.ts), where not the usual.
 */
export function openMatcher(snapshot: Snapshot, longest?: number): Matcher {
  const { records, postings } = snapshot;
  const score = new Int32Array(records);
  const found = new Uint32Array(records);
  const matchWords = openWordMatcher({ snapshot, score, found, ...(longest && { longest }) });
  /** By spot, what one word's find gives there: its gain, and the line that comes of it as the best. */
  const gainHere = new Float64Array(snapshot.attributes.length * spotSteps);
  const lineAt = new Int32Array(gainHere.length);

  /**
   * A search of one word that stands for one term: its postings are in order of record, so every record is done with
   * when the next one comes, and nothing need be remembered by record. Answers how many there are.
   */
  function matchOne(
    term: number,
    gainOf: Float64Array,
    points: number,
    whole: ReadonlySet<number>,
    hidden: Uint8Array | null,
  ): number {
    // Named once more, as in familyCounts.ts, which says why.
    const { first, record: records, spot: spots } = rowsWith(postings, postings.start[term]!);
    // Unsigned, as both are: a difference might be below nothing, and would be counted in floating-point numbers.
    const end = (postings.end[term]! - first) >>> 0;
    // What the best find gives depends on its spot alone, so it is rounded once a spot, not once a record.
    gainHere.set(gainOf);
    for (let spot = 0; spot < gainOf.length; spot++) {
      const entry = gainOf[spot]!;
      const gain = entry <= wholeOnly ? wholeOnly - entry : Math.max(0, entry);
      lineAt[spot] = bestLine(points, gain) + wholeLine(gain, 1, wordsAt(spot));
    }
    const those = found;
    const scores = score;
    const gainAt = gainHere;
    const lines = lineAt;
    let count = 0;
    // No record; and unsigned as records are: with -1, both would be turned into floating-point numbers to be compared.
    let last = 0xffffffff;
    let best = 0;
    let other = 0;
    let line = 0;
    for (let posting = (postings.start[term]! - first) >>> 0; posting < end; posting++) {
      const spot = spots[posting]!;
      let gain = gainAt[spot]!;
      if (gain < 0) {
        if (gain === notFound || !whole.has(posting + first)) continue;
        gain = wholeOnly - gain;
      }
      const record = records[posting]!;
      if (record !== last) {
        if (hidden !== null && hidden[record] !== 0) continue;
        last = record;
        best = gain;
        other = 0;
        line = lines[spot]!;
        those[count++] = record;
        scores[record] = line;
      } else if (gain > best) {
        other = best;
        best = gain;
        line = lines[spot]!;
        scores[record] = line + alsoLine(points, best, other);
      } else if (gain > other) {
        other = gain;
        scores[record] = line + alsoLine(points, best, other);
      }
    }
    return count;
  }

  const matches = (count: number, steps: number): Matches => ({ records: found.subarray(0, count), steps });

  return {
    scores: score,
    none: () => matches(0, 0),
    match(words, gains, hidden) {
      if (words.some(({ expansions }) => expansions.length === 0)) return matches(0, 0);
      const table = gains.table(words.length);
      const whole = gains.hasWhole ? wholeValues(postings, words, table) : nothing;
      const points = pointsByWord(words);
      const [only] = words.length === 1 ? words[0]!.expansions : [];
      if (only && !only.phrase && words[0]!.expansions.length === 1) {
        const count = matchOne(only.term, table[kindNumber[only.how]]!, points[0]!, whole, hidden);
        return matches(count, sizeOf(postings, only.term));
      }
      const { count, steps } = matchWords({ words, points, table, whole, hidden });
      return matches(count, steps);
    },
    all(hidden) {
      // Where nothing is searched for all begin alike, so that what boosts and lowers products has something to multiply.
      score.fill(perfect);
      let count = 0;
      for (let record = 0; record < records; record++)
        if (hidden === null || hidden[record] === 0) found[count++] = record;
      return matches(count, records);
    },
  };
}
