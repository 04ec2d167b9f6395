import { recordAt, spotAt } from '../index/postingArrays.ts';
import { isHidden } from '../index/recordMask.ts';
import { attributeAt } from '../index/spot.ts';
import { findExactSku, knowsIn, readUnits } from '../query/readUnits.ts';
import { kindNumber } from '../scoring/gains.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';

/**
 * Families that a search would find and that are hidden from results: by part number, or by words that only hidden ones say
 * where the search reads. Cost: a look at a word's postings up to the first that shows.
 */
export function hiddenProducts({ snapshot }: Engine, { at, gains }: PreparedSetup, query: string): number[] {
  const { hidden } = at.results;
  if (hidden === null) return [];
  const { postings, terms, recordFamily } = snapshot;
  const reads = gains.found[kindNumber.exact]!;
  const families = new Set<number>();
  const sku = findExactSku(snapshot, query);
  if (sku >= 0 && isHidden(hidden, sku)) families.add(recordFamily[sku]!);
  for (const { token } of readUnits(query, knowsIn(snapshot))) {
    const term = terms.find(token);
    if (term < 0) continue;
    const own: number[] = [];
    let isShown = false;
    for (let posting = postings.start[term]!; posting < postings.end[term]! && !isShown; posting++) {
      if (reads[attributeAt(spotAt(postings, posting))] !== 1) continue;
      const record = recordAt(postings, posting);
      isShown = !isHidden(hidden, record);
      own.push(recordFamily[record]!);
    }
    if (!isShown) for (const family of own) families.add(family);
  }
  return [...families];
}
