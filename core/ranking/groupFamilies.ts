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
  /** By record twice its family, and one more where it is in stock: one look for both. */
  const familyAndStock = recordFamily.map((family, record) => family * 2 + inStock[record]!);
  const family = new Uint32Array(families);
  const representatives = new Uint32Array(families);
  const scores = new Int32Array(families);

  /**
   * Without a branch: where a family ends and which variant is best cannot be foretold, and a processor that guesses
   * wrong at every other record was measured to take half as long again. A variant's worth is twice its score, and one more
   * where it is in stock.
   */
  function groupGiven(length: number): number {
    // Named once more, as in familyCounts.ts, which says why.
    const records = given;
    const owners = familyAndStock;
    const points = scoreOf;
    const candidateFamily = family;
    const candidateRecord = representatives;
    const candidateScore = scores;
    let place = -1;
    let last = -1;
    let best = 0;
    let shown = 0;
    for (let at = 0; at < length; at++) {
      const record = records[at]!;
      const both = owners[record]!;
      const owner = both >> 1;
      const worth = (points[record]! << 1) | (both & 1);
      // Families ascend, so a difference below 0 is a new family; the sign is then the bit that is shifted down.
      const isNew = (last - owner) >>> 31;
      const leadsMask = -(isNew | ((best - worth) >>> 31));
      best = (worth & leadsMask) | (best & ~leadsMask);
      shown = (record & leadsMask) | (shown & ~leadsMask);
      last = owner;
      place += isNew;
      candidateFamily[place] = owner;
      candidateRecord[place] = shown;
      candidateScore[place] = best >> 1;
    }
    return place + 1;
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
