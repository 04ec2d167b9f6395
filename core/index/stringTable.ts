import type { SectionArray, Sections } from './sections.ts';

/**
 * Texts numbered from 0. Owns two parallel sections: `NAME.text`, all texts as UTF-16 units end to end, and
 * `NAME.start`, one offset a text and one more for the end. Together at most 2^32 units.
 */
export interface StringTable {
  readonly length: number;
  /** The text's own string; made anew at each call, so keep it where it is wanted often. */
  get(index: number): string;
  /** How many units the text has: far cheaper than the text. */
  lengthOf(index: number): number;
}

/** A string table in ascending order of UTF-16 units, so that texts and prefixes can be looked up by bisection. */
export interface SortedStringTable extends StringTable {
  /** The text's number, or -1. Cost: O(log n) comparisons. */
  find(text: string): number;
  /** The range [from, to) of texts that start so. Cost: O(log n) comparisons. */
  prefixRange(prefix: string): readonly [number, number];
  /** The sections, for comparing tables. */
  readonly units: Uint16Array;
  readonly start: Uint32Array;
}

/** Texts compared at once where two tables are alike. */
const blockSize = 64;

/** Whether the tables have the same `blockSize` texts from these on. */
function sameBlock(a: SortedStringTable, from: number, b: SortedStringTable, other: number): boolean {
  if (from + blockSize > a.length || other + blockSize > b.length) return false;
  const begin = a.start[from]!;
  const shift = b.start[other]! - begin;
  for (let text = 1; text <= blockSize; text++)
    if (b.start[other + text]! - a.start[from + text]! !== shift) return false;
  const end = a.start[from + blockSize]!;
  for (let unit = begin; unit < end; unit++) if (a.units[unit] !== b.units[unit + shift]) return false;
  return true;
}

/**
 * The texts that only one of two tables has, in order. Cost: a pass over both, many texts at a time where they are alike;
 * only those that differ are made texts.
 */
export function tableDifferences(
  before: SortedStringTable,
  after: SortedStringTable,
): { gone: string[]; born: string[] } {
  const gone: string[] = [];
  const born: string[] = [];
  /** Sign of (text `one` of the table before) minus (text `other` of the table after). */
  const compare = (one: number, other: number): number => {
    const from = before.start[one]!;
    const otherFrom = after.start[other]!;
    const size = before.start[one + 1]! - from;
    const otherSize = after.start[other + 1]! - otherFrom;
    const shared = Math.min(size, otherSize);
    for (let unit = 0; unit < shared; unit++) {
      const difference = before.units[from + unit]! - after.units[otherFrom + unit]!;
      if (difference !== 0) return difference;
    }
    return size - otherSize;
  };
  let one = 0;
  let other = 0;
  /** Where so many at a time may be alike again: what differs stands before. */
  let nextBlock = 0;
  while (one < before.length && other < after.length) {
    if (one >= nextBlock) {
      if (sameBlock(before, one, after, other)) {
        one += blockSize;
        other += blockSize;
        continue;
      }
      nextBlock = one + blockSize;
    }
    const order = compare(one, other);
    if (order < 0) gone.push(before.get(one));
    if (order > 0) born.push(after.get(other));
    if (order <= 0) one++;
    if (order >= 0) other++;
  }
  for (; one < before.length; one++) gone.push(before.get(one));
  for (; other < after.length; other++) born.push(after.get(other));
  return { gone, born };
}

export function packStrings(name: string, texts: readonly string[]): Record<string, SectionArray> {
  const start = new Uint32Array(texts.length + 1);
  let total = 0;
  for (let index = 0; index < texts.length; index++) {
    total += texts[index]!.length;
    start[index + 1] = total;
  }
  const units = new Uint16Array(total);
  let at = 0;
  for (const text of texts) for (let unit = 0; unit < text.length; unit++) units[at++] = text.charCodeAt(unit);
  return { [`${name}.text`]: units, [`${name}.start`]: start };
}

