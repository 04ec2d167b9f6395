import type { FilterAnswer, FilterValue } from '../answer/answer.ts';
import { selectFirst } from '../base/select.ts';
import { levelMark, levelsOf } from '../catalog/levels.ts';
import type { Selection } from '../index/familyCounts.ts';
import { usualFilter } from '../setup/terms/filterTerms.ts';
import type { Language } from '../text/languages.ts';
import { sameValue } from '../values/valueGroups.ts';
import type { BoundFilter } from './boundFilter.ts';
import type { Choices, NotShown } from './choices.ts';
import { type ChosenFilters, readRange } from './chosenFilters.ts';

/** Values of one filter an answer lists; the rest are counted in `more`. */
export const mostValuesShown = 100;
/** Bars of a histogram. */
export const bars = 24;

/** A test of one record against one filter's choice. */
type Passes = (record: number) => boolean;

const isAllOf = ({ kind, match }: BoundFilter): boolean =>
  match === 'all' && kind !== 'bands' && kind !== 'single' && kind !== 'rating' && kind !== 'yesNo';

function passes(filter: BoundFilter, chosen: readonly string[]): Passes | null {
  if (filter.numbers) {
    const { numbers } = filter;
    const range = readRange(chosen[0]!);
    return range && ((record) => numbers.ofRecord(record) >= range.from && numbers.ofRecord(record) <= range.to);
  }
  const { values } = filter;
  if (!values) return null;
  const oneOf = (texts: readonly string[]): Passes => {
    const wanted = new Uint8Array(values.size);
    for (const text of texts) {
      const value = values.find(text);
      if (value >= 0) wanted[value] = 1;
    }
    return (record) => values.hasAny(record, wanted);
  };
  if (!isAllOf(filter)) return oneOf(chosen);
  const each = chosen.map((text) => oneOf([text]));
  return (record) => each.every((test) => test(record));
}

export interface Filtered {
  /** By record, a bit for each filter (by place) whose choice it fails; null where nothing is chosen. */
  readonly failing: Uint32Array | null;
  /** Chosen keys that hold no range where one is wanted. */
  readonly ignored: readonly string[];
}

/**
 * Tests records against every choice; bits go by a filter's place among all `filters`. `scratch` has one item a record
 * of the catalog and is overwritten at the records given only. Cost: records × chosen filters.
 */
