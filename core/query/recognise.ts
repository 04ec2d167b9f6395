import { levelMark } from '../catalog/levels.ts';
import { labelFromKey } from '../catalog/standardColumns.ts';
import type { Asked } from '../conditions/asked.ts';
import { bindCondition } from '../conditions/bindCondition.ts';
import { isIn, type RecordSet } from '../conditions/recordSet.ts';
import { perSnapshot } from '../index/perSnapshot.ts';
import { recordAt, spotAt } from '../index/postingArrays.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { attributeAt } from '../index/spot.ts';
import type { ValueGroups } from '../setup/parts/valueGroups.ts';
import type { Setup } from '../setup/schema.ts';
import { isQuantityToken } from '../text/quantity.ts';
import { stem } from '../text/wordForms.ts';
import { bindGroups } from '../values/valueGroups.ts';
import { knowsIn, readUnits, type SoughtWord } from './readUnits.ts';
import type { Expansion } from './understand.ts';
import type { Vocabulary } from './vocabulary.ts';

/** Words a recognised value may have, at most. */
const mostValueWords = 4;
/** An attribute of more values is not looked through: so many are names, not choices. */
const mostValuesKnown = 5000;

/** What some neighbouring words of a search were recognised as. */
export interface Recognised {
  /** As the shopper typed it, folded: what to take as words again. */
  readonly text: string;
  /** Units [from, to) of the search. */
  readonly from: number;
  readonly to: number;
  readonly as: 'strong' | 'filter';
  /** The attribute it names a value of, and that value; null for a condition. */
  readonly named: { readonly attribute: string; readonly label: string; readonly value: string } | null;
  /** What it stands for as a filter: whether a record is let through. */
  readonly allows: (record: number) => boolean;
  /** As a strong match: what each of its units stands for besides. */
  readonly expansions: readonly (readonly Expansion[])[];
}

/** One thing that can be said: the units that say it, and what it is. */
interface KnownValue {
  readonly numbers: readonly number[];
  readonly name: string;
}
/** By stemmed units, the values of one attribute that are said so. */
type ValueNames = ReadonlyMap<string, KnownValue>;

const keyOf = (snapshot: Snapshot, tokens: readonly string[]): string =>
  tokens.map((token) => stem(token, snapshot.language)).join(' ');
const lastLevel = (text: string): string => text.split(levelMark).at(-1)!;

/** What the values of an attribute are called. Worked out once a snapshot: a pass over its values and over the records. */
function valueNames(snapshot: Snapshot, attribute: string): ValueNames {
  const names = new Map<string, KnownValue>();
  const column = snapshot.values.get(attribute);
  if (!column || column.size > mostValuesKnown) return names;
  const all = Uint32Array.from({ length: snapshot.records }, (_, record) => record);
  const families = column.countFamilies({ records: all, failing: null }).counts.slice();
  const most = new Map<string, number>();
  for (let value = 0; value < column.size; value++) {
    const name = lastLevel(column.name(value));
    const tokens = readUnits(name, knowsIn(snapshot)).map(({ token }) => token);
    if (tokens.length === 0 || tokens.length > mostValueWords) continue;
    const key = keyOf(snapshot, tokens);
    const numbers = [...(names.get(key)?.numbers ?? []), value];
    // Of several spellings the commonest is what it is called.
    const isCommonest = families[value]! > (most.get(key) ?? 0);
    if (isCommonest) most.set(key, families[value]!);
    names.set(key, { numbers, name: isCommonest ? name : (names.get(key)?.name ?? name) });
  }
  return names;
}

const remembered = perSnapshot<ValueNames>(60);
const namesOf = (snapshot: Snapshot, attribute: string): ValueNames =>
  remembered(snapshot, attribute, () => valueNames(snapshot, attribute));

