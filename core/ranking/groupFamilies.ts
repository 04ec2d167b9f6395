/** One candidate a family, in catalog order; the columns are parallel. */
export interface Candidates {
  readonly families: Uint32Array;
  /** The record standing for the family: it matches best, is in stock where others tie, and comes first. */
  readonly representatives: Uint32Array;
  /** The representative's match score, thousandths of a point. */
  readonly scores: Int32Array;
}

/**
 * Joins records, ascending, into families by their best variant; records failing any filter are passed over. `scoreOf` and `inStock`
 * (1 or 0) go by record.
 * Cost: one pass.
 */
export function groupFamilies(
  records: Uint32Array,
  recordFamily: Uint32Array,
  failing: Uint32Array | null,
  scoreOf: Int32Array,
  inStock: Uint8Array,
): Candidates {
  const families = new Uint32Array(records.length);
  const representatives = new Uint32Array(records.length);
  const scores = new Int32Array(records.length);
  let count = 0;
  let last = -1;
  for (let at = 0; at < records.length; at++) {
    const record = records[at]!;
    if (failing !== null && failing[record] !== 0) continue;
    const family = recordFamily[record]!;
    const points = scoreOf[record]!;
    if (family !== last) {
      last = family;
      families[count] = family;
      representatives[count] = record;
      scores[count++] = points;
      continue;
    }
    const best = scores[count - 1]!;
    if (points < best) continue;
    if (points === best && (inStock[representatives[count - 1]!] === 1 || inStock[record] === 0)) continue;
    representatives[count - 1] = record;
    scores[count - 1] = points;
  }
  return {
    families: families.subarray(0, count),
    representatives: representatives.subarray(0, count),
    scores: scores.subarray(0, count),
  };
}
