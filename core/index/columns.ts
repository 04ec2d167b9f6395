import { type AttributeProfile, hasValueColumn } from '../catalog/profileAttributes.ts';
import { type CountedColumn, type FamilyCounts, openFamilyCounts, type Selection } from './familyCounts.ts';
import { GrowingArray } from './growingArray.ts';
import type { SectionArray, Sections } from './sections.ts';
import { openStrings, packStrings, type StringTable } from './stringTable.ts';

/**
 * The values of the attributes, dictionary-coded: value numbers 0..n-1 of an attribute stand for the texts of its
 * table `values.KEY`. This file owns three sections, all unsigned 32 bits and each shared by all attributes:
 *
 * - `cells`: for every attribute no record has two values of, one run of `records` items: value number + 1, 0 for none;
 * - `lists.start` and `lists.ids`: for every other attribute, a run of `records + 1` offsets into `lists.ids`, where
 *   the value numbers stand.
 *
 * The texts stand in order, so that values of equal counts are always listed alike.
 *
 * `columns.base` says where an attribute's run begins, `columns.isList` which of the two it is, both in the order of
 * the attributes with values. One array for all attributes and one loop over it, since a loop that meets arrays of
 * several widths, or closures of several columns, was measured to take two and a half times as long.
 */
export interface ValueColumn {
  /** How many different values there are. */
  readonly size: number;
  /** The text of a value number. */
  name(value: number): string;
  /** Number of a value text, or -1. */
  find(text: string): number;
  /** Number of the record's first value, or -1 where it has none. Values are numbered in order of their texts. */
  first(record: number): number;
  /** Calls `use` with the number of each value the record has. */
  each(record: number, use: (value: number) => void): void;
  /** Whether the record has one of the values, given as one byte a value number. */
  hasAny(record: number, wanted: Uint8Array): boolean;
  /**
   * Counts families by value over the selected records that have no failing bit outside `ownBit`. The answer is valid
   * until the next call for any column. `representatives`, where given, are one record that counts of each family that
   * has one: enough where no family's variants differ in the attribute.
   */
  countFamilies(selection: Selection, ownBit?: number, representatives?: Uint32Array | null): FamilyCounts;
}

/** Gathers one attribute's values in record order. */
class GatheredColumn {
  readonly key: string;
  readonly start = new GrowingArray();
  readonly ids = new GrowingArray();
  readonly numbers = new Map<string, number>();
  isList = false;
  private lastText: string | null = null;
  private lastNumber = 0;

  constructor(key: string) {
    this.key = key;
    this.start.push(0);
  }

  /** The next record's values: one text as it is, others as a list. */
  add(texts: readonly string[] | string): void {
    if (typeof texts === 'string') this.ids.push(this.numberOf(texts));
    else {
      if (texts.length > 1) this.isList = true;
      for (const text of texts) this.ids.push(this.numberOf(text));
    }
    this.start.push(this.ids.length);
  }

  /** The number of a text, a new one where it comes for the first time. */
  numberOf(text: string): number {
    // The variants of a family come one after another and mostly say the same.
    if (text === this.lastText) return this.lastNumber;
    let number = this.numbers.get(text);
    if (number === undefined) {
      number = this.numbers.size;
      this.numbers.set(text, number);
    }
    this.lastText = text;
    this.lastNumber = number;
    return number;
  }
}

export const gatherColumn = (key: string): GatheredColumn => new GatheredColumn(key);

/** One attribute's values laid out: record by record in `start` (records + 1) and `ids`, numbers into `texts`, sorted. */
export interface ColumnValues {
  readonly key: string;
  /** Null where the texts are those that are packed already. */
  readonly texts: readonly string[] | null;
  readonly start: Uint32Array;
  readonly ids: Uint32Array;
  readonly isList: boolean;
}

/** Puts the texts in order and numbers the values by it. */
function inOrder({ key, start, ids, numbers, isList }: GatheredColumn): ColumnValues {
  // Without a comparison of its own, sorting texts compares UTF-16 units, as the string table wants.
  const texts = [...numbers.keys()].sort();
  const place = new Uint32Array(texts.length);
  for (let at = 0; at < texts.length; at++) place[numbers.get(texts[at]!)!] = at;
  const numbered = ids.view().slice();
  for (let at = 0; at < numbered.length; at++) numbered[at] = place[numbered[at]!]!;
  return { key, texts, start: start.view(), ids: numbered, isList };
}

export const packColumns = (columns: readonly GatheredColumn[], records: number): Record<string, SectionArray> =>
  layColumns(columns.map(inOrder), records);

/** Writes a column no record has two values of into its run of cells. */
export function writeCells(cells: Uint32Array, from: number, { start, ids }: ColumnValues, records: number): void {
  for (let at = 0; at < records; at++) cells[from + at] = start[at + 1]! > start[at]! ? ids[start[at]!]! + 1 : 0;
}

/** Lays the columns into the shared sections. */
export function layColumns(columns: readonly ColumnValues[], records: number): Record<string, SectionArray> {
  const lists = columns.filter(({ isList }) => isList);
  const cells = new Uint32Array((columns.length - lists.length) * records);
  const starts = new Uint32Array(lists.length * (records + 1));
  const allIds = new Uint32Array(lists.reduce((sum, column) => sum + column.ids.length, 0));
  const base = new Uint32Array(columns.length);
  let nextCell = 0;
  let nextStart = 0;
  let nextId = 0;
  for (const [index, column] of columns.entries()) {
    const { isList, start, ids } = column;
    if (isList) {
      base[index] = nextStart;
      for (let at = 0; at <= records; at++) starts[nextStart++] = nextId + start[at]!;
      allIds.set(ids, nextId);
      nextId += ids.length;
    } else {
      base[index] = nextCell;
      writeCells(cells, nextCell, column, records);
      nextCell += records;
    }
  }
  return {
    ...Object.assign({}, ...columns.map(({ key, texts }) => (texts ? packStrings(`values.${key}`, texts) : {}))),
    cells,
    'lists.start': starts,
    'lists.ids': allIds,
    'columns.base': base,
    'columns.isList': Uint8Array.from(columns, ({ isList }) => (isList ? 1 : 0)),
  };
}

