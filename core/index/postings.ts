import { lastPosition, positionOf, type TextUses } from './gatheredTexts.ts';
import type { ToLay } from './sections.ts';
import { spotOf } from './spot.ts';

/**
 * Where every term stands. Owns, with one item a posting, in order of (term, record, attribute):
 * `posting.record` (u32), `posting.spot` (u16, attribute and standing, see spot.ts), `posting.positions` (u32 offset,
 * one more for the end);
 * `positions` (u16, word positions inside the attribute, ascending); `posting.start` (u32, terms + 1 offsets) and
 * `term.records` (u32, records holding the term in any attribute). What a patch lays over them: postingArrays.ts.
 *
 * A position is cut at `lastPosition`; an attribute's several values stand `valueGap` apart, so that words of two tags are
 * never neighbours.
 */
export const valueGap = 8;
/** Positions of one word in one attribute looked at for closeness: a word repeated more often is close anyway. */
export const positionsLookedAt = 12;

/** Record and attribute in one number: attributes are below 256, so records must be below 2^24. */
export const placeOf = (record: number, attribute: number): number => record * 256 + attribute;
export const mostRecords = 2 ** 24;

/** No place: attributes are numbered to 254. */
const nowhere = 0xffffffff;

/** Where each term's occurrences begin once they are sorted, by gathered number, and where they end, by final number. */
function layOut({ terms, start, useTexts }: TextUses, order: Uint32Array): { next: Uint32Array; ends: Uint32Array } {
  const uses = new Uint32Array(start.length - 1);
  for (let use = 0; use < useTexts.length; use++) uses[useTexts[use]!]!++;
  const next = new Uint32Array(order.length);
  for (let text = 0; text < uses.length; text++)
    for (let word = start[text]!; word < start[text + 1]!; word++) next[terms[word]!]! += uses[text]!;
  const ends = new Uint32Array(order.length);
  let end = 0;
  for (let index = 0; index < order.length; index++) {
    const begins = end;
    end += next[order[index]!]!;
    ends[index] = end;
    next[order[index]!] = begins;
  }
  return { next, ends };
}

/**
 * Every occurrence of every word, by term in their order, then by place: pairs of the place and how the word stands
 * there. What is sorted goes to its place as one pair of numbers, and the postings' own arrays are written afterwards,
 * end to end: thirty thousand terms are as many places to write at, and each array written there costs a look into far
 * memory.
 */
function sortByTerm(uses: TextUses, next: Uint32Array, total: number): Uint32Array {
  const { terms, occurrences, start, useTexts, usePlaces, useBases } = uses;
  const sorted = new Uint32Array(total * 2);
  for (let use = 0; use < useTexts.length; use++) {
    const place = usePlaces[use]!;
    const base = useBases[use]!;
    const last = start[useTexts[use]! + 1]!;
    for (let word = start[useTexts[use]!]!; word < last; word++) {
      const occurrence = occurrences[word]!;
      const slot = next[terms[word]!]!++ * 2;
      sorted[slot] = place;
      sorted[slot + 1] = base === 0 ? occurrence : positionOf((occurrence & lastPosition) + base, occurrence >>> 16);
    }
  }
  return sorted;
}

/** How many postings sorted occurrences make: what one term has in one place of a record is one. */
function countPostings(sorted: Uint32Array, ends: Uint32Array): number {
  let postings = 0;
  for (let index = 0, at = 0; index < ends.length; index++)
    for (let before = nowhere; at < ends[index]!; at++) {
      const place = sorted[at * 2]!;
      if (place !== before) postings++;
      before = place;
    }
  return postings;
}

/**
 * Lays what was gathered by term: a counting sort over the uses of texts, after which what one term has in one place of
 * a record is joined into one posting. `order` holds the gathered number of each term in order of their texts, by which
 * they are numbered from here on. Linear in the words of all records.
 */
export function layPostings(uses: TextUses, order: Uint32Array): ToLay {
  const { next, ends } = layOut(uses, order);
  const total = ends.at(-1) ?? 0;
  const sorted = sortByTerm(uses, next, total);
  const count = countPostings(sorted, ends);
  return {
    sizes: {
      'posting.record': { type: 'u32', length: count },
      'posting.spot': { type: 'u16', length: count },
      'posting.positions': { type: 'u32', length: count + 1 },
      positions: { type: 'u16', length: total },
      'posting.start': { type: 'u32', length: order.length + 1 },
      'term.records': { type: 'u32', length: order.length },
    },
    fill(sections) {
      const records = sections['posting.record']!;
      const spots = sections['posting.spot']!;
      const offsets = sections['posting.positions']!;
      const positions = sections.positions!;
      const postingStart = sections['posting.start']!;
      const holding = sections['term.records']!;
      let postings = 0;
      for (let index = 0, at = 0; index < order.length; index++) {
        postingStart[index] = postings;
        let lastPlace = nowhere;
        let holders = 0;
        for (; at < ends[index]!; at++) {
          const place = sorted[at * 2]!;
          const occurrence = sorted[at * 2 + 1]!;
          const stand = occurrence >>> 16;
          positions[at] = occurrence & lastPosition;
          if (place === lastPlace) {
            if (stand < (spots[postings - 1]! & 255)) spots[postings - 1] = spotOf(place & 255, stand);
            continue;
          }
          if (lastPlace === nowhere || place >>> 8 !== lastPlace >>> 8) holders++;
          lastPlace = place;
          records[postings] = place >>> 8;
          spots[postings] = spotOf(place & 255, stand);
          offsets[postings++] = at;
        }
        holding[index] = holders;
      }
      postingStart[order.length] = postings;
      offsets[postings] = total;
    },
  };
}
