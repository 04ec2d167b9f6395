import { type AttributeProfile, hasValueColumn, isNumeric } from '../catalog/profileAttributes.ts';
import { standardColumn } from '../catalog/standardColumns.ts';
import { growingWords } from './growingArray.ts';
import type { SectionArray, Sections } from './sections.ts';
import { openStrings, packStrings, type StringTable } from './stringTable.ts';

/**
 * The values of one attribute, dictionary-coded: value numbers 0..n-1 stand for texts. Owns `values.KEY.offset`
 * (records + 1 offsets) and `values.KEY.ids` (the value numbers of record r at offset[r]..offset[r+1]), or, where no
 * record has more than one value, only `values.KEY.one` (value number + 1 by record, 0 for none; one, two or four
 * bytes wide as the dictionary needs).
 */
export interface ValueColumn {
  readonly names: StringTable;
  /** Number of a value text, or -1. */
  find(text: string): number;
  /** Calls back with each value number of a record. */
  each(record: number, visit: (value: number) => void): void;
  /** Whether the record has one of the values, given as one byte a value number. */
  hasAny(record: number, wanted: Uint8Array): boolean;
  /**
   * Counts families by value over records that stand in ascending order, so that a family's variants are neighbours.
   * A record counts where `failing[record]` has no bit set outside `ownBit`. Answers one count a value number.
   */
  countFamilies(records: Uint32Array, failing: Uint32Array | null, ownBit: number): Uint32Array;
}

type Ids = Uint8Array | Uint16Array | Uint32Array;

function narrowest(ids: Uint32Array, most: number): Ids {
  if (most < 256) return Uint8Array.from(ids);
  return most < 65_536 ? Uint16Array.from(ids) : ids;
}

/** Gathers one attribute's values in record order. */
export function valueColumnBuilder(key: string): {
  add(texts: readonly string[]): void;
  finish(): Record<string, SectionArray>;
} {
  const numbers = new Map<string, number>();
  const starts = growingWords();
  const ids = growingWords();
  let single = true;
  starts.push(0);
  return {
    add(texts) {
      if (texts.length > 1) single = false;
      for (const text of texts) {
        let number = numbers.get(text);
        if (number === undefined) {
          number = numbers.size;
          numbers.set(text, number);
        }
        ids.push(number);
      }
      starts.push(ids.length);
    },
    finish() {
      const texts = [...numbers.keys()];
      const names = packStrings(`values.${key}`, texts);
      const start = starts.view();
      if (!single)
        return { ...names, [`values.${key}.offset`]: start.slice(), [`values.${key}.ids`]: ids.view().slice() };
      const one = new Uint32Array(start.length - 1);
      for (let record = 0; record < one.length; record++)
        if (start[record + 1]! > start[record]!) one[record] = ids.view()[start[record]!]! + 1;
      return { ...names, [`values.${key}.one`]: narrowest(one, texts.length + 1) };
    },
  };
}

function findName(names: StringTable): (text: string) => number {
  let numbers: Map<string, number> | null = null;
  return (text) => {
    if (!numbers) {
      numbers = new Map();
      for (let value = 0; value < names.length; value++) numbers.set(names.get(value), value);
    }
    return numbers.get(text) ?? -1;
  };
}

function openSingle(one: Ids, names: StringTable, recordFamily: Uint32Array): ValueColumn {
  const lastFamily = new Uint32Array(names.length + 1);
  return {
    names,
    find: findName(names),
    each(record, visit) {
      const value = one[record]!;
      if (value > 0) visit(value - 1);
    },
    hasAny: (record, wanted) => one[record]! > 0 && wanted[one[record]! - 1] === 1,
    countFamilies(records, failing, ownBit) {
      const counts = new Uint32Array(names.length + 1);
      lastFamily.fill(0xffffffff);
      for (let at = 0; at < records.length; at++) {
        const record = records[at]!;
        if (failing !== null && (failing[record]! & ~ownBit) !== 0) continue;
        const value = one[record]!;
        const family = recordFamily[record]!;
        if (lastFamily[value] === family) continue;
        lastFamily[value] = family;
        counts[value]!++;
      }
      return counts.subarray(1);
    },
  };
}

