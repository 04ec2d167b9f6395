import { type PostingRows, recordAt, rowsWith } from '../index/postingArrays.ts';
import { positionsLookedAt } from '../index/postings.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { wordsAt } from '../index/spot.ts';
import { mostWords } from '../query/readUnits.ts';
import type { QueryWord } from '../query/understand.ts';
import {
  alsoLine,
  bestLine,
  closenessLine,
  gapBetween,
  pairPoints,
  rounded,
  saidShare,
  wholePoints,
} from '../scoring/formula.ts';
import { kindNumber, notFound, wholeOnly } from '../scoring/gains.ts';

/** Records looked at as one stretch, a power of two: what is remembered of so many stays in a processor's own memory. */
const usualStretch = 16_384;
/** Records whose finds are put side by side at a time. */
const blockSize = 1024;
/** By how many words are found in a value (0 to 12, times 16) and the step of its length, how much of it that says. */
const said = Float64Array.from({ length: (mostWords + 1) * 16 }, (_, at) =>
  saidShare(at >> 4, wordsAt((at & 15) << 4)),
);
/** No spot without its place. */
const nowhere = 0xffff;
/** Postings a record must be ahead by, on average, for searching to beat walking. */
const worthSeeking = 12;

/** A search of several words, or of one that may stand for several terms. */
export interface WordsSought {
  readonly words: readonly QueryWord[];
  /** By word its points. */
  readonly points: readonly number[];
  /** By kind of match one row by spot (gains.ts). */
  readonly table: readonly Float64Array[];
  /** The postings that hold of attributes counting only where their whole value is found. */
  readonly whole: ReadonlySet<number>;
  /** By record 255 where it must not show, else 0. */
  readonly hidden: Uint8Array | null;
}

export interface WordMatcherOptions {
  readonly snapshot: Snapshot;
  /** By record, where scores are written. */
  readonly score: Int32Array;
  /** Where the records found are written, ascending. */
  readonly found: Uint32Array;
  /** Records of a stretch, a power of two. */
  readonly longest?: number;
}

/** Finds the records that have every word, and scores them; answers how many, and the postings looked at. */
export type MatchWords = (sought: WordsSought) => { readonly count: number; readonly steps: number };

/**
 * Matches word by word, one stretch of the catalog after another: postings are in order of record, so every term has a
 * place it has come to. Owns the scratch arrays of it, one item a record of the stretch (the record's lower bits):
 * `state` (words found so far, 255 for hidden), and for each word the best and second-best gain and the posting of the
 * best. Over the whole catalog at once, they were too large for a processor's own memory, and two very common words took
 * half as long again at 100,000 records.
 */
