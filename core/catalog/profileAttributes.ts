import { readAmount } from './readAmount.ts';
import { type AttributeValue, type CatalogRecord, textsOf } from './record.ts';
import { type AttributeKind, availability, labelFromKey, standardColumn, standardColumns } from './standardColumns.ts';

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
  /** Words in a value on average. */
  readonly averageWords: number;
  /** Of the products with several variants, the share whose variants differ in it, 0 to 1. */
  readonly variesWithin: number;
}

/** Different values are told apart up to here for each attribute, so that a column of unique texts cannot eat memory. */
export const countedValues = 20_000;

/** Longer texts are no amounts; they need not be read as ones. */
const longestAmount = 24;

interface Tally {
  records: number;
  words: number;
  texts: number;
  numeric: number;
  links: number;
  lists: boolean;
  varying: number;
  readonly counts: Map<string, number>;
}

const newTally = (): Tally => ({
  records: 0,
  words: 0,
  texts: 0,
  numeric: 0,
  links: 0,
  lists: false,
  varying: 0,
  counts: new Map(),
});

function note(tally: Tally, value: AttributeValue): void {
  tally.records++;
  if (typeof value === 'object') tally.lists = true;
  for (const text of textsOf(value)) {
    tally.texts++;
    tally.words += text.split(' ').length;
    if (typeof value === 'number' || (text.length <= longestAmount && readAmount(text) !== null)) tally.numeric++;
    if (/^(https?:\/\/|\/)\S+$/.test(text)) tally.links++;
    const short = text.slice(0, 80);
    const count = tally.counts.get(short);
    if (count !== undefined) tally.counts.set(short, count + 1);
    else if (tally.counts.size < countedValues) tally.counts.set(short, 1);
  }
}

/** A kind for a column nobody named: what nearly all (49 in 50) of its values are. */
function guessKind(tally: Tally): AttributeKind {
  if (tally.lists) return 'list';
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
  /** The family whose records are coming: its first record's values as text, and the attributes that varied so far. */
  let family = { id: '', variants: 0, values: new Map<string, string>(), varying: new Set<string>() };
  let several = 0;
  const closeFamily = (): void => {
    if (family.variants < 2) return;
    several++;
    for (const key of family.varying) tallyOf(key).varying++;
  };
  const noteVariant = (id: string, values: Record<string, AttributeValue>): void => {
    const texts = new Map(Object.entries(values).map(([key, value]) => [key, String(value)]));
    if (id !== family.id || records === 1) {
      closeFamily();
      family = { id, variants: 1, values: texts, varying: new Set() };
      return;
    }
    family.variants++;
    for (const [key, text] of texts) if (family.values.get(key) !== text) family.varying.add(key);
    for (const key of family.values.keys()) if (!texts.has(key)) family.varying.add(key);
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
      for (const [key, value] of Object.entries(record.values)) note(tallyOf(key), value);
      noteVariant(record.familyId, { ...record.values, ...(record.sku && { sku: record.sku }) });
    },
    finish() {
      closeFamily();
      // A merchandiser may tag and boost products of a catalog that brings neither.
      for (const key of ['tags', 'boost']) tallyOf(key);
      family = { id: '', variants: 0, values: new Map(), varying: new Set() };
      const profiles = [...tallies].map(([key, tally]): AttributeProfile => {
        const known = key === availability.key ? availability : standardColumn.get(key);
        return {
          key,
          label: known?.label ?? labelFromKey(key),
          kind: standardColumn.get(key)?.kind ?? guessKind(tally),
          coverage: records === 0 ? 0 : tally.records / records,
          values: tally.counts.size,
          samples: [...tally.counts]
            .sort((a, b) => b[1] - a[1])
            .slice(0, 5)
            .map(([text]) => text),
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