/** The value groups of an attribute by what they are called: each stands for the values of the catalog that are in it. */
function groupNames(snapshot: Snapshot, groupings: readonly ValueGroups[]): ValueNames {
  const names = new Map<string, KnownValue>();
  const column = groupings[0] && snapshot.values.get(groupings[0].attribute);
  if (!column || column.size > mostValuesKnown) return names;
  for (const grouping of groupings) {
    const groupOf = bindGroups(grouping);
    const members = new Map<string, number[]>();
    for (let value = 0; value < column.size; value++) {
      const label = groupOf(column.name(value))?.label;
      if (label !== undefined) members.set(label, [...(members.get(label) ?? []), value]);
    }
    for (const [name, numbers] of members) {
      const tokens = readUnits(name, knowsIn(snapshot)).map(({ token }) => token);
      const key = keyOf(snapshot, tokens);
      if (tokens.length > 0 && tokens.length <= mostValueWords && !names.has(key)) names.set(key, { numbers, name });
    }
  }
  return names;
}

/** Numbers alone name nothing unless the attribute is named before them: "size 6", not "6". */
const isBareNumber = (tokens: readonly string[]): boolean =>
  tokens.every((token) => !isQuantityToken(token) && /^[\p{N}.]+$/u.test(token));

/** A record's test for having one of some values. */
function hasValue(snapshot: Snapshot, attribute: string, numbers: readonly number[]): (record: number) => boolean {
  const column = snapshot.values.get(attribute)!;
  const wanted = new Uint8Array(column.size);
  for (const value of numbers) wanted[value] = 1;
  return (record) => column.hasAny(record, wanted);
}

/** What each unit of a value stands for: its terms, where they stand in that attribute of a record that has the value. */
function strongExpansions(snapshot: Snapshot, attribute: string, { numbers, name }: KnownValue, units: number) {
  const { postings, terms } = snapshot;
  const place = snapshot.attributes.findIndex(({ key }) => key === attribute);
  const column = snapshot.values.get(attribute)!;
  return Array.from({ length: units }, (_, unit): Expansion[] => {
    const byTerm = new Map<number, number[]>();
    for (const value of numbers) {
      const token = readUnits(lastLevel(column.name(value)), knowsIn(snapshot))[unit]?.token;
      const term = token === undefined ? -1 : terms.find(token);
      if (term >= 0) byTerm.set(term, [...(byTerm.get(term) ?? []), value]);
    }
    return [...byTerm].flatMap(([term, values]): Expansion[] => {
      const has = hasValue(snapshot, attribute, values);
      const list: number[] = [];
      for (let posting = postings.start[term]!; posting < postings.end[term]!; posting++)
        if (attributeAt(spotAt(postings, posting)) === place && has(recordAt(postings, posting))) list.push(posting);
      return list.length === 0
        ? []
        : [{ term, how: 'value', phrase: { postings: Uint32Array.from(list), text: name } }];
    });
  });
}

const testOf =
  (met: RecordSet) =>
  (record: number): boolean =>
    isIn(met, record);

export interface Recogniser {
  /** Whether anything but a limit of price is recognised at all. */
  readonly isOn: boolean;
  /** What is recognised in a search's units, from left to right, the longest first; nothing twice. */
  recognise(units: readonly SoughtWord[], asWords: ReadonlySet<string>): readonly Recognised[];
}