function openMultiple(
  start: Uint32Array,
  ids: Uint32Array,
  names: StringTable,
  recordFamily: Uint32Array,
): ValueColumn {
  const lastFamily = new Uint32Array(names.length);
  return {
    names,
    find: findName(names),
    each(record, visit) {
      for (let at = start[record]!; at < start[record + 1]!; at++) visit(ids[at]!);
    },
    hasAny(record, wanted) {
      for (let at = start[record]!; at < start[record + 1]!; at++) if (wanted[ids[at]!] === 1) return true;
      return false;
    },
    countFamilies(records, failing, ownBit) {
      const counts = new Uint32Array(names.length);
      lastFamily.fill(0xffffffff);
      for (let place = 0; place < records.length; place++) {
        const record = records[place]!;
        if (failing !== null && (failing[record]! & ~ownBit) !== 0) continue;
        const family = recordFamily[record]!;
        for (let at = start[record]!; at < start[record + 1]!; at++) {
          const value = ids[at]!;
          if (lastFamily[value] === family) continue;
          lastFamily[value] = family;
          counts[value]!++;
        }
      }
      return counts;
    },
  };
}

/** Opens every attribute's value column. `recordFamily` gives the family number of each record. */
export function openValueColumns(
  sections: Sections,
  attributes: readonly AttributeProfile[],
  recordFamily: Uint32Array,
): Map<string, ValueColumn> {
  const columns = new Map<string, ValueColumn>();
  for (const { key } of attributes.filter(hasValueColumn)) {
    const names = openStrings(sections, `values.${key}`);
    const column = sections.has(`values.${key}.one`)
      ? openSingle(sections.narrow(`values.${key}.one`), names, recordFamily)
      : openMultiple(sections.u32(`values.${key}.offset`), sections.u32(`values.${key}.ids`), names, recordFamily);
    columns.set(key, column);
  }
  return columns;
}

/**
 * The amounts of one attribute: `numbers.KEY` by record and `familyNumbers.KEY` by family, NaN where there is none.
 */
export interface NumberColumn {
  ofRecord(record: number): number;
  ofFamily(family: number): number;
  /** Least and most over records that count as in `ValueColumn.countFamilies`, or null where none has an amount. */
  range(records: Uint32Array, failing: Uint32Array | null, ownBit: number): { least: number; most: number } | null;
}

/** One family's amount from its variants': the sum, the most or the least, as the standard column says (else the most). */
export function packNumbers(
  key: string,
  byRecord: Float64Array,
  recordFamily: Uint32Array,
  families: number,
): Record<string, SectionArray> {
  const how = standardColumn.get(key)?.ofFamily ?? 'most';
  const byFamily = new Float64Array(families).fill(Number.NaN);
  for (let record = 0; record < byRecord.length; record++) {
    const amount = byRecord[record]!;
    if (Number.isNaN(amount)) continue;
    const family = recordFamily[record]!;
    const before = byFamily[family]!;
    if (Number.isNaN(before)) byFamily[family] = amount;
    else if (how === 'sum') byFamily[family] = before + amount;
    else byFamily[family] = how === 'most' ? Math.max(before, amount) : Math.min(before, amount);
  }
  return { [`numbers.${key}`]: byRecord, [`familyNumbers.${key}`]: byFamily };
}

export function openNumberColumns(
  sections: Sections,
  attributes: readonly AttributeProfile[],
): Map<string, NumberColumn> {
  const columns = new Map<string, NumberColumn>();
  for (const { key } of attributes.filter(isNumeric)) {
    const byRecord = sections.f64(`numbers.${key}`);
    const byFamily = sections.f64(`familyNumbers.${key}`);
    columns.set(key, {
      ofRecord: (record) => byRecord[record]!,
      ofFamily: (family) => byFamily[family]!,
      range(records, failing, ownBit) {
        let least = Number.POSITIVE_INFINITY;
        let most = Number.NEGATIVE_INFINITY;
        for (let at = 0; at < records.length; at++) {
          const record = records[at]!;
          if (failing !== null && (failing[record]! & ~ownBit) !== 0) continue;
          const amount = byRecord[record]!;
          if (amount < least) least = amount;
          if (amount > most) most = amount;
        }
        return least <= most ? { least, most } : null;
      },
    });
  }
  return columns;
}
