import type { PostingArrays } from '../index/postings.ts';
import { attributeAt } from '../index/spot.ts';

/** Postings of the rarest word that are looked at; where every word of a phrase is commoner, it is not looked for. */
export const mostPhrasePostings = 4000;

/**
 * The postings of the first term behind which the others stand, one after another, in the same attribute; ascending.
 * Cost: for each posting of the rarest term a bisection in the others'.
 */
export function phrasePostings(postings: PostingArrays, terms: readonly number[]): Uint32Array {
  const { record, spot, start, positionStart, positions } = postings;
  const size = (term: number): number => start[term + 1]! - start[term]!;
  const rarest = terms.reduce((best, term, at) => (size(term) < size(terms[best]!) ? at : best), 0);
  if (size(terms[rarest]!) > mostPhrasePostings) return new Uint32Array(0);
  /** The term's posting in the same record and attribute as `like`, or -1. */
  const beside = (term: number, like: number): number => {
    const wantedRecord = record[like]!;
    const wantedAttribute = attributeAt(spot[like]!);
    let low = start[term]!;
    let high = start[term + 1]!;
    while (low < high) {
      const middle = (low + high) >>> 1;
      const isBefore =
        record[middle]! < wantedRecord ||
        (record[middle] === wantedRecord && attributeAt(spot[middle]!) < wantedAttribute);
      if (isBefore) low = middle + 1;
      else high = middle;
    }
    const isThere =
      low < start[term + 1]! && record[low] === wantedRecord && attributeAt(spot[low]!) === wantedAttribute;
    return isThere ? low : -1;
  };
  const holds = (posting: number, position: number): boolean => {
    for (let at = positionStart[posting]!; at < positionStart[posting + 1]!; at++)
      if (positions[at] === position) return true;
    return false;
  };
  const found: number[] = [];
  for (let posting = start[terms[rarest]!]!; posting < start[terms[rarest]! + 1]!; posting++) {
    const own = terms.map((term, at) => (at === rarest ? posting : beside(term, posting)));
    const first = own[0]!;
    if (own.includes(-1)) continue;
    for (let at = positionStart[first]!; at < positionStart[first + 1]!; at++)
      if (own.every((each, place) => holds(each, positions[at]! + place))) {
        found.push(first);
        break;
      }
  }
  return Uint32Array.from(found);
}

/** In how many records postings stand; they are in ascending order. */
export function recordsIn(postings: PostingArrays, list: Uint32Array): number {
  let count = 0;
  let last = -1;
  for (const posting of list) {
    if (postings.record[posting] !== last) count++;
    last = postings.record[posting]!;
  }
  return count;
}