/** Binds what a setup recognises to a catalog. Cost: values are read when first looked for. */
export function bindRecogniser(
  snapshot: Snapshot,
  setup: Setup,
  { fixed }: Pick<Vocabulary, 'fixed'>,
  asked: Asked,
): Recogniser {
  const entries = Object.values(setup.vocabulary).flatMap((entry) => (entry.what === 'recognised' ? [entry] : []));
  const ways = new Map(entries.flatMap(({ attributes = {} }) => Object.entries(attributes)));
  const attributes = snapshot.attributes.filter(({ key }) => ways.has(key) && snapshot.values.has(key));
  const conditions = new Map<string, (record: number) => boolean>();
  for (const { conditions: list = [] } of entries)
    for (const { words, condition } of list) {
      const key = keyOf(
        snapshot,
        readUnits(words, knowsIn(snapshot)).map(({ token }) => token),
      );
      if (key !== '' && !conditions.has(key)) conditions.set(key, testOf(bindCondition(snapshot, condition, asked)));
    }
  const labelKeys = new Map(
    attributes.flatMap(({ key, label }) =>
      [label, labelFromKey(key)].flatMap((text) => {
        const said = keyOf(
          snapshot,
          readUnits(text, knowsIn(snapshot)).map(({ token }) => token),
        );
        return said.includes(' ') || said === '' ? [] : [[said, key] as const];
      }),
    ),
  );
  const groupsOf = (attribute: string): ValueNames => {
    const own = Object.keys(setup.valueGroups)
      .sort()
      .map((key) => setup.valueGroups[key]!)
      .filter((grouping) => grouping.attribute === attribute);
    return remembered(snapshot, JSON.stringify(own), () => groupNames(snapshot, own));
  };
  const grouped = new Map(attributes.map(({ key }) => [key, groupsOf(key)]));
  const isOn = attributes.length > 0 || conditions.size > 0;

  return {
    isOn,
    recognise(units, asWords) {
      if (!isOn) return [];
      const tokens = units.map(({ token }) => fixed.get(token) ?? token);
      // Once a word: stemming costs more than all the looking up.
      const stems = tokens.map((token) => stem(token, snapshot.language));
      const keyAt = (from: number, size: number): string => stems.slice(from, from + size).join(' ');
      const textOf = (from: number, to: number): string =>
        units
          .slice(from, to)
          .map(({ text }) => text)
          .join(' ');
      const valueAt = (from: number, size: number, only: string | null): readonly Recognised[] => {
        const said = tokens.slice(from, from + size);
        if (said.length < size || (only === null && isBareNumber(said))) return [];
        const key = keyAt(from, size);
        const found = attributes.flatMap(({ key: attribute, label }) => {
          const isAsked = only === null || only === attribute;
          // What the merchandiser calls a group comes before what the catalog happens to call one of its values.
          const known = isAsked
            ? (grouped.get(attribute)!.get(key) ?? namesOf(snapshot, attribute).get(key))
            : undefined;
          return known ? [{ attribute, label, known, as: ways.get(attribute)! }] : [];
        });
        const narrowing = found.find(({ as }) => as === 'filter');
        const start = only === null ? from : from - 1;
        return (narrowing ? [narrowing] : found).map(
          ({ attribute, label, known, as }): Recognised => ({
            text: textOf(start, from + size),
            from: start,
            to: from + size,
            as,
            named: { attribute, label, value: known.name },
            allows: hasValue(snapshot, attribute, known.numbers),
            expansions: as === 'strong' ? strongExpansions(snapshot, attribute, known, size) : [],
          }),
        );
      };
      const conditionAt = (from: number, size: number): readonly Recognised[] => {
        const said = tokens.slice(from, from + size);
        const allows = conditions.size === 0 || said.length < size ? undefined : conditions.get(keyAt(from, size));
        const to = from + size;
        return allows ? [{ text: textOf(from, to), from, to, as: 'filter', named: null, allows, expansions: [] }] : [];
      };
      const all: Recognised[] = [];
      for (let at = 0; at < units.length; ) {
        const labelled = labelKeys.get(stems[at]!);
        let found: readonly Recognised[] = [];
        for (let size = mostValueWords; size > 0 && found.length === 0; size--) {
          if (labelled !== undefined) found = valueAt(at + 1, size, labelled);
          if (found.length === 0) found = conditionAt(at, size);
          if (found.length === 0) found = valueAt(at, size, null);
          found = found.filter(({ text }) => !asWords.has(text));
        }
        all.push(...found);
        at = found[0]?.to ?? at + 1;
      }
      return all;
    },
  };
}
