import type { SectionArray, Sections } from './sections.ts';
import { spotOf } from './spot.ts';

/**
 * Where every term stands. Owns, with one item a posting, in order of (term, record, attribute):
 * `posting.record` (u32), `posting.spot` (u16, attribute and standing, see spot.ts), `posting.positions` (u32 offset,
 * one more for the end);
 * `positions` (u16, word positions inside the attribute, ascending); `posting.start` (u32, terms + 1 offsets) and
 * `term.records` (u32, records holding the term in any attribute).
 *
 * A position is cut at 65,535; an attribute's several values stand `valueGap` apart, so that words of two tags are
 * never neighbours.
 */
export const valueGap = 8;
export const lastPosition = 65_535;
/** Positions of one word in one attribute looked at for closeness: a word repeated more often is close anyway. */
export const positionsLookedAt = 12;

/** One occurrence a row, in order of (record, attribute, position); what the builder gathers. */
export interface Occurrences {
  /** Terms as they were numbered while gathering. */
  readonly term: Uint32Array;
  /** `placeOf(record, attribute)`. */
  readonly place: Uint32Array;
  /** The position in the low 16 bits, above it how the word stands in its value (`standOf`). */
  readonly position: Uint32Array;
}

/** Record and attribute in one number: attributes are below 256, so records must be below 2^24. */
export const placeOf = (record: number, attribute: number): number => record * 256 + attribute;
export const mostRecords = 2 ** 24;

/**
 * Sorts occurrences by term (counting sort, stable) and joins those of one term, record and attribute. `order` holds
 * the gathered number of each term in order of their texts, by which they are numbered from here on. Linear.
 */
export function packPostings(occurrences: Occurrences, order: Uint32Array): Record<string, SectionArray> {
  const { term, place, position } = occurrences;
  const total = term.length;
  const terms = order.length;
  const next = new Uint32Array(terms);
  for (let at = 0; at < total; at++) next[term[at]!]!++;
  const ends = new Uint32Array(terms + 1);
  for (let index = 0; index < terms; index++) {
    const gathered = order[index]!;
    ends[index + 1] = ends[index]! + next[gathered]!;
    next[gathered] = ends[index]!;
  }
  const places = new Uint32Array(total);
  const positions = new Uint16Array(total);
  const stands = new Uint8Array(total);
  for (let at = 0; at < total; at++) {
    const slot = next[term[at]!]!++;
    places[slot] = place[at]!;
    positions[slot] = position[at]! & lastPosition;
    stands[slot] = position[at]! >>> 16;
  }

  const records = new Uint32Array(total);
  const spots = new Uint16Array(total);
  const offsets = new Uint32Array(total + 1);
  const start = new Uint32Array(terms + 1);
  const holding = new Uint32Array(terms);
  let postings = 0;
  for (let index = 0; index < terms; index++) {
    start[index] = postings;
    let lastPlace = -1;
    let lastRecord = -1;
    for (let at = ends[index]!; at < ends[index + 1]!; at++) {
      const here = places[at]!;
      if (here === lastPlace) {
        if (stands[at]! < (spots[postings - 1]! & 255)) spots[postings - 1] = spotOf(here & 255, stands[at]!);
        continue;
      }
      lastPlace = here;
      const record = here >>> 8;
      if (record !== lastRecord) holding[index]!++;
      lastRecord = record;
      records[postings] = record;
      spots[postings] = spotOf(here & 255, stands[at]!);
      offsets[postings++] = at;
    }
  }
  start[terms] = postings;
  offsets[postings] = total;
  return {
    'posting.record': records.slice(0, postings),
    'posting.spot': spots.slice(0, postings),
    'posting.positions': offsets.slice(0, postings + 1),
    positions,
    'posting.start': start,
    'term.records': holding,
  };
}

/** The postings' arrays as the matcher binds them; see the top of this file for what each holds. */
export interface PostingArrays {
  readonly record: Uint32Array;
  readonly spot: Uint16Array;
  readonly positionStart: Uint32Array;
  readonly positions: Uint16Array;
  readonly start: Uint32Array;
  readonly termRecords: Uint32Array;
}

export function openPostings(sections: Sections): PostingArrays {
  return {
    record: sections.u32('posting.record'),
    spot: sections.u16('posting.spot'),
    positionStart: sections.u32('posting.positions'),
    positions: sections.u16('positions'),
    start: sections.u32('posting.start'),
    termRecords: sections.u32('term.records'),
  };
}