export function openWordMatcher({ snapshot, score, found, longest = usualStretch }: WordMatcherOptions): MatchWords {
  const { records, postings } = snapshot;
  const { start, end: ends, built, patched } = postings;
  const stretch = Math.min(longest, 2 ** Math.ceil(Math.log2(Math.max(1, records))));
  const mask = stretch - 1;
  const state = new Uint8Array(stretch);
  const second = new Float64Array(stretch);
  /** The records of the stretch that have all words so far. */
  const touched = new Uint32Array(stretch);
  const candidates = new Uint32Array(stretch);
  /** Of the records of a block, by word of the search and then by record, its best find: posting, spot and gain. */
  const blockPosting = new Uint32Array(mostWords * blockSize);
  const blockSpot = new Uint16Array(mostWords * blockSize);
  const blockGain = new Float64Array(mostWords * blockSize);
  const bestOf: Float64Array[] = [];
  const postingOf: Int32Array[] = [];
  let whole: ReadonlySet<number> = new Set();
  let steps = 0;

  /**
   * Takes postings in a row into account, told by where they stand among their rows; answers the new count of records
   * that have the word of this turn.
   */
  function addPostings(
    rows: PostingRows,
    from: number,
    end: number,
    gainOf: Float64Array,
    turn: number,
    slot: number,
    before: number,
  ): number {
    // Named once more, as in familyCounts.ts, which says why.
    const { first, record: records, spot: spots } = rows;
    const split = patched.first;
    const builtSpots = built.spot;
    const patchedSpots = patched.spot;
    const states = state;
    const best = bestOf[slot]!;
    const bestPosting = postingOf[slot]!;
    const others = second;
    const those = touched;
    let count = before;
    for (let at = from; at < end; at++) {
      const spot = spots[at]!;
      let gain = gainOf[spot]!;
      if (gain < 0) {
        if (gain === notFound || !whole.has(at + first)) continue;
        gain = wholeOnly - gain;
      }
      const record = records[at]!;
      const place = record & mask;
      const had = states[place]!;
      if (had === turn) {
        states[place] = turn + 1;
        best[place] = gain;
        bestPosting[place] = at + first;
        others[place] = 0;
        those[count++] = record;
        continue;
      }
      if (had !== turn + 1) continue;
      const most = best[place]!;
      const attribute = spot >> 8;
      const held = bestPosting[place]!;
      const bestAttribute = (held < split ? builtSpots[held]! : patchedSpots[held - split]!) >> 8;
      if (attribute === bestAttribute) {
        if (gain > most) {
          best[place] = gain;
          bestPosting[place] = at + first;
        }
      } else if (gain > most || (gain === most && attribute < bestAttribute)) {
        others[place] = most;
        best[place] = gain;
        bestPosting[place] = at + first;
      } else if (gain > others[place]!) others[place] = gain;
    }
    return count;
  }

  /** The first place from `from` on whose record is not below `record`: steps that double, then bisection. */
  function seek(records: Uint32Array, record: number, from: number, end: number): number {
    let step = 1;
    let low = from;
    while (low + step < end && records[low + step]! < record) {
      low += step;
      step *= 2;
    }
    let high = Math.min(end, low + step);
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (records[middle]! < record) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  /** Where each expansion of each word has come to: a posting's number, or a place in its phrase's list. */
  type Cursors = readonly Uint32Array[];
  const beginnings = (words: readonly QueryWord[]): Cursors =>
    words.map(({ expansions }) => {
      const places = new Uint32Array(expansions.length);
      for (let at = 0; at < places.length; at++) places[at] = expansions[at]!.phrase ? 0 : start[expansions[at]!.term]!;
      return places;
    });

  /**
   * Adds one word to the records of a stretch that had all words before it, `before` of them in `touched`; answers how
   * many have it too. A long row of postings is not walked for a few records but searched for each.
   */
  function gather(
    { expansions }: QueryWord,
    cursors: Uint32Array,
    turn: number,
    slot: number,
    table: readonly Float64Array[],
    from: number,
    before: number,
  ): number {
    bestOf[slot] ??= new Float64Array(stretch);
    postingOf[slot] ??= new Int32Array(stretch);
    const to = from + stretch;
    let areSorted = false;
    let count = 0;
    if (turn > 0) candidates.set(touched.subarray(0, before));
    for (let index = 0; index < expansions.length; index++) {
      const { term, how, phrase } = expansions[index]!;
      const row = table[kindNumber[how]]!;
      if (phrase) {
        const list = phrase.postings;
        let at = cursors[index]!;
        for (; at < list.length && recordAt(postings, list[at]!) < to; at++) {
          // A stretch in which no record had the words before was not looked through.
          if (recordAt(postings, list[at]!) < from) continue;
          const rows = rowsWith(postings, list[at]!);
          const own = (list[at]! - rows.first) >>> 0;
          count = addPostings(rows, own, own + 1, row, turn, slot, count);
          steps++;
        }
        cursors[index] = at;
        continue;
      }
      const rows = rowsWith(postings, start[term]!);
      const those = rows.record;
      const last = (ends[term]! - rows.first) >>> 0;
      const reached = (cursors[index]! - rows.first) >>> 0;
      const first = from === 0 ? reached : seek(those, from, reached, last);
      const end = to >= records ? last : seek(those, to, first, last);
      cursors[index] = end + rows.first;
      if (first === end) continue;
      const isWalked = turn === 0 || end - first < before * worthSeeking;
      steps += isWalked ? end - first : before;
      if (isWalked) {
        count = addPostings(rows, first, end, row, turn, slot, count);
        continue;
      }
      if (!areSorted) candidates.subarray(0, before).sort();
      areSorted = true;
      let posting = first;
      for (let at = 0; at < before && posting < end; at++) {
        const record = candidates[at]!;
        posting = seek(those, record, posting, end);
        const own = posting;
        while (posting < end && those[posting] === record) posting++;
        if (posting > own) count = addPostings(rows, own, posting, row, turn, slot, count);
      }
    }
    return count;
  }

  function addWordLines(points: number, count: number, slot: number, first: boolean): void {
    const best = bestOf[slot]!;
    const others = second;
    const those = touched;
    const scores = score;
    for (let at = 0; at < count; at++) {
      const record = those[at]!;
      const gain = best[record & mask]!;
      const other = others[record & mask]!;
      // Most words stand in one attribute of a record: then there is nothing to reckon for another.
      const line = bestLine(points, gain) + (other > 0 ? alsoLine(points, gain, other) : 0);
      scores[record] = first ? line : scores[record]! + line;
    }
  }

  /** The finds of one word in `size` of the records found, from the `from`-th on, side by side in the block's columns. */
  function loadBlock(slot: number, from: number, size: number): void {
    const those = touched;
    const best = bestOf[slot]!;
    const bestPosting = postingOf[slot]!;
    const split = patched.first;
    const builtSpots = built.spot;
    const patchedSpots = patched.spot;
    const postingHere = blockPosting;
    const spotHere = blockSpot;
    const gainHere = blockGain;
    const base = slot * blockSize;
    for (let at = 0; at < size; at++) {
      const record = those[from + at]!;
      const posting = bestPosting[record & mask]!;
      postingHere[base + at] = posting;
      spotHere[base + at] = posting < split ? builtSpots[posting]! : patchedSpots[posting - split]!;
      gainHere[base + at] = best[record & mask]!;
    }
  }

  function leastGap(first: number, other: number): number {
    const split = patched.first;
    const own = first < split ? built : patched;
    const others = other < split ? built : patched;
    const firstPlaces = own.positions;
    const otherPlaces = others.positions;
    const firstAt = first - own.first;
    const otherAt = other - others.first;
    const firstStart = own.positionStart[firstAt]!;
    const otherStart = others.positionStart[otherAt]!;
    let firstEnd = own.positionStart[firstAt + 1]!;
    let otherEnd = others.positionStart[otherAt + 1]!;
    if (firstEnd - firstStart === 1 && otherEnd - otherStart === 1)
      return gapBetween(firstPlaces[firstStart]!, otherPlaces[otherStart]!);
    firstEnd = Math.min(firstEnd, firstStart + positionsLookedAt);
    otherEnd = Math.min(otherEnd, otherStart + positionsLookedAt);
    let least = 65_536;
    for (let a = firstStart; a < firstEnd; a++)
      for (let b = otherStart; b < otherEnd; b++) {
        const gap = gapBetween(firstPlaces[a]!, otherPlaces[b]!);
        if (gap < least) least = gap;
      }
    return least;
  }

  function addCloseness(words: number, from: number, size: number): void {
    const points = pairPoints(words);
    const those = touched;
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
        scores[those[from + at]!]! += line;
      }
    }
  }

  /** Adds what is given for how much of a value the search says: the most of any attribute that a word is best found in. */
  function addWhole(words: number, from: number, size: number): void {
    const those = touched;
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
      scores[those[from + at]!]! += rounded(most);
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

  /** Writes a stretch's records out in ascending order: sorted where they are few, read off the states where they are many. */
  function write(from: number, count: number, turns: number, written: number): void {
    if (count * 16 < stretch) {
      found.set(touched.subarray(0, count).sort(), written);
      return;
    }
    const states = state;
    const list = found;
    const end = Math.min(stretch, records - from);
    let at = written;
    for (let place = 0; place < end; place++) if (states[place] === turns) list[at++] = from + place;
  }

  return (sought) => {
    const { words, points, table, hidden } = sought;
    whole = sought.whole;
    steps = 0;
    const cursors = beginnings(words);
    const turns = [...words.keys()].sort((a, b) => words[b]!.rarity - words[a]!.rarity || a - b);
    let all = 0;
    for (let from = 0; from < records; from += stretch) {
      if (hidden) state.set(hidden.subarray(from, from + stretch));
      else state.fill(0);
      let count = 0;
      for (const [turn, slot] of turns.entries()) {
        count = gather(words[slot]!, cursors[slot]!, turn, slot, table, from, count);
        if (count === 0) break;
        addWordLines(points[slot]!, count, slot, turn === 0);
      }
      if (count === 0) continue;
      addTogether(words.length, count);
      write(from, count, turns.length, all);
      all += count;
    }
    return { count: all, steps };
  };
}
