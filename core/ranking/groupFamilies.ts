/** One candidate a family, in catalog order; the columns are parallel. */
export interface Candidates {
  readonly families: Uint32Array;
  /** The record standing for the family: it matches best, is in stock where others tie, and comes first. */
  readonly representatives: Uint32Array;
  /** The representative's match score, thousandths of a point. */
  readonly scores: Int32Array;
}

/** Joins records into families by their best variant. */
export interface Grouper {
  /**
   * The families of records, which stand in ascending order; records failing any filter are passed over. `scoreOf` and
   * `inStock` (1 or 0) go by record. What is answered is valid until the next call. Cost: one pass.
   */
  group(records: Uint32Array, failing: Uint32Array | null, scoreOf: Int32Array, inStock: Uint8Array): Candidates;
}

/** Owns the columns of candidates, as long as there are families, so that a search allocates nothing of that size. */
export function openGrouper(families: number, recordFamily: Uint32Array): Grouper {
  const family = new Uint32Array(families);
  const representatives = new Uint32Array(families);
  const scores = new Int32Array(families);
  return {
    group(records, failing, scoreOf, inStock) {
      let count = 0;
      let last = -1;
      for (let at = 0; at < records.length; at++) {
        const record = records[at]!;
        if (failing !== null && failing[record] !== 0) continue;
        const owner = recordFamily[record]!;
        const points = scoreOf[record]!;
        if (owner !== last) {
          last = owner;
          family[count] = owner;
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
        families: family.subarray(0, count),
        representatives: representatives.subarray(0, count),
        scores: scores.subarray(0, count),
      };
    },
  };
}
