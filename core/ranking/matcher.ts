import { positionsLookedAt } from '../index/postings.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { spotSteps, wordsAt } from '../index/spot.ts';
import { mostWords, type QueryWord } from '../query/understand.ts';
import { alsoLine, bestLine, closenessLine, gapBetween, pairPoints, wholeLine, wordPoints } from './formula.ts';
import { type Gains, kindNumber, notFound, wholeOnly } from './gains.ts';
import { wholeValues } from './wholeValues.ts';

/** What matching found, valid until the next call: `records` ascending. */
export interface Matches {
  readonly records: Uint32Array;
  /** Postings looked at, for keeping the work of one search within bounds. */
  readonly steps: number;
}

/** Postings a record must be ahead by, on average, for searching to beat walking. */
const worthSeeking = 12;

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

/** Each word's share of the points for words, by rarity. */
export function pointsByWord(words: readonly QueryWord[]): number[] {
  const total = words.reduce((sum, word) => sum + word.rarity, 0);
  return words.map((word) => (wordPoints(words.length) * word.rarity) / total);
}

/**
 * Owns the scratch arrays of matching, one item a record: `state` (words found so far, 255 for hidden), `score`, and
 * for each word the best and second-best gain and the posting of the best. Bound as constants in one closure, since
 * a typed array that is an argument is read several times slower.
 */
