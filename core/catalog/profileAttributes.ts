import { readAmount } from './readAmount.ts';
import { type AttributeValue, type CatalogRecord, heldBy } from './record.ts';
import { type AttributeKind, availability, labelFromKey, standardColumn, standardColumns } from './standardColumns.ts';
import { isTradeNumber } from './tradeNumber.ts';

/** What an attribute holds over the whole catalog. */
export interface AttributeProfile {
  readonly key: string;
  readonly label: string;
  readonly kind: AttributeKind;
  /** Share of the records that have it, 0 to 1. */
  readonly coverage: number;
  /** Different values, counted up to `countedValues`; beyond it the figure reads "or more". */
  readonly values: number;
  /** The commonest values, at most five, cut to 80 characters. */
  readonly samples: readonly string[];
  /** Of the records that have it, the share with the commonest value, 0 to 1: near 1, choosing it leaves nearly everything. */
  readonly commonest: number;
  /** Words in a value on average. */
  readonly averageWords: number;
  /** Of the products with several variants, the share whose variants differ in it, 0 to 1. */
  readonly variesWithin: number;
}

/** Different values are told apart up to here for each attribute, so that a column of unique texts cannot eat memory. */
export const countedValues = 20_000;

/** Longer texts are no amounts; they need not be read as ones. */
const longestAmount = 24;
/** Of longer texts the beginning is reported, and what begins alike counts as one value. */
const longestSample = 80;

interface Tally {
  records: number;
  words: number;
  texts: number;
  numeric: number;
  links: number;
  tradeNumbers: number;
  lists: boolean;
  varying: number;
  /** By text, cut short. */
  readonly seen: Map<string, SeenText>;
}

/** What is known of a text once it has been looked at, so that the same one need not be read again. */
interface SeenText {
  count: number;
  readonly words: number;
  readonly isAmount: boolean;
  readonly isLink: boolean;
  readonly isTradeNumber: boolean;
}

const newTally = (): Tally => ({
  records: 0,
  words: 0,
  texts: 0,
  numeric: 0,
  links: 0,
  tradeNumbers: 0,
  lists: false,
  varying: 0,
  seen: new Map(),
});

const space = 32;
function wordsIn(text: string): number {
  let words = 1;
  for (let at = 0; at < text.length; at++) if (text.charCodeAt(at) === space) words++;
  return words;
}

const lookAt = (text: string, isNumber: boolean): SeenText => ({
  count: 1,
  words: wordsIn(text),
  isAmount: isNumber || (text.length <= longestAmount && /\d/.test(text) && readAmount(text) !== null),
  isLink: /^(https?:\/\/|\/)\S+$/.test(text),
  isTradeNumber: isTradeNumber(text),
});

function noteText(tally: Tally, text: string, isNumber: boolean): void {
  const short = text.length <= longestSample ? text : text.slice(0, longestSample);
  const known = tally.seen.get(short);
  // Long texts that begin alike are not alike.
  const seen = known && text.length <= longestSample ? known : lookAt(text, isNumber);
  if (known) known.count++;
  else if (tally.seen.size < countedValues) tally.seen.set(short, seen);
  tally.texts++;
  tally.words += seen.words;
  if (seen.isAmount) tally.numeric++;
  if (seen.isLink) tally.links++;
  if (seen.isTradeNumber) tally.tradeNumbers++;
}

function note(tally: Tally, value: AttributeValue): void {
  tally.records++;
  if (typeof value === 'object') {
    tally.lists = true;
    for (const text of value) noteText(tally, text, false);
  } else noteText(tally, String(value), typeof value === 'number');
}

/** Whether two variants say the same of an attribute. */
const isSame = (a: AttributeValue | undefined, b: AttributeValue | undefined): boolean =>
  a === b || (a !== undefined && b !== undefined && String(a) === String(b));

/** Of numbers made at random one in ten has a right check digit: so many right ones are no chance. */
const mostlyTradeNumbers = 0.6;
const fewTexts = 4;

/** A kind for a column nobody named: what nearly all (49 in 50) of its values are. */
function guessKind(tally: Tally): AttributeKind {
  if (tally.lists) return 'list';
  // Article numbers of the trade are looked for as they are printed, not by how large they are.
  if (tally.texts >= fewTexts && tally.tradeNumbers >= tally.texts * mostlyTradeNumbers) return 'code';
  const nearlyAll = tally.texts * 0.98;
  if (tally.numeric >= nearlyAll) return 'number';
  return tally.links >= nearlyAll ? 'link' : 'text';
}