export function testFilters(
  filters: readonly BoundFilter[],
  chosen: ChosenFilters,
  records: Uint32Array,
  scratch: Uint32Array,
): Filtered {
  const ignored: string[] = [];
  const tests: { bit: number; test: Passes }[] = [];
  for (const [place, filter] of filters.entries()) {
    const texts = chosen[filter.key] ?? [];
    if (texts.length === 0) continue;
    const test = passes(filter, texts);
    if (test) tests.push({ bit: 1 << place, test });
    else ignored.push(filter.key);
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

/** What of a search bears on how its filters are reported. */
export interface FilterAnswerOptions {
  readonly selection: Selection;
  /** The records that stand for the families shown: they tell the counts of a filter that has no choice of its own. */
  readonly representatives: Uint32Array;
  readonly language?: Language | undefined;
  /** What amounts of money are in, where they are to be reported. */
  readonly currency?: string;
  /** Only the values of this filter whose name has this text: a shopper looks through a long list. */
  readonly like?: { readonly key: string; readonly text: string } | undefined;
}

/** A filter as shoppers are told of it, without what can be chosen. */
function describeFilter(
  filter: BoundFilter,
  { language, currency }: FilterAnswerOptions,
): Omit<FilterAnswer, 'values' | 'more'> {
  const { key, kind, counts, help, anyEntry, selectAll, closed, showFirst, search } = filter;
  const names = language === undefined ? undefined : filter.names?.[language];
  const isMoney = filter.attribute === 'price' || filter.attribute === 'former_price';
  const said = names?.help ?? help;
  return {
    key,
    label: names?.label ?? filter.label,
    kind,
    counts,
    ...(said && { help: said }),
    ...(isAllOf(filter) && { allOf: true }),
    ...(filter.match === 'one' && { oneOf: true }),
    ...(anyEntry && { anyEntry }),
    ...(selectAll && { selectAll }),
    ...(closed && { closed }),
    showFirst: showFirst ?? usualFilter.showFirst,
    ...(search !== undefined && { search }),
    isMoney,
    ...(isMoney && currency && { currency }),
  };
}

function countRange(filter: BoundFilter, bit: number, chosen: readonly string[], { selection }: FilterAnswerOptions) {
  const numbers = filter.numbers!;
  const range = numbers.range(selection.records, selection.failing, bit);
  if (!range) return {};
  const text = chosen[0] !== undefined && readRange(chosen[0]) ? chosen[0] : null;
  const histogram = filter.kind === 'slider' ? [...numbers.histogram(selection, bit, range, bars)] : undefined;
  return { range: { ...range, chosen: text, ...(histogram && { histogram }) } };
}

/** The path's levels as value numbers: what puts each level right below the one above it. */
function compareInTree(filter: BoundFilter, siblings: (a: number, b: number) => number) {
  const column = filter.values!;
  const chains = new Map<number, number[]>();
  const chainOf = (value: number): number[] => {
    const known = chains.get(value) ?? levelsOf(column.name(value)).map((level) => column.find(level));
    chains.set(value, known);
    return known;
  };
  return (a: number, b: number): number => {
    const [first, other] = [chainOf(a), chainOf(b)];
    const shared = Math.min(first.length, other.length);
    for (let at = 0; at < shared; at++) if (first[at] !== other[at]) return siblings(first[at]!, other[at]!);
    return first.length - other.length;
  };
}

/** One value as it is reported. */
export function valueAs(
  filter: BoundFilter,
  text: string,
  count: number,
  chosen: boolean,
  language?: Language,
): FilterValue {
  const band = filter.bands.get(text);
  const level = filter.kind === 'tree' ? text.split(levelMark) : null;
  const names = language === undefined ? undefined : filter.names?.[language]?.values;
  const named = names && Object.hasOwn(names, text) ? names[text] : undefined;
  const ownColour = filter.colours && Object.hasOwn(filter.colours, text) ? filter.colours[text] : undefined;
  const group = filter.grouping?.groups.find(({ label }) => label === text);
  const colour = group?.colour ?? ownColour;
  const described: { -readonly [Key in keyof FilterValue]: FilterValue[Key] } = {
    value: text,
    label: named ?? level?.at(-1) ?? text,
    count,
    chosen,
  };
  // Hundreds are reported beside every search: set one by one, what is there costs a tenth of spreading what may be there.
  if (level) described.depth = level.length - 1;
  if (band?.days === null) {
    described.from = band.from;
    described.to = band.to;
  } else if (band) described.days = band.days;
  if (colour) described.colour = colour;
  if (group?.picture) described.picture = group.picture;
  return described;
}

/** Products up to which values are told apart by how many they have, in looking for those with most. */
const mostTallied = 65_535;

/** The count that the `wanted`-th most counted of some values has, at most `mostTallied`; there are more than that many. */
function countOfLast(values: Uint32Array, counts: Uint32Array, wanted: number): number {
  let most = 0;
  for (let at = 0; at < values.length; at++) if (counts[values[at]!]! > most) most = counts[values[at]!]!;
  const tally = new Uint32Array(Math.min(most, mostTallied) + 1);
  for (let at = 0; at < values.length; at++) {
    const count = counts[values[at]!]!;
    tally[count < mostTallied ? count : mostTallied]!++;
  }
  let count = tally.length - 1;
  for (let left = wanted - tally[count]!; left > 0; left -= tally[count]!) count--;
  return count;
}

/**
 * Of many values, given ascending, those that so many of the most counted are among: found by their counts alone, far
 * sooner than in order. Where `isByNumber`, just so many: of values with as many products the lesser numbers.
 */
function withMost(values: Uint32Array, counts: Uint32Array, wanted: number, isByNumber: boolean): Uint32Array {
  if (values.length <= wanted) return values;
  const least = countOfLast(values, counts, wanted);
  const isCut = isByNumber && least < mostTallied;
  let ties = wanted;
  if (isCut) for (let at = 0; at < values.length; at++) if (counts[values[at]!]! > least) ties--;
  const most = new Uint32Array(values.length);
  let found = 0;
  for (let at = 0; at < values.length; at++) {
    const count = counts[values[at]!]!;
    if (count < least || (isCut && count === least && ties-- <= 0)) continue;
    most[found++] = values[at]!;
  }
  return most.subarray(0, found);
}

const collators = new Map<Language, Intl.Collator>();
/** How a language sorts. */
function collatorIn(language: Language): Intl.Collator {
  const known = collators.get(language) ?? new Intl.Collator(language);
  collators.set(language, known);
  return known;
}

/** One filter beside the results: its values with what choosing each would show. */
function countFilter(
  filter: BoundFilter,
  bit: number,
  chosen: readonly string[],
  options: FilterAnswerOptions,
): FilterAnswer {
  const { selection, representatives, language } = options;
  const base = describeFilter(filter, options);
  if (selection.records.length === 0 && chosen.length === 0) return { ...base, values: [], more: 0 };
  if (filter.numbers) return { ...base, values: [], more: 0, ...countRange(filter, bit, chosen, options) };
  const column = filter.values!;
  const chosenTexts = new Set(chosen);
  // What has all of several values is counted among what has those chosen already.
  const ownBit = isAllOf(filter) ? 0 : bit;
  const { counts, present } = column.countFamilies(selection, ownBit, chosenTexts.size === 0 ? representatives : null);
  const hidden = new Set(filter.hiddenValues);
  const least = filter.minimum ?? usualFilter.minimum;
  const like = options.like?.key === filter.key ? sameValue(options.like.text) : '';
  const isListed = (value: number): boolean => {
    const text = column.name(value);
    return (
      !hidden.has(text) && (like === '' || sameValue(valueAs(filter, text, 0, false, language).label).includes(like))
    );
  };
  // Most filters list all that stands: it is then taken as it is, without a look at each value.
  const isPlain = hidden.size === 0 && like === '' && least <= 1;
  const numberOf = new Map<number, number>();
  const listed = isPlain ? present : present.filter((value) => counts[value]! >= least && isListed(value));
  const firstPlaces = new Map(filter.first?.map((text, at) => [column.find(text), at]));
  const places = filter.places();
  const hasFirst = firstPlaces.size > 0;
  const firstOf = (value: number): number => (hasFirst ? (firstPlaces.get(value) ?? firstPlaces.size) : 0);
  // Of values with as many products those that stand first are listed, where not all can be.
  const byPlace = (a: number, b: number): number => (places ? places[a]! - places[b]! : a - b);
  const byCount = (a: number, b: number): number => firstOf(a) - firstOf(b) || counts[b]! - counts[a]! || byPlace(a, b);
  const first = (): Uint32Array => {
    const mayBeShown = hasFirst ? listed : withMost(listed, counts, mostValuesShown, !places);
    return selectFirst(mayBeShown, mostValuesShown, byCount);
  };
  // Where all of them are, the order they are shown in is the only one that matters.
  const shown = Array.from(listed.length <= mostValuesShown ? listed : first());
  for (const value of shown) numberOf.set(value, counts[value]!);
  const more = Math.max(0, listed.length - mostValuesShown);
  for (const text of chosenTexts) {
    const value = column.find(text);
    if (value < 0 || numberOf.has(value)) continue;
    numberOf.set(value, present.includes(value) ? counts[value]! : 0);
    shown.push(value);
  }
  if (filter.greyEmpty && selection.failing !== null && shown.length < mostValuesShown)
    // Counted anew, over what is found before any choice, so the counts from above are kept first.
    for (const value of column.countFamilies({ ...selection, failing: null }, 0).present) {
      if (shown.length >= mostValuesShown) break;
      if (numberOf.has(value) || !isListed(value)) continue;
      numberOf.set(value, 0);
      shown.push(value);
    }
  const inOrder = (a: number, b: number): number =>
    firstOf(a) - firstOf(b) ||
    (places ? places[a]! - places[b]! : filter.bands.size > 0 ? a - b : numberOf.get(b)! - numberOf.get(a)! || a - b);
  shown.sort(filter.kind === 'tree' ? compareInTree(filter, inOrder) : inOrder);
  const values = shown.map((value) => {
    const text = column.name(value);
    return valueAs(filter, text, numberOf.get(value)!, chosenTexts.has(text), language);
  });
  // By name means by the name that the shopper reads, as their language sorts.
  if (filter.valueOrder === 'name' && filter.kind !== 'tree' && language !== undefined) {
    const { compare } = collatorIn(language);
    const firstIn = ({ value }: FilterValue): number => firstOf(column.find(value));
    values.sort((a, b) => firstIn(a) - firstIn(b) || compare(a.label, b.label));
  }
  // A chosen value the catalog does not have at all is reported, so that it can be taken off.
  for (const text of chosenTexts) if (column.find(text) < 0) values.push(valueAs(filter, text, 0, true, language));
  return { ...base, values, more };
}

/** Whether a filter in which nothing is chosen cannot divide what is shown. */
function cannotDivide({ values, range, more }: FilterAnswer, shown: number): boolean {
  if (range) return range.least === range.most;
  const present = values.filter(({ count }) => count > 0);
  return more === 0 && present.length <= 1 && (present[0]?.count ?? shown) === shown;
}

/** All filters beside some results, and why others of the setup are not there. `filters` is what bits go by. */
export function answerFilters(
  filters: readonly BoundFilter[],
  { active, chosen, preselected, notShown }: Choices,
  options: FilterAnswerOptions,
): { readonly filters: FilterAnswer[]; readonly notShown: { readonly key: string; readonly why: NotShown }[] } {
  const hidden: { key: string; why: NotShown }[] = [...notShown];
  const shown = active.flatMap((filter): FilterAnswer[] => {
    const own = chosen[filter.key] ?? [];
    if (options.selection.records.length === 0 && own.length === 0 && options.like?.key !== filter.key) {
      hidden.push({ key: filter.key, why: 'empty' });
      return [];
    }
    const usual = preselected[filter.key] ?? [];
    const answer = {
      ...countFilter(filter, 1 << filters.indexOf(filter), own, options),
      ...(usual.length > 0 && { preselected: [...usual] }),
    };
    if (own.length > 0) return [answer];
    if (answer.range === undefined && answer.values.length === 0 && options.like?.key !== filter.key)
      hidden.push({ key: filter.key, why: 'empty' });
    else if (filter.hideUndividing && cannotDivide(answer, options.representatives.length))
      hidden.push({ key: filter.key, why: 'uniform' });
    else return [answer];
    return [];
  });
  return { filters: shown, notShown: hidden };
}
