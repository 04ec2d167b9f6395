import type { FilterAnswer, FilterValue } from '../answer.ts';
import type { ValueColumn } from '../index/columns.ts';
import type { NumberColumn } from '../index/numberColumns.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { selectFirst } from '../ranking/select.ts';
import type { FilterSetting, Setup } from '../setup/schema.ts';

/** Filters in force at once; the failing mask has one bit for each. */
export const mostFilters = 30;
/** Values of one filter an answer lists; the rest are counted in `more`. */
export const mostValuesShown = 100;

export interface BoundFilter extends FilterSetting {
  readonly key: string;
  readonly values: ValueColumn | null;
  readonly numbers: NumberColumn | null;
}

/** The setup's filters in order, bound to the catalog; one whose attribute is gone is left out. */
export function bindFilters(snapshot: Snapshot, setup: Setup): BoundFilter[] {
  return Object.entries(setup.filters)
    .map(([key, setting]): BoundFilter => {
      const ranged = setting.kind === 'range';
      return {
        ...setting,
        key,
        values: ranged ? null : (snapshot.values.get(setting.attribute) ?? null),
        numbers: ranged ? (snapshot.numbers.get(setting.attribute) ?? null) : null,
      };
    })
    .filter(({ values, numbers }) => values !== null || numbers !== null)
    .sort((a, b) => a.order - b.order || (a.key < b.key ? -1 : 1))
    .slice(0, mostFilters);
}

/** A chosen range, both ends included; an open end is infinite. */
export interface Range {
  readonly from: number;
  readonly to: number;
}

/** Reads `5..20`, `5..` or `..20`; null where the text is no range. */
export function readRange(text: string): Range | null {
  const found = /^(-?\d{1,12}(?:\.\d{1,4})?)?\.\.(-?\d{1,12}(?:\.\d{1,4})?)?$/.exec(text);
  if (!found || (found[1] === undefined && found[2] === undefined)) return null;
  return {
    from: found[1] === undefined ? Number.NEGATIVE_INFINITY : Number(found[1]),
    to: found[2] === undefined ? Number.POSITIVE_INFINITY : Number(found[2]),
  };
}

/** What the shopper chose, by filter key: value texts, or one range text. */
export type ChosenFilters = Readonly<Record<string, readonly string[]>>;

/** A test of one record against one filter's choice. */
type Passes = (record: number) => boolean;

function passes(filter: BoundFilter, chosen: readonly string[]): Passes | null {
  if (filter.numbers) {
    const { numbers } = filter;
    const range = readRange(chosen[0]!);
    return range && ((record) => numbers.ofRecord(record) >= range.from && numbers.ofRecord(record) <= range.to);
  }
  const values = filter.values!;
  const wanted = new Uint8Array(values.size);
  for (const text of filter.kind === 'single' ? chosen.slice(0, 1) : chosen) {
    const value = values.find(text);
    if (value >= 0) wanted[value] = 1;
  }
  return (record) => values.hasAny(record, wanted);
}

export interface Filtered {
  /** By record, a bit for each filter (by place) whose choice it fails; null where nothing is chosen. */
  readonly failing: Uint32Array | null;
  /** Chosen keys that name no filter, or hold no range where one is wanted. */
  readonly ignored: readonly string[];
}

/**
 * Tests records against every choice. `scratch` has one item a record of the catalog and is overwritten at the
 * records given only. Cost: records × chosen filters.
 */
export function testFilters(
  filters: readonly BoundFilter[],
  chosen: ChosenFilters,
  records: Uint32Array,
  scratch: Uint32Array,
): Filtered {
  const ignored: string[] = [];
  const tests: { bit: number; test: Passes }[] = [];
  for (const [key, texts] of Object.entries(chosen)) {
    if (texts.length === 0) continue;
    const place = filters.findIndex((filter) => filter.key === key);
    const test = place < 0 ? null : passes(filters[place]!, texts);
    if (test) tests.push({ bit: 1 << place, test });
    else ignored.push(key);
  }
  if (tests.length === 0) return { failing: null, ignored };
  for (let at = 0; at < records.length; at++) {
    const record = records[at]!;
    let failed = 0;
    for (const { bit, test } of tests) if (!test(record)) failed |= bit;
    scratch[record] = failed;
  }
  return { failing: scratch, ignored };
}

/**
 * One filter beside the results: its values with what choosing each would show. `representatives` are the records that
 * stand for the families shown: they tell the counts of a filter that has no choice of its own.
 */
export function countFilter(
  filter: BoundFilter,
  bit: number,
  records: Uint32Array,
  failing: Uint32Array | null,
  chosen: readonly string[],
  representatives: Uint32Array | null = null,
): FilterAnswer {
  const base = { key: filter.key, label: filter.label, kind: filter.kind, counts: filter.counts };
  if (records.length === 0 && chosen.length === 0) return { ...base, values: [], more: 0 };
  if (filter.numbers) {
    const range = filter.numbers.range(records, failing, bit);
    const text = chosen[0] !== undefined && readRange(chosen[0]) ? chosen[0] : null;
    return { ...base, values: [], more: 0, ...(range ? { range: { ...range, chosen: text } } : {}) };
  }
  const column = filter.values!;
  const { counts, standing } = column.countFamilies(
    records,
    failing,
    bit,
    chosen.length === 0 ? representatives : null,
  );
  const taken = new Set(filter.kind === 'single' ? chosen.slice(0, 1) : chosen);
  const values: FilterValue[] = [];
  const standingValues = standing.length;
  const isStanding = (value: number): boolean => value >= 0 && standing.includes(value);
  const byCount = (a: number, b: number) => counts[b]! - counts[a]! || a - b;
  for (const value of selectFirst(standing, mostValuesShown, byCount)) {
    const text = column.name(value);
    values.push({ value: text, count: counts[value]!, chosen: taken.has(text) });
    taken.delete(text);
  }
  for (const text of taken) {
    const value = column.find(text);
    values.push({ value: text, count: isStanding(value) ? counts[value]! : 0, chosen: true });
  }
  const byName = (a: FilterValue, b: FilterValue) => (a.value < b.value ? -1 : a.value > b.value ? 1 : 0);
  values.sort(filter.valueOrder === 'name' ? byName : (a, b) => b.count - a.count || byName(a, b));
  return { ...base, values, more: Math.max(0, standingValues - mostValuesShown) };
}