const place = new Map(standardColumns.map((column, index) => [column.key, index]));

/** Gathers profiles record by record, so that a catalog never has to stand in memory whole. */
export function attributeProfiler(): {
  add(record: CatalogRecord): void;
  /** The profiles, standard attributes first in their usual order, then the catalog's own by name. */
  finish(): AttributeProfile[];
} {
  const tallies = new Map<string, Tally>();
  let records = 0;
  /** The family whose records are coming: its first record, and the attributes that varied so far. */
  let family: { first: CatalogRecord | null; variants: number; varying: Set<string> | null } = {
    first: null,
    variants: 0,
    varying: null,
  };
  let several = 0;
  const closeFamily = (): void => {
    if (family.variants < 2) return;
    several++;
    for (const key of family.varying ?? []) tallyOf(key).varying++;
  };
  const noteVariant = (record: CatalogRecord): void => {
    const { first } = family;
    if (first === null || record.familyId !== first.familyId) {
      closeFamily();
      family = { first: record, variants: 1, varying: null };
      return;
    }
    family.variants++;
    family.varying ??= new Set();
    if (record.sku !== first.sku) family.varying.add('sku');
    for (const key in record.values) if (!isSame(heldBy(record, key), heldBy(first, key))) family.varying.add(key);
    for (const key in first.values) if (heldBy(record, key) === undefined) family.varying.add(key);
  };
  const tallyOf = (key: string): Tally => {
    let tally = tallies.get(key);
    if (!tally) {
      tally = newTally();
      tallies.set(key, tally);
    }
    return tally;
  };
  return {
    add(record) {
      records++;
      if (record.sku) note(tallyOf('sku'), record.sku);
      for (const key in record.values) note(tallyOf(key), record.values[key]!);
      noteVariant(record);
    },
    finish() {
      closeFamily();
      // A merchandiser may tag and boost products of a catalog that brings neither.
      for (const key of ['tags', 'boost']) tallyOf(key);
      family = { first: null, variants: 0, varying: null };
      const profiles = [...tallies].map(([key, tally]): AttributeProfile => {
        const known = key === availability.key ? availability : standardColumn.get(key);
        const commonest = [...tally.seen].sort((a, b) => b[1].count - a[1].count).slice(0, 5);
        return {
          key,
          label: known?.label ?? labelFromKey(key),
          kind: standardColumn.get(key)?.kind ?? guessKind(tally),
          coverage: records === 0 ? 0 : tally.records / records,
          values: tally.seen.size,
          samples: commonest.map(([text]) => text),
          commonest: Math.min(1, (commonest[0]?.[1].count ?? 0) / Math.max(1, tally.records)),
          averageWords: tally.words / Math.max(1, tally.texts),
          variesWithin: several === 0 ? 0 : tally.varying / several,
        };
      });
      const rank = (profile: AttributeProfile) => place.get(profile.key) ?? standardColumns.length;
      return profiles.sort((a, b) => rank(a) - rank(b) || (a.key < b.key ? -1 : 1));
    },
  };
}

/** Of the products with several variants, the share whose variants must differ in an attribute for it to be the variants' own. */
const variantShare = 0.05;
export const isOfVariants = ({ variesWithin }: Pick<AttributeProfile, 'variesWithin'>): boolean =>
  variesWithin >= variantShare;

/** Attributes whose words the index holds: all but bare amounts, dates and links. */
export function isIndexedAsText(profile: AttributeProfile): boolean {
  return profile.kind !== 'number' && profile.kind !== 'price' && profile.kind !== 'date' && profile.kind !== 'link';
}

/** Attributes whose values the index holds as such: short ones, and the title, by which products are put in order. */
export function hasValueColumn(profile: AttributeProfile): boolean {
  if (profile.kind === 'list' || profile.kind === 'path' || profile.key === 'title') return true;
  return profile.kind === 'text' && profile.averageWords <= 8;
}

/** Attributes with values that can be chosen from in a filter or named in a rule. */
export function hasChoices(profile: AttributeProfile): boolean {
  return hasValueColumn(profile) && profile.key !== 'title';
}

/** Attributes that are amounts: for ranges and tie-breakers. */
export function isNumeric(profile: AttributeProfile): boolean {
  return profile.kind === 'number' || profile.kind === 'price' || profile.kind === 'date';
}