export function openMatcher(snapshot: Snapshot): Matcher {
  const { records } = snapshot;
  const { record: postingRecord, spot: postingSpot, start, positionStart, positions } = snapshot.postings;
  const state = new Uint8Array(records);
  const score = new Int32Array(records);
  const second = new Float64Array(records);
  const touched = new Uint32Array(records);
  const candidates = new Uint32Array(records);
  /** By spot, what one word's find gives there: its gain, and the line that comes of it as the best. */
  const gainHere = new Float64Array(snapshot.attributes.length * spotSteps);
  const lineAt = new Int32Array(gainHere.length);
  /** By word of the search, the spot and the gain of its best find in the record that is being looked at. */
  const spotHere = new Uint16Array(mostWords);
  const bestHere = new Float64Array(mostWords);
  const bestOf: Float64Array[] = [];
  const postingOf: Int32Array[] = [];

  /** The postings that hold of attributes counting only where their whole value is found. */
  let whole: ReadonlySet<number> = new Set();
  let steps = 0;

  /** Takes one posting into account; answers the new count of records that have the word of this turn. */
  function take(posting: number, gainOf: Float64Array, turn: number, slot: number, count: number): number {
    let gain = gainOf[postingSpot[posting]!]!;
    if (gain < 0) {
      if (gain === notFound || !whole.has(posting)) return count;
      gain = wholeOnly - gain;
    }
    const record = postingRecord[posting]!;
    const found = state[record]!;
    const best = bestOf[slot]!;
    const bestPosting = postingOf[slot]!;
    if (found === turn) {
      state[record] = turn + 1;
      best[record] = gain;
      bestPosting[record] = posting;
      second[record] = 0;
      touched[count] = record;
      return count + 1;
    }
    if (found !== turn + 1) return count;
    const before = best[record]!;
    const attribute = postingSpot[posting]! >> 8;
    const beforeAttribute = postingSpot[bestPosting[record]!]! >> 8;
    if (attribute === beforeAttribute) {
      if (gain > before) {
        best[record] = gain;
        bestPosting[record] = posting;
      }
    } else if (gain > before || (gain === before && attribute < beforeAttribute)) {
      second[record] = before;
      best[record] = gain;
      bestPosting[record] = posting;
    } else if (gain > second[record]!) second[record] = gain;
    return count;
  }

  /** The first posting from `from` on whose record is not below `record`: steps that double, then bisection. */
  function seek(record: number, from: number, end: number): number {
    let step = 1;
    let low = from;
    while (low + step < end && postingRecord[low + step]! < record) {
      low += step;
      step *= 2;
    }
    let high = Math.min(end, low + step);
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (postingRecord[middle]! < record) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  /**
   * Adds one word to the records that had all words before it, `before` of them in `touched`; answers how many have
   * it too. A long row of postings is not walked for a few records but searched for each.
   */
  function gather(word: QueryWord, turn: number, slot: number, gains: readonly Float64Array[], before: number): number {
    bestOf[slot] ??= new Float64Array(records);
    postingOf[slot] ??= new Int32Array(records);
    let areSorted = false;
    let count = 0;
    if (turn > 0) candidates.set(touched.subarray(0, before));
    for (const { term, how, phrase } of word.expansions) {
      const gainOf = gains[kindNumber[how]]!;
      if (phrase) {
        steps += phrase.postings.length;
        for (const posting of phrase.postings) count = take(posting, gainOf, turn, slot, count);
        continue;
      }
      const end = start[term + 1]!;
      const isWalked = turn === 0 || end - start[term]! < before * worthSeeking;
      steps += isWalked ? end - start[term]! : before;
      if (isWalked) {
        for (let posting = start[term]!; posting < end; posting++) count = take(posting, gainOf, turn, slot, count);
        continue;
      }
      if (!areSorted) candidates.subarray(0, before).sort();
      areSorted = true;
      let posting = start[term]!;
      for (let at = 0; at < before && posting < end; at++) {
        const record = candidates[at]!;
        posting = seek(record, posting, end);
        while (posting < end && postingRecord[posting] === record) count = take(posting++, gainOf, turn, slot, count);
      }
    }
    return count;
  }

  function addWordLines(points: number, count: number, slot: number, first: boolean): void {
    const best = bestOf[slot]!;
    for (let at = 0; at < count; at++) {
      const record = touched[at]!;
      const gain = best[record]!;
      const line = bestLine(points, gain) + alsoLine(points, gain, second[record]!);
      score[record] = first ? line : score[record]! + line;
    }
  }

  function leastGap(first: number, other: number): number {
    let least = 65_536;
    const firstEnd = Math.min(positionStart[first + 1]!, positionStart[first]! + positionsLookedAt);
    const otherEnd = Math.min(positionStart[other + 1]!, positionStart[other]! + positionsLookedAt);
    for (let a = positionStart[first]!; a < firstEnd; a++)
      for (let b = positionStart[other]!; b < otherEnd; b++) {
        const gap = gapBetween(positions[a]!, positions[b]!);
        if (gap < least) least = gap;
      }
    return least;
  }

  function addCloseness(words: number, count: number): void {
    const points = pairPoints(words);
    for (let pair = 0; pair + 1 < words; pair++) {
      const firstBest = bestOf[pair]!;
      const otherBest = bestOf[pair + 1]!;
      const firstPosting = postingOf[pair]!;
      const otherPosting = postingOf[pair + 1]!;
      for (let at = 0; at < count; at++) {
        const record = touched[at]!;
        const first = firstPosting[record]!;
        const other = otherPosting[record]!;
        if (postingSpot[first]! >> 8 !== postingSpot[other]! >> 8) continue;
        const gap = leastGap(first, other);
        score[record]! += closenessLine(points, firstBest[record]!, otherBest[record]!, gap);
      }
    }
  }

  /** Adds what is given for how much of a value the search says: the most of any attribute that a word is best found in. */
  function addWhole(words: number, count: number): void {
    for (let at = 0; at < count; at++) {
      const record = touched[at]!;
      // Each word's find is looked up once, not once for every other word: they stand far apart in memory.
      for (let slot = 0; slot < words; slot++) {
        spotHere[slot] = postingSpot[postingOf[slot]![record]!]!;
        bestHere[slot] = bestOf[slot]![record]!;
      }
      let most = 0;
      for (let slot = 0; slot < words; slot++) {
        const spot = spotHere[slot]!;
        // In one attribute, in values as long, every word says the same of it.
        if (slot > 0 && spot >> 4 === spotHere[slot - 1]! >> 4) continue;
        let least = 1;
        let found = 0;
        for (let other = 0; other < words; other++) {
          if (spotHere[other]! >> 8 !== spot >> 8) continue;
          found++;
          least = Math.min(least, bestHere[other]!);
        }
        most = Math.max(most, wholeLine(least, found, wordsAt(spot)));
      }
      score[record]! += most;
    }
  }

  /** The touched records in ascending order: sorted where they are few, read off the states where they are many. */
  function ascending(count: number, turns: number): Uint32Array {
    if (count * 16 < records) return touched.subarray(0, count).sort();
    let at = 0;
    for (let record = 0; record < records; record++) if (state[record] === turns) touched[at++] = record;
    return touched.subarray(0, at);
  }

  /**
   * A search of one word that stands for one term: its postings are in order of record, so every record is done with
   * when the next one comes, and nothing need be remembered by record. Answers how many there are.
   */
  function matchOne(term: number, gainOf: Float64Array, points: number, hidden: Uint8Array | null): number {
    const end = start[term + 1]!;
    // What the best find gives depends on its spot alone, so it is rounded once a spot, not once a record.
    gainHere.set(gainOf);
    for (let spot = 0; spot < gainOf.length; spot++) {
      const entry = gainOf[spot]!;
      const gain = entry <= wholeOnly ? wholeOnly - entry : Math.max(0, entry);
      lineAt[spot] = bestLine(points, gain) + wholeLine(gain, 1, wordsAt(spot));
    }
    reset(hidden);
    // Named once more, as in familyCounts.ts, which says why.
    const records = postingRecord;
    const spots = postingSpot;
    const states = state;
    const found = touched;
    const scores = score;
    const gainAt = gainHere;
    const lines = lineAt;
    let count = 0;
    // No record; and unsigned as records are: with -1, both would be turned into floating-point numbers to be compared.
    let last = 0xffffffff;
    let best = 0;
    let other = 0;
    let line = 0;
    for (let posting = start[term]!; posting < end; posting++) {
      const spot = spots[posting]!;
      let gain = gainAt[spot]!;
      if (gain < 0) {
        if (gain === notFound || !whole.has(posting)) continue;
        gain = wholeOnly - gain;
      }
      const record = records[posting]!;
      if (record !== last) {
        if (hidden !== null && states[record] !== 0) continue;
        last = record;
        best = gain;
        other = 0;
        line = lines[spot]!;
        found[count++] = record;
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

  const reset = (hidden: Uint8Array | null): void => {
    if (hidden) state.set(hidden);
    else state.fill(0);
  };
  const matches = (found: Uint32Array, steps: number): Matches => ({ records: found, steps });

  return {
    scores: score,
    none: () => matches(touched.subarray(0, 0), 0),
    match(words, gains, hidden) {
      if (words.some(({ expansions }) => expansions.length === 0)) return matches(touched.subarray(0, 0), 0);
      const table = gains.table(words.length);
      if (gains.hasWhole) whole = wholeValues(snapshot.postings, words, table);
      const points = pointsByWord(words);
      const [only] = words.length === 1 ? words[0]!.expansions : [];
      if (only && !only.phrase && words[0]!.expansions.length === 1) {
        const count = matchOne(only.term, table[kindNumber[only.how]]!, points[0]!, hidden);
        return matches(touched.subarray(0, count), start[only.term + 1]! - start[only.term]!);
      }
      reset(hidden);
      steps = 0;
      const turns = [...words.keys()].sort((a, b) => words[b]!.rarity - words[a]!.rarity || a - b);
      let count = 0;
      for (const [turn, slot] of turns.entries()) {
        count = gather(words[slot]!, turn, slot, table, count);
        if (count === 0) return matches(touched.subarray(0, 0), steps);
        addWordLines(points[slot]!, count, slot, turn === 0);
      }
      addCloseness(words.length, count);
      addWhole(words.length, count);
      return matches(ascending(count, turns.length), steps);
    },
    all(hidden) {
      reset(hidden);
      score.fill(0);
      return matches(ascending(records, 0), records);
    },
  };
}
