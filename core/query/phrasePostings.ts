import { type PostingArrays, recordAt, rowsWith, sizeOf } from '../index/postingArrays.ts';
import { attributeAt } from '../index/spot.ts';

/** Postings of the rarest word that are looked at; where every word of a phrase is commoner, it is not looked for. */
const mostPhrasePostings = 4000;

/**
 * The postings of the first term behind which the others stand, one after another, in the same attribute; ascending.
 * Cost: a pass over the rarest term's postings, with the others' followed by steps that double.
 */
export function phrasePostings(
  postings: PostingArrays,
  terms: readonly number[],
  most = mostPhrasePostings,
): Uint32Array {
  const { start } = postings;
  const size = (term: number): number => sizeOf(postings, term);
  const rarest = terms.reduce((best, term, at) => (size(term) < size(terms[best]!) ? at : best), 0);
  if (size(terms[rarest]!) > most) return new Uint32Array(0);
  // Each term's postings stand in rows of their own, and are numbered as they stand there.
  const rows = terms.map((term) => rowsWith(postings, start[term]!));
  const next = Uint32Array.from(terms, (term, at) => start[term]! - rows[at]!.first);
  const ends = Uint32Array.from(terms, (term, at) => next[at]! + size(term));
  /**
   * Moves a term's pointer to its first posting not before a record's attribute; says whether it stands just there. Few
   * postings of a term share a record: it is looked for by the record alone, then step by step.
   */
  const follow = (at: number, wanted: number, attribute: number): boolean => {
    const { record, spot } = rows[at]!;
    let low = next[at]!;
    const end = ends[at]!;
    let step = 1;
    while (low + step < end && record[low + step]! < wanted) {
      low += step;
      step *= 2;
    }
    let high = Math.min(end, low + step);
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (record[middle]! < wanted) low = middle + 1;
      else high = middle;
    }
    while (low < end && record[low] === wanted && attributeAt(spot[low]!) < attribute) low++;
    next[at] = low;
    return low < end && record[low] === wanted && attributeAt(spot[low]!) === attribute;
  };
  const holds = (term: number, position: number): boolean => {
    const { positionStart, positions } = rows[term]!;
    const posting = next[term]!;
    for (let at = positionStart[posting]!; at < positionStart[posting + 1]!; at++)
      if (positions[at] === position) return true;
    return false;
  };
  /** Whether the terms, each where its pointer stands, follow one another somewhere. */
  const isPhrase = (): boolean => {
    const { positionStart, positions } = rows[0]!;
    const first = next[0]!;
    for (let at = positionStart[first]!; at < positionStart[first + 1]!; at++) {
      let together = true;
      for (let term = 1; together && term < next.length; term++) together = holds(term, positions[at]! + term);
      if (together) return true;
    }
    return false;
  };
  const found: number[] = [];
  const { record, spot } = rows[rarest]!;
  for (; next[rarest]! < ends[rarest]!; next[rarest]!++) {
    const own = record[next[rarest]!]!;
    const attribute = attributeAt(spot[next[rarest]!]!);
    let isThere = true;
    for (let at = 0; isThere && at < next.length; at++) if (at !== rarest) isThere = follow(at, own, attribute);
    if (isThere && isPhrase()) found.push(next[0]! + rows[0]!.first);
  }
  return Uint32Array.from(found);
}

/** In how many records postings stand; they are in ascending order. */
export function recordsIn(postings: PostingArrays, list: Uint32Array): number {
  let count = 0;
  let last = -1;
  for (const posting of list) {
    const record = recordAt(postings, posting);
    if (record !== last) count++;
    last = record;
  }
  return count;
}
