import { type PostingArrays, rowsWith } from '../index/postingArrays.ts';
import type { Snapshot } from '../index/snapshot.ts';

/** The records of a term's postings, one for each; a view. */
function recordsWith(postings: PostingArrays, term: number): Uint32Array {
  const { first, record } = rowsWith(postings, postings.start[term]!);
  return record.subarray(postings.start[term]! - first, postings.end[term]! - first);
}

/**
 * Which terms stand in a record together with the other words of a search, in any of their forms: asked by a word's place,
 * then by term. Words that only the vocabulary knows are not looked for; where no other word is known at all, no term does.
 * Looks at the others' postings when a place is first asked for (a byte a record), and at a term's own each time.
 */
export function restOfSearch(
  { terms, postings, records, formsOf }: Snapshot,
  tokens: readonly string[],
  hasMeaning: (at: number) => boolean,
): (at: number) => (term: number) => boolean {
  const looked = new Map<number, (term: number) => boolean>();
  const look = (at: number): ((term: number) => boolean) => {
    const others = tokens.flatMap((token, place) => {
      if (place === at) return [];
      const own = [...new Set([terms.find(token), ...formsOf(token)])].filter((term) => term >= 0);
      return own.length > 0 ? [own] : [];
    });
    if (others.length === 0) {
      const isSaid = tokens.some((_, place) => place !== at && hasMeaning(place));
      return () => isSaid;
    }
    /** By record, how many of the others it has, as long as it has had each so far. */
    const has = new Uint8Array(records);
    for (const [held, own] of others.entries())
      for (const term of own)
        for (const record of recordsWith(postings, term)) if (has[record] === held) has[record] = held + 1;
    return (term) => {
      for (const record of recordsWith(postings, term)) if (has[record] === others.length) return true;
      return false;
    };
  };
  return (at) => {
    const known = looked.get(at);
    if (known) return known;
    const fits = look(at);
    looked.set(at, fits);
    return fits;
  };
}
