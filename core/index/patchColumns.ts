import { type AttributeProfile, hasValueColumn } from '../catalog/profileAttributes.ts';
import { type ColumnValues, layColumns, writeCells } from './columns.ts';
import type { SectionArray, Sections } from './sections.ts';
import { openStrings, patchStrings } from './stringTable.ts';

/** A column's packed values laid out record by record again. Cost: a pass over the records. */
function unpack(
  sections: Sections,
  key: string,
  index: number,
  records: number,
): ColumnValues & { readonly texts: null } {
  const from = sections.u32('columns.base')[index]!;
  if (sections.u8('columns.isList')[index] === 1) {
    const own = sections.u32('lists.start').subarray(from, from + records + 1);
    const first = own[0]!;
    const start = own.map((at) => at - first);
    return { key, texts: null, start, ids: sections.u32('lists.ids').slice(first, own[records]), isList: true };
  }
  const cells = sections.u32('cells');
  const start = new Uint32Array(records + 1);
  const ids = new Uint32Array(records);
  let next = 0;
  for (let record = 0; record < records; record++) {
    const cell = cells[from + record]!;
    if (cell > 0) ids[next++] = cell - 1;
    start[record + 1] = next;
  }
  return { key, texts: null, start, ids: ids.slice(0, next), isList: false };
}

/** New texts of records, by record number, ascending. */
export type ChangedTexts = ReadonlyMap<number, readonly string[]>;

/** A column with some texts changed, and its dictionary's sections. */
interface ChangedColumn {
  readonly values: ColumnValues & { readonly texts: null };
  readonly strings: Record<string, SectionArray>;
}

/**
 * One column with the texts of some records changed: values nobody has any more are gone, new ones stand in order. Cost: a
 * pass over its records and its values, of which none is made a text.
 */
function withTexts(sections: Sections, column: ColumnValues, changed: ChangedTexts, records: number): ChangedColumn {
  const { key, start: oldStart, ids: oldIds } = column;
  const names = openStrings(sections, `values.${key}`);
  const used = new Uint8Array(names.length);
  /** By record: looked up in the map, a hundred thousand cost more than all that is done with them. */
  const isChanged = new Uint8Array(records);
  for (const record of changed.keys()) isChanged[record] = 1;
  let total = 0;
  for (let record = 0; record < records; record++) {
    if (isChanged[record] === 1) continue;
    total += oldStart[record + 1]! - oldStart[record]!;
    for (let at = oldStart[record]!; at < oldStart[record + 1]!; at++) used[oldIds[at]!] = 1;
  }
  const unknown = new Set<string>();
  for (const texts of changed.values()) {
    total += texts.length;
    for (const text of texts) {
      const known = names.find(text);
      if (known < 0) unknown.add(text);
      else used[known] = 1;
    }
  }
  const inserted = [...unknown]
    .map((text) => ({ at: names.prefixRange(text)[0], text }))
    .sort((a, b) => a.at - b.at || (a.text < b.text ? -1 : 1));
  const gone: number[] = [];
  const renumbered = new Uint32Array(names.length);
  const insertedNumbers = new Map<string, number>();
  let number = 0;
  let turn = 0;
  for (let value = 0; value <= names.length; value++) {
    for (; turn < inserted.length && inserted[turn]!.at === value; turn++)
      insertedNumbers.set(inserted[turn]!.text, number++);
    if (value === names.length) break;
    if (used[value] === 0) gone.push(value);
    else renumbered[value] = number++;
  }
  const numberOf = (text: string): number => insertedNumbers.get(text) ?? renumbered[names.find(text)]!;
  const start = new Uint32Array(records + 1);
  const ids = new Uint32Array(total);
  let isList = false;
  let next = 0;
  for (let record = 0; record < records; record++) {
    if (isChanged[record] === 1) for (const text of changed.get(record)!) ids[next++] = numberOf(text);
    else for (let at = oldStart[record]!; at < oldStart[record + 1]!; at++) ids[next++] = renumbered[oldIds[at]!]!;
    if (next - start[record]! > 1) isList = true;
    start[record + 1] = next;
  }
  return {
    values: { key, texts: null, start, ids, isList },
    strings: inserted.length + gone.length > 0 ? patchStrings(sections, `values.${key}`, { inserted, gone }) : {},
  };
}

/** What changed, by the columns' order. */
type Patched = ReadonlyMap<number, ChangedColumn>;

/** The cells, with the runs of changed columns written anew. */
function patchCells(sections: Sections, patched: Patched, records: number): Record<string, SectionArray> {
  const cells = sections.u32('cells').slice();
  const base = sections.u32('columns.base');
  for (const [index, { values }] of patched) if (!values.isList) writeCells(cells, base[index]!, values, records);
  return { cells };
}

/** The lists, with those of changed columns written anew and the others moved to where they now begin. */
function patchLists(sections: Sections, patched: Patched, records: number): Record<string, SectionArray> {
  const base = sections.u32('columns.base');
  const isList = sections.u8('columns.isList');
  const oldStarts = sections.u32('lists.start');
  const oldIds = sections.u32('lists.ids');
  const starts = new Uint32Array(oldStarts.length);
  let total = 0;
  const runs = [...isList.keys()].flatMap((index) => {
    if (isList[index] === 0) return [];
    const from = base[index]!;
    const own = patched.get(index)?.values;
    const ids = own ? own.ids : oldIds.subarray(oldStarts[from], oldStarts[from + records]);
    const source = own ? own.start : oldStarts.subarray(from, from + records + 1);
    const shift = total - source[0]!;
    for (let at = 0; at <= records; at++) starts[from + at] = source[at]! + shift;
    total += ids.length;
    return [ids];
  });
  const ids = new Uint32Array(total);
  let next = 0;
  for (const run of runs) {
    ids.set(run, next);
    next += run.length;
  }
  return { 'lists.start': starts, 'lists.ids': ids };
}

/**
 * The sections of all value columns with some records' texts changed, by attribute key. Cost: a pass over the records for
 * each column that changes, and a copy of the others of its kind; all are laid out anew where a column becomes a list, or
 * is none any more.
 */
export function patchColumns(
  sections: Sections,
  attributes: readonly AttributeProfile[],
  changed: ReadonlyMap<string, ChangedTexts>,
  records: number,
): Record<string, SectionArray> {
  const keys = attributes.filter(hasValueColumn).map(({ key }) => key);
  const patched = new Map(
    keys.flatMap((key, index): [number, ChangedColumn][] => {
      const texts = changed.get(key);
      return texts ? [[index, withTexts(sections, unpack(sections, key, index, records), texts, records)]] : [];
    }),
  );
  const all = [...patched.values()];
  const strings: Record<string, SectionArray> = Object.assign({}, ...all.map((each) => each.strings));
  const wasList = sections.u8('columns.isList');
  if ([...patched].some(([index, { values }]) => values.isList !== (wasList[index] === 1))) {
    const columns = keys.map((key, index) => patched.get(index)?.values ?? unpack(sections, key, index, records));
    return { ...layColumns(columns, records), ...strings };
  }
  return {
    ...strings,
    ...(all.some(({ values }) => !values.isList) && patchCells(sections, patched, records)),
    ...(all.some(({ values }) => values.isList) && patchLists(sections, patched, records)),
  };
}
