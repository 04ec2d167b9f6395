import { type CatalogRecord, textsOf } from '../catalog/record.ts';
import { type ChosenFilters, readRange } from '../facets/chosenFilters.ts';
import type { FilterSetting } from '../setup/parts/filters.ts';
import type { ValueGroups } from '../setup/parts/valueGroups.ts';
import type { Setup } from '../setup/schema.ts';
import type { Condition } from '../setup/terms/condition.ts';

/** What is found before filters, and what bears on them. */
export interface ObviousFiltering {
  readonly setup: Setup;
  readonly records: readonly CatalogRecord[];
  readonly chosen: ChosenFilters;
  readonly collection?: string;
  /** The filters that a plan shows instead of those that belong there. */
  readonly instead?: readonly string[] | undefined;
  /** Whether a record meets a condition. */
  meets(record: CatalogRecord, condition: Condition): boolean;
  /** Whether a listed search is the one made. */
  isSaid(search: string): boolean;
  readonly today: number;
  /** Whether any variant of a family is in stock. */
  familyInStock(familyId: string): boolean;
}

export interface ObviousFilters {
  /** Whether a record passes every choice, but for those in one filter. */
  passes(record: CatalogRecord, but?: string): boolean;
  /** By filter that is there and value: families. */
  readonly counts: Readonly<Record<string, Readonly<Record<string, number>>>>;
}

const daysOf = (date: unknown): number => Math.floor(Date.parse(String(date)) / 86_400_000);

/** The group of a value, by looking at each: case and accents do not count. */
export function groupFor({ groups }: ValueGroups, text: string): ValueGroups['groups'][number] | undefined {
  const same = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();
  const has = (words: readonly string[] = []): boolean =>
    words.some((word) => text.toLowerCase().split(/\s+/).includes(word.toLowerCase()));
  const amount = /^\d+$/.test(text) || /^[\d.]+ mm$/.test(text) ? Number.parseFloat(text) : Number.NaN;
  return (
    groups.find(({ values }) => values.some((value) => same(value, text))) ??
    groups.find(
      ({ words, from, to }) =>
        has(words) || ((from ?? to) !== undefined && amount >= (from ?? amount) && amount < (to ?? 1e9)),
    )
  );
}

function grouped(groups: ValueGroups, text: string): string[] {
  const group = groupFor(groups, text);
  if (group) return [group.label];
  return groups.rest === 'own' ? [text] : groups.rest === 'together' ? [groups.restLabel ?? 'Other'] : [];
}

/** What a filter shows of one record. */
function shown(
  setting: FilterSetting,
  record: CatalogRecord,
  { setup, today, familyInStock }: ObviousFiltering,
): string[] {
  const value = record.values[setting.attribute];
  if (value === undefined) return [];
  // A variant that is sold out tells nothing while another of its product is not.
  if (setting.attribute === 'availability' && value === 'Sold out' && familyInStock(record.familyId)) return [];
  if (setting.kind === 'rating') return [4, 3, 2, 1].filter((least) => Number(value) >= least).map(String);
  if (setting.kind === 'bands' && setting.attribute === 'date_added')
    return setting.thresholds!.filter((days) => daysOf(value) >= today - days).map((days) => `${days}d`);
  if (setting.kind === 'bands') {
    const ends = [Number.NEGATIVE_INFINITY, ...setting.thresholds!, Number.POSITIVE_INFINITY];
    const at = ends.findLastIndex((end) => Number(value) >= end);
    const named = (end: number): string => (Number.isFinite(end) ? String(end) : '');
    return [`${named(ends[at]!)}..${named(ends[at + 1]!)}`];
  }
  const texts = textsOf(value);
  if (setting.kind === 'yesNo') return texts.filter((text) => text === setting.yes);
  if (setting.kind === 'tree')
    return texts.flatMap((text) => text.split(' > ').map((_, at, levels) => levels.slice(0, at + 1).join(' > ')));
  const groups = setting.groups === undefined ? undefined : setup.valueGroups[setting.groups];
  return texts
    .filter((text) => text.startsWith(setting.prefix ?? ''))
    .map((text) => text.slice(setting.prefix?.length ?? 0).trim())
    .flatMap((text) => (groups ? grouped(groups, text) : text === '' ? [] : [text]));
}

/** Filters by looking at every record for every one of them. */
export function obviousFilters(given: ObviousFiltering): ObviousFilters {
  const { setup, records, chosen, collection, isSaid, instead } = given;
  const familiesWith = (test: (record: CatalogRecord) => boolean): number =>
    new Set(records.filter(test).map(({ familyId }) => familyId)).size;
  const wanted = (key: string): readonly string[] => {
    const { kind, match, chosen: preselected = [] } = setup.filters[key]!;
    const usual =
      preselected.find((each) => each.collection !== null && each.collection === collection) ??
      preselected.find((each) => each.collection === null);
    const texts = chosen[key] ?? usual?.values ?? [];
    return ['single', 'rating', 'yesNo'].includes(kind) || match === 'one' ? texts.slice(0, 1) : texts;
  };
  const belongs = ({ where }: FilterSetting): boolean =>
    !where ||
    (where.collections.length + where.searches.length === 0 && !where.mostly) ||
    where.collections.some((id) => id === collection) ||
    where.searches.some(isSaid) ||
    (where.mostly !== undefined &&
      records.length > 0 &&
      familiesWith((record) => given.meets(record, where.mostly!)) * 2 >= familiesWith(() => true));
  const isThere = (key: string, waiting: readonly string[] = []): boolean => {
    const setting = setup.filters[key];
    const isWanted = instead ? instead.includes(key) || (chosen[key] ?? []).length > 0 : setting && belongs(setting);
    if (!setting || waiting.includes(key) || !isWanted) return false;
    const { after } = setting;
    return after === undefined || (isThere(after, [...waiting, key]) && wanted(after).length > 0);
  };
  const there = Object.keys(setup.filters).filter((key) => isThere(key));
  const passesOne = (record: CatalogRecord, key: string): boolean => {
    const setting = setup.filters[key]!;
    const texts = wanted(key);
    if (texts.length === 0) return true;
    if (setting.kind === 'range' || setting.kind === 'slider') {
      const range = readRange(texts[0]!);
      const value = record.values[setting.attribute];
      return !range || (typeof value === 'number' && value >= range.from && value <= range.to);
    }
    const own = shown(setting, record, given);
    return setting.match === 'all'
      ? texts.every((text) => own.includes(text))
      : texts.some((text) => own.includes(text));
  };
  const passes = (record: CatalogRecord, but?: string): boolean =>
    there.every((key) => key === but || passesOne(record, key));
  const counts = there.map((key) => {
    const families: Record<string, Set<string>> = {};
    for (const record of records) {
      if (!passes(record, setup.filters[key]!.match === 'all' ? undefined : key)) continue;
      for (const text of shown(setup.filters[key]!, record, given)) {
        families[text] ??= new Set();
        families[text].add(record.familyId);
      }
    }
    return [key, Object.fromEntries(Object.entries(families).map(([text, set]) => [text, set.size]))] as const;
  });
  return { passes, counts: Object.fromEntries(counts) };
}