export function openStrings(sections: Sections, name: string): SortedStringTable {
  const units = sections.u16(`${name}.text`);
  const start = sections.u32(`${name}.start`);
  const length = start.length - 1;

  /** Sign of (text number `index`) minus `sought`, looking at no more than `limit` units of the former. */
  const compare = (index: number, sought: string, limit: number): number => {
    const from = start[index]!;
    const size = Math.min(start[index + 1]! - from, limit);
    const shared = Math.min(size, sought.length);
    for (let unit = 0; unit < shared; unit++) {
      const difference = units[from + unit]! - sought.charCodeAt(unit);
      if (difference !== 0) return difference;
    }
    return size - sought.length;
  };
  /** First text not below `sought` (or, with `beyond`, the first above all that start with it). */
  const bound = (sought: string, limit: number, beyond: boolean): number => {
    let low = 0;
    let high = length;
    while (low < high) {
      const middle = (low + high) >>> 1;
      const order = compare(middle, sought, limit);
      if (order < 0 || (beyond && order === 0)) low = middle + 1;
      else high = middle;
    }
    return low;
  };

  return {
    ...{ length, units, start },
    lengthOf: (index) => start[index + 1]! - start[index]!,
    get(index) {
      let text = '';
      const end = start[index + 1]!;
      let at = start[index]!;
      // Four at a time: a view handed over whole was measured to take five times as long for words.
      for (; at + 4 <= end; at += 4)
        text += String.fromCharCode(units[at]!, units[at + 1]!, units[at + 2]!, units[at + 3]!);
      for (; at < end; at++) text += String.fromCharCode(units[at]!);
      return text;
    },
    find(text) {
      const at = bound(text, Number.POSITIVE_INFINITY, false);
      return at < length && compare(at, text, Number.POSITIVE_INFINITY) === 0 ? at : -1;
    },
    prefixRange(prefix) {
      return [bound(prefix, prefix.length, false), bound(prefix, prefix.length, true)];
    },
  };
}

/** What happens to a packed table's texts: those numbered `gone` fall out, and each of `born` stands before number `at`. */
export interface StringEdits {
  readonly inserted: readonly { readonly at: number; readonly text: string }[];
  /** Ascending. */
  readonly gone: readonly number[];
}

/** The sections of a table after edits: untouched texts are moved in runs. `born` is ascending in `at`, then in text. */
export function patchStrings(
  sections: Sections,
  name: string,
  { inserted, gone }: StringEdits,
): Record<string, SectionArray> {
  const units = sections.u16(`${name}.text`);
  const start = sections.u32(`${name}.start`);
  const count = start.length - 1;
  const fallen = gone.reduce((sum, at) => sum + start[at + 1]! - start[at]!, 0);
  const risen = inserted.reduce((sum, { text }) => sum + text.length, 0);
  const newUnits = new Uint16Array(units.length - fallen + risen);
  const newStart = new Uint32Array(count - gone.length + inserted.length + 1);
  let unit = 0;
  let number = 0;
  let done = 0;
  const move = (to: number): void => {
    if (to <= done) return;
    newUnits.set(units.subarray(start[done]!, start[to]!), unit);
    const shift = unit - start[done]!;
    for (let at = done; at < to; at++) newStart[number++] = start[at]! + shift;
    unit += start[to]! - start[done]!;
    done = to;
  };
  let next = 0;
  const insertUpTo = (before: number): void => {
    for (; next < inserted.length && inserted[next]!.at <= before; next++) {
      const { at, text } = inserted[next]!;
      move(at);
      newStart[number++] = unit;
      for (let index = 0; index < text.length; index++) newUnits[unit++] = text.charCodeAt(index);
    }
  };
  for (const at of gone) {
    insertUpTo(at);
    move(at);
    done = at + 1;
  }
  insertUpTo(count);
  move(count);
  newStart[number] = unit;
  return { [`${name}.text`]: newUnits, [`${name}.start`]: newStart };
}
