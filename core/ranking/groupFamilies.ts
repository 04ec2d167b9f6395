/** One candidate a family, in catalog order; the columns are parallel. */
export interface Candidates {
  readonly families: Uint32Array;
  /** The record standing for the family: it matches best, is in stock where others tie, and comes first. */
  readonly representatives: Uint32Array;
  /** The representative's match score, thousandths of a point. */
  readonly scores: Int32Array;
  /** Whether all records of every family were given. Cost: a pass over the families. */
  areWhole(): boolean;
}

/** Joins records into families by their best variant. */
export interface Grouper {
  /**
   * The families of records, which stand in ascending order; where `isFiltered`, records failing any filter are passed
   * over. What is answered is valid until the next call. Cost: one pass.
   */
  group(records: Uint32Array, isFiltered: boolean): Candidates;
}

export interface GrouperOptions {
  readonly families: number;
  readonly recordFamily: Uint32Array;
  /** By family its first record, one more for the end. */
  readonly familyStart: Uint32Array;
  /** By record, the scores of the search that is being answered. */
  readonly scores: Int32Array;
  /** By record, the filters failed in the search that is being answered. */
  readonly failing: Uint32Array;
  /** By record, 1 or 0. */
  readonly inStock: Uint8Array;
}

/**
 * Owns the columns of candidates, as long as there are families, so that a search allocates nothing of that size, and
 * a copy of the records given: arrays bound as constants are read several times faster than those that are arguments,
 * and copying costs next to nothing.
 */
export function openGrouper({
  families,
  recordFamily,
  familyStart,
  scores: scoreOf,
  failing,
  inStock,
}: GrouperOptions): Grouper {
  const given = new Uint32Array(recordFamily.length);
  const family = new Uint32Array(families);
  const representatives = new Uint32Array(families);
  const scores = new Int32Array(families);

  function groupGiven(length: number): number {
    let count = 0;
    let last = -1;
    let best = 0;
    for (let at = 0; at < length; at++) {
      const record = given[at]!;
      const owner = recordFamily[record]!;
      const points = scoreOf[record]!;
      if (owner !== last) {
        last = owner;
        best = points;
        family[count] = owner;
        representatives[count] = record;
        scores[count++] = points;
        continue;
      }
      if (points < best) continue;
      if (points === best && (inStock[representatives[count - 1]!] === 1 || inStock[record] === 0)) continue;
      best = points;
      representatives[count - 1] = record;
      scores[count - 1] = points;
    }
    return count;
  }

  /** How many records the families of the candidates have. */
  function recordsOf(count: number): number {
    let records = 0;
    for (let at = 0; at < count; at++) records += familyStart[family[at]! + 1]! - familyStart[family[at]!]!;
    return records;
  }

  return {
    group(records, isFiltered) {
      let length = records.length;
      if (!isFiltered) given.set(records);
      else {
        length = 0;
        for (let at = 0; at < records.length; at++) if (failing[records[at]!] === 0) given[length++] = records[at]!;
      }
      const count = groupGiven(length);
      return {
        families: family.subarray(0, count),
        representatives: representatives.subarray(0, count),
        scores: scores.subarray(0, count),
        areWhole: () => recordsOf(count) === length,
      };
    },
  };
}