/** The dictionary's texts, each made once when first asked for, and their numbers. */
function openNames(names: StringTable): Pick<ValueColumn, 'size' | 'name' | 'find'> {
  let texts: (string | undefined)[] | null = null;
  let numbers: Map<string, number> | null = null;
  const name = (value: number): string => {
    // As long as it will be from the start: filled here and there, an array would turn into a slow map.
    texts ??= new Array<string | undefined>(names.length);
    texts[value] ??= names.get(value);
    return texts[value];
  };
  return {
    size: names.length,
    name,
    find(text) {
      if (!numbers) {
        numbers = new Map();
        for (let value = 0; value < names.length; value++) numbers.set(name(value), value);
      }
      return numbers.get(text) ?? -1;
    },
  };
}

/** Opens every attribute's value column. `recordFamily` gives the family number of each record. */
export function openValueColumns(
  sections: Sections,
  attributes: readonly AttributeProfile[],
  recordFamily: Uint32Array,
): Map<string, ValueColumn> {
  const cells = sections.u32('cells');
  const listStart = sections.u32('lists.start');
  const listIds = sections.u32('lists.ids');
  const base = sections.u32('columns.base');
  const isList = sections.u8('columns.isList');
  const withValues = attributes.filter(hasValueColumn);
  const names = withValues.map(({ key }) => openStrings(sections, `values.${key}`));
  const largest = Math.max(0, ...names.map(({ length }) => length));
  const countFamilies = openFamilyCounts({ cells, listStart, listIds, recordFamily, largest });

  function cellsAgree(from: number): boolean {
    for (let record = 1; record < recordFamily.length; record++)
      if (recordFamily[record] === recordFamily[record - 1] && cells[from + record] !== cells[from + record - 1])
        return false;
    return true;
  }
  function listsAgree(from: number): boolean {
    for (let record = 1; record < recordFamily.length; record++) {
      if (recordFamily[record] !== recordFamily[record - 1]) continue;
      const before = listStart[from + record - 1]!;
      const own = listStart[from + record]!;
      const size = listStart[from + record + 1]! - own;
      if (own - before !== size) return false;
      for (let at = 0; at < size; at++) if (listIds[own + at] !== listIds[before + at]) return false;
    }
    return true;
  }
  /** Whether some record of a list has one value twice. */
  function listsRepeat(from: number, size: number): boolean {
    const lastRecord = new Uint32Array(size).fill(0xffffffff);
    for (let record = 0; record < recordFamily.length; record++) {
      const end = listStart[from + record + 1]!;
      for (let at = listStart[from + record]!; at < end; at++) {
        if (lastRecord[listIds[at]!] === record) return true;
        lastRecord[listIds[at]!] = record;
      }
    }
    return false;
  }

  return new Map(
    withValues.map(({ key }, index): [string, ValueColumn] => {
      const from = base[index]!;
      const many = isList[index] === 1;
      const size = names[index]!.length;
      let isOfFamilies: boolean | null = null;
      /** Whether the variants of every family have the same values. Looked at once, when first asked. */
      const ofFamilies = (): boolean => {
        isOfFamilies ??= many ? listsAgree(from) : cellsAgree(from);
        return isOfFamilies;
      };
      let isRepeating: boolean | null = null;
      const repeats = (): boolean => {
        isRepeating ??= many && listsRepeat(from, size);
        return isRepeating;
      };
      const counted: CountedColumn = { from, isList: many, size, ofFamilies, repeats };
      const column: ValueColumn = {
        ...openNames(names[index]!),
        first(record) {
          if (!many) return cells[from + record]! - 1;
          const at = listStart[from + record]!;
          return at < listStart[from + record + 1]! ? listIds[at]! : -1;
        },
        each(record, use) {
          if (!many) {
            if (cells[from + record]! > 0) use(cells[from + record]! - 1);
            return;
          }
          const end = listStart[from + record + 1]!;
          for (let at = listStart[from + record]!; at < end; at++) use(listIds[at]!);
        },
        hasAny(record, wanted) {
          if (!many) return cells[from + record]! > 0 && wanted[cells[from + record]! - 1] === 1;
          const end = listStart[from + record + 1]!;
          for (let at = listStart[from + record]!; at < end; at++) if (wanted[listIds[at]!] === 1) return true;
          return false;
        },
        countFamilies: (selection, ownBit = 0, representatives = null) =>
          countFamilies(counted, selection, ownBit, representatives),
      };
      return [key, column];
    }),
  );
}

/** The arrays one attribute's values stand in, record by record: its run of cells, or of offsets and the values there; none where it has no values. */
export function valueRuns(
  { sections, attributes, records }: { sections: Sections; attributes: readonly AttributeProfile[]; records: number },
  attribute: string,
): Uint32Array[] {
  const index = attributes.filter(hasValueColumn).findIndex(({ key }) => key === attribute);
  if (index < 0) return [];
  const from = sections.u32('columns.base')[index]!;
  if (sections.u8('columns.isList')[index] === 0) return [sections.u32('cells').subarray(from, from + records)];
  const start = sections.u32('lists.start').subarray(from, from + records + 1);
  return [start, sections.u32('lists.ids').subarray(start[0], start[records])];
}
