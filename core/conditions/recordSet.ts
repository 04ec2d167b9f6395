/**
 * A set of records: one bit each, record n in bit n % 32 of item n / 32; bits beyond the last record are 0. Sets of one
 * catalog have as many items. They are shared by whoever asks, so nothing writes into one that it did not make.
 */
export type RecordSet = Uint32Array;

export const emptySet = (records: number): RecordSet => new Uint32Array((records + 31) >>> 5);

export const isIn = (set: RecordSet, record: number): boolean => ((set[record >>> 5]! >>> (record & 31)) & 1) === 1;

/** The records that pass a test. Cost: one call for each record. */
export function setOf(records: number, passes: (record: number) => boolean): RecordSet {
  const set = emptySet(records);
  for (let record = 0; record < records; record++) if (passes(record)) set[record >>> 5]! |= 1 << (record & 31);
  return set;
}

/** Calls `use` with each record of a set, ascending. Cost: an item for every 32 records, and the records in it. */
export function eachIn(set: RecordSet, use: (record: number) => void): void {
  for (let item = 0; item < set.length; item++)
    for (let bits = set[item]!; bits !== 0; bits &= bits - 1) use((item << 5) + (31 - Math.clz32(bits & -bits)));
}

/** The records in all of some sets, or in any of them; `sets` has at least one. */
export function combined(sets: readonly RecordSet[], match: 'all' | 'any'): RecordSet {
  if (sets.length === 1) return sets[0]!;
  const made = sets[0]!.slice();
  for (const set of sets.slice(1))
    for (let item = 0; item < made.length; item++)
      made[item] = match === 'all' ? made[item]! & set[item]! : made[item]! | set[item]!;
  return made;
}

/** The records of a catalog that are not in a set. */
export function complement(set: RecordSet, records: number): RecordSet {
  const made = set.map((item) => ~item);
  // Bits beyond the last record stay 0.
  if ((records & 31) !== 0) made[made.length - 1]! &= (1 << (records & 31)) - 1;
  return made;
}

/** The families of the records in a set, as a set of families. */
export function setOfFamilies(set: RecordSet, recordFamily: Uint32Array, families: number): RecordSet {
  const made = emptySet(families);
  eachIn(set, (record) => {
    const family = recordFamily[record]!;
    made[family >>> 5]! |= 1 << (family & 31);
  });
  return made;
}

/** How many records are in a set. */
export function countIn(set: RecordSet): number {
  let count = 0;
  eachIn(set, () => count++);
  return count;
}
