import { positionsLookedAt } from '../index/postings.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { spotSteps, wordsAt } from '../index/spot.ts';
import { mostWords, type QueryWord } from '../query/understand.ts';
import {
  alsoLine,
  bestLine,
  closenessLine,
  gapBetween,
  pairPoints,
  saidShare,
  wholeLine,
  wholePoints,
  wordPoints,
} from './formula.ts';
import { type Gains, kindNumber, notFound, wholeOnly } from './gains.ts';
import { wholeValues } from './wholeValues.ts';

/** What matching found, valid until the next call: `records` ascending. */
export interface Matches {
  readonly records: Uint32Array;
  /** Postings looked at, for keeping the work of one search within bounds. */
  readonly steps: number;
}

/** Records whose finds are put side by side at a time: of twelve words that is less than a processor's own memory. */
const blockSize = 1024;
/** By how many words are found in a value (0 to 12, times 16) and the step of its length, how much of it that says. */
const said = Float64Array.from({ length: (mostWords + 1) * 16 }, (_, at) =>
  saidShare(at >> 4, wordsAt((at & 15) << 4)),
);
/** No spot without its place. */
const nowhere = 0xffff;

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
  /** Of the records of a block, by word of the search and then by record, its best find: posting, spot and gain. */
  const blockPosting = new Uint32Array(mostWords * blockSize);
  const blockSpot = new Uint16Array(mostWords * blockSize);
  const blockGain = new Float64Array(mostWords * blockSize);
  const bestOf: Float64Array[] = [];
  const postingOf: Int32Array[] = [];

  /** The postings that hold of attributes counting only where their whole value is found. */
  let whole: ReadonlySet<number> = new Set();
  let steps = 0;

  /** Takes postings in a row into account; answers the new count of records that have the word of this turn. */
  function take(from: number, end: number, gainOf: Float64Array, turn: number, slot: number, before: number): number {
    // Named once more, as in familyCounts.ts, which says why.
    const records = postingRecord;
    const spots = postingSpot;
    const states = state;
    const best = bestOf[slot]!;
    const bestPosting = postingOf[slot]!;
    const others = second;
    const found = touched;
    let count = before;
    for (let posting = from; posting < end; posting++) {
      const spot = spots[posting]!;
      let gain = gainOf[spot]!;
      if (gain < 0) {
        if (gain === notFound || !whole.has(posting)) continue;
        gain = wholeOnly - gain;
      }
      const record = records[posting]!;
      const had = states[record]!;
      if (had === turn) {
        states[record] = turn + 1;
        best[record] = gain;
        bestPosting[record] = posting;
        others[record] = 0;
        found[count++] = record;
        continue;
      }
      if (had !== turn + 1) continue;
      const most = best[record]!;
      const attribute = spot >> 8;
      const bestAttribute = spots[bestPosting[record]!]! >> 8;
      if (attribute === bestAttribute) {
        if (gain > most) {
          best[record] = gain;
          bestPosting[record] = posting;
        }
      } else if (gain > most || (gain === most && attribute < bestAttribute)) {
        others[record] = most;
        best[record] = gain;
        bestPosting[record] = posting;
      } else if (gain > others[record]!) others[record] = gain;
    }
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
        for (const posting of phrase.postings) count = take(posting, posting + 1, gainOf, turn, slot, count);
        continue;
      }
      const end = start[term + 1]!;
      const isWalked = turn === 0 || end - start[term]! < before * worthSeeking;
      steps += isWalked ? end - start[term]! : before;
      if (isWalked) {
        count = take(start[term]!, end, gainOf, turn, slot, count);
        continue;
      }
      if (!areSorted) candidates.subarray(0, before).sort();
      areSorted = true;
      let posting = start[term]!;
      for (let at = 0; at < before && posting < end; at++) {
        const record = candidates[at]!;
        posting = seek(record, posting, end);
        const first = posting;
        while (posting < end && postingRecord[posting] === record) posting++;
        if (posting > first) count = take(first, posting, gainOf, turn, slot, count);
      }
    }
    return count;
  }

  function addWordLines(points: number, count: number, slot: number, first: boolean): void {
    const best = bestOf[slot]!;
    const others = second;
    const found = touched;
    const scores = score;
    for (let at = 0; at < count; at++) {
      const record = found[at]!;
      const gain = best[record]!;
      const other = others[record]!;
      // Most words stand in one attribute of a record: then there is nothing to reckon for another.
      const line = bestLine(points, gain) + (other > 0 ? alsoLine(points, gain, other) : 0);
      scores[record] = first ? line : scores[record]! + line;
    }
  }

  /** The finds of one word in `size` of the records found, from the `from`-th on, side by side in the block's columns. */
  function loadBlock(slot: number, from: number, size: number): void {
    const found = touched;
    const best = bestOf[slot]!;
    const bestPosting = postingOf[slot]!;
    const spots = postingSpot;
    const postingHere = blockPosting;
    const spotHere = blockSpot;
    const gainHere = blockGain;
    const base = slot * blockSize;
    for (let at = 0; at < size; at++) {
      const record = found[from + at]!;
      const posting = bestPosting[record]!;
      postingHere[base + at] = posting;
      spotHere[base + at] = spots[posting]!;
      gainHere[base + at] = best[record]!;
    }
  }

  function leastGap(first: number, other: number): number {
    const starts = positionStart;
    const places = positions;
    const firstStart = starts[first]!;
    const otherStart = starts[other]!;
    let firstEnd = starts[first + 1]!;
    let otherEnd = starts[other + 1]!;
    if (firstEnd - firstStart === 1 && otherEnd - otherStart === 1)
      return gapBetween(places[firstStart]!, places[otherStart]!);
    firstEnd = Math.min(firstEnd, firstStart + positionsLookedAt);
    otherEnd = Math.min(otherEnd, otherStart + positionsLookedAt);
    let least = 65_536;
    for (let a = firstStart; a < firstEnd; a++)
      for (let b = otherStart; b < otherEnd; b++) {
        const gap = gapBetween(places[a]!, places[b]!);
        if (gap < least) least = gap;
      }
    return least;
  }

  function addCloseness(words: number, from: number, size: number): void {
    const points = pairPoints(words);
    const found = touched;
    const scores = score;
    const postingHere = blockPosting;
    const spotHere = blockSpot;
    const gainHere = blockGain;
    for (let pair = 0; pair + 1 < words; pair++) {
      const first = pair * blockSize;
      const other = first + blockSize;
      for (let at = 0; at < size; at++) {
        if (spotHere[first + at]! >> 8 !== spotHere[other + at]! >> 8) continue;
        const gap = leastGap(postingHere[first + at]!, postingHere[other + at]!);
        const line = closenessLine(points, gainHere[first + at]!, gainHere[other + at]!, gap);
        scores[found[from + at]!]! += line;
      }
    }
  }

  /** Adds what is given for how much of a value the search says: the most of any attribute that a word is best found in. */
  function addWhole(words: number, from: number, size: number): void {
    const found = touched;
    const scores = score;
    const spotHere = blockSpot;
    const gainHere = blockGain;
    const saidBy = said;
    const end = words * blockSize;
    for (let at = 0; at < size; at++) {
      let most = 0;
      let before = nowhere;
      for (let own = at; own < end; own += blockSize) {
        const spot = spotHere[own]!;
        // In one attribute, in values as long, every word says the same of it.
        if (spot >> 4 === before) continue;
        before = spot >> 4;
        let least = 1;
        let together = 0;
        for (let other = at; other < end; other += blockSize) {
          if (spotHere[other]! >> 8 !== spot >> 8) continue;
          together++;
          if (gainHere[other]! < least) least = gainHere[other]!;
        }
        const given = wholePoints(least, saidBy[(together << 4) | ((spot >> 4) & 15)]!);
        if (given > most) most = given;
      }
      // What is rounded last is the most of all lines, as rounding keeps their order.
      scores[found[from + at]!]! += Math.round(most);
    }
  }

  /** Adds what the words give together, block by block, so that what is looked at more than once is near. */
  function addTogether(words: number, count: number): void {
    for (let from = 0; from < count; from += blockSize) {
      const size = Math.min(blockSize, count - from);
      for (let slot = 0; slot < words; slot++) loadBlock(slot, from, size);
      addCloseness(words, from, size);
      addWhole(words, from, size);
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
      addTogether(words.length, count);
      return matches(ascending(count, turns.length), steps);
    },
    all(hidden) {
      reset(hidden);
      score.fill(0);
      return matches(ascending(records, 0), records);
    },
  };
}
