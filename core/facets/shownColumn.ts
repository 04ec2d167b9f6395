import type { ValueColumn } from '../index/columns.ts';
import type { Selection } from '../index/familyCounts.ts';
import type { LeftOut } from '../index/leftOut.ts';

/** What a filter asks of the values it shows, be they the catalog's own or made of them. */
export type FilterColumn = Pick<ValueColumn, 'size' | 'name' | 'find' | 'first' | 'hasAny' | 'countFamilies'>;

/** The values shown, record by record: of record r those in `ids` from `start[r]` up to `start[r + 1]`, none twice. */
export interface ShownValues {
  /** The values by number; no two alike. */
  readonly names: readonly string[];
  readonly start: Uint32Array;
  readonly ids: Uint32Array;
}

/** Lays out what each record is shown by; `shownBy` gives value numbers, in any order and with repetitions. */
export function layShown(
  names: readonly string[],
  records: number,
  shownBy: (record: number) => readonly number[],
): ShownValues {
  const start = new Uint32Array(records + 1);
  const ids: number[] = [];
  for (let record = 0; record < records; record++) {
    const own = shownBy(record);
    for (let at = 0; at < own.length; at++) if (own.indexOf(own[at]!) === at) ids.push(own[at]!);
    start[record + 1] = ids.length;
  }
  return { names, start, ids: Uint32Array.from(ids) };
}

/**
 * The catalog's values as a filter shows them instead: each text of the column becomes those that `shownFor` says, none
 * where it is not shown; a record that does not tell has none. Values are numbered in order of their texts. Cost: a pass over the records.
 */
export function mapValues(
  column: ValueColumn,
  records: number,
  shownFor: (text: string) => readonly string[],
  tells: (record: number) => boolean = () => true,
): ShownValues {
  const shown = Array.from({ length: column.size }, (_, value) => shownFor(column.name(value)));
  const names = [...new Set(shown.flat())].sort();
  const numberOf = new Map(names.map((name, number) => [name, number]));
  const numbers = shown.map((list) => list.map((name) => numberOf.get(name)!));
  const none: readonly number[] = [];
  const valuesOf: number[] = [];
  return layShown(names, records, (record) => {
    valuesOf.length = 0;
    if (!tells(record)) return none;
    column.each(record, (value) => void valuesOf.push(value));
    if (valuesOf.length === 0) return none;
    return valuesOf.length === 1 ? numbers[valuesOf[0]!]! : valuesOf.flatMap((value) => numbers[value]!);
  });
}

/**
 * Opens values that were made of others. Owns the arrays given and its scratch: the marks and counts by value. Counting
 * is done by this file's own loops and not by those of familyCounts.ts, which stay fast only as long as they know one
 * set of arrays. Cost of counting: a pass over the values of the records selected, or of those left out of a wide result.
 */
export function openShown({ names, start, ids }: ShownValues, recordFamily: Uint32Array): FilterColumn {
  const size = names.length;
  const numbers = new Map(names.map((name, number) => [name, number]));
  const counts = new Uint32Array(size);
  const lastFamily = new Uint32Array(size);
  const present = new Uint32Array(size);
  let totals: Uint32Array | null = null;

  let isOfFamilies: boolean | null = null;

  /** Whether the variants of every family are shown by the same values, in the same order. */
  function agree(): boolean {
    for (let record = 1; record < recordFamily.length; record++) {
      if (recordFamily[record] !== recordFamily[record - 1]) continue;
      const before = start[record - 1]!;
      const own = start[record]!;
      const amount = start[record + 1]! - own;
      if (own - before !== amount) return false;
      for (let at = 0; at < amount; at++) if (ids[own + at] !== ids[before + at]) return false;
    }
    return true;
  }
  /** Looked at once, when first asked. */
  const ofFamilies = (): boolean => {
    isOfFamilies ??= agree();
    return isOfFamilies;
  };

  function count(records: Uint32Array, failing: Uint32Array | null, ownBit: number, by: number): void {
    // Named once more, as in familyCounts.ts, which says why.
    const owners = recordFamily;
    const starts = start;
    const values = ids;
    const last = lastFamily;
    const tally = counts;
    const step = by | 0;
    last.fill(0xffffffff);
    for (let place = 0; place < records.length; place++) {
      const record = records[place]!;
      if (failing !== null && (failing[record]! & ~ownBit) !== 0) continue;
      const family = owners[record]!;
      const end = starts[record + 1]!;
      for (let at = starts[record]!; at < end; at++) {
        const value = values[at]!;
        if (last[value] === family) continue;
        last[value] = family;
        tally[value] = (tally[value]! + step) | 0;
      }
    }
  }
  /** The same where one record of each family is given, and has all its values. */
  function countOneEach(records: Uint32Array, by: number): void {
    const starts = start;
    const values = ids;
    const tally = counts;
    const step = by | 0;
    for (let place = 0; place < records.length; place++) {
      const record = records[place]!;
      const end = starts[record + 1]!;
      for (let at = starts[record]!; at < end; at++) tally[values[at]!] = (tally[values[at]!]! + step) | 0;
    }
  }
  function countAllBut({ all, absent, found }: LeftOut): void {
    if (!totals) {
      counts.fill(0);
      count(
        Uint32Array.from(recordFamily, (_, record) => record),
        null,
        0,
        1,
      );
      totals = counts.slice();
    }
    counts.set(totals);
    if (ofFamilies()) countOneEach(absent, -1);
    else {
      count(all, null, 0, -1);
      count(found, null, 0, 1);
    }
  }
  return {
    size,
    name: (value) => names[value]!,
    find: (text) => numbers.get(text) ?? -1,
    first: (record) => (start[record]! < start[record + 1]! ? ids[start[record]!]! : -1),
    hasAny(record, wanted) {
      const end = start[record + 1]!;
      for (let at = start[record]!; at < end; at++) if (wanted[ids[at]!] === 1) return true;
      return false;
    },
    countFamilies({ records, failing, leftOut }: Selection, ownBit = 0, representatives = null) {
      if (leftOut) countAllBut(leftOut);
      else {
        counts.fill(0);
        if (representatives && ofFamilies()) countOneEach(representatives, 1);
        else count(records, failing, ownBit, 1);
      }
      let found = 0;
      for (let value = 0; value < size; value++) if (counts[value]! > 0) present[found++] = value;
      return { counts, present: present.subarray(0, found) };
    },
  };
}
