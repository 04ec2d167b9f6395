import { own } from '../base/named.ts';
import { type AttributeProfile, isIndexedAsText } from '../catalog/profileAttributes.ts';
import { exactUpTo, placeAt, spotOf, spotSteps, wordsAt } from '../index/spot.ts';
import type { AttributeSetting } from '../setup/parts/attributes.ts';
import type { Setup } from '../setup/schema.ts';
import { lengthFactor, type MatchKind, placeFactor, quality } from './formula.ts';

const matchKinds = Object.keys(quality) as readonly MatchKind[];
export const kindNumber = Object.fromEntries(matchKinds.map((kind, index) => [kind, index])) as Record<
  MatchKind,
  number
>;

/** A gain that stands for "does not count as found": the attribute is not searched, or not in this way. */
export const notFound = -1;
/** Gains at or below this hold only where the whole value is found: `wholeOnly - gain` is kept. */
export const wholeOnly = -2;

/** Whether an attribute may be found in a way at all. Codes are found exactly, however they are split, or by their beginning. */
function isFoundBy(profile: AttributeProfile, setting: AttributeSetting | undefined, kind: MatchKind): boolean {
  // A recognised value counts for being had, whether or not words are looked for there.
  if (kind === 'value') return isIndexedAsText(profile);
  if (!isIndexedAsText(profile) || !setting?.searchable) return false;
  switch (kind) {
    case 'exact':
    case 'joined':
      return true;
    case 'prefix':
      return setting.prefixes ?? true;
    case 'form':
    case 'related':
    case 'compound':
      return profile.kind !== 'code' && (setting.forms ?? true);
    case 'oneEdit':
    case 'rivalEdit':
    case 'twoEdits':
      return profile.kind !== 'code' && (setting.corrections ?? true);
    case 'split':
    case 'synonym':
      return profile.kind !== 'code';
  }
}

/** The parts of one find's worth, each 0..1, and their product. */
export interface GainParts {
  readonly weight: number;
  readonly quality: number;
  readonly length: number;
  readonly place: number;
  readonly gain: number;
}

/** What a find in an attribute of this setting, at this spot, is worth however it was found. */
function standParts(
  setting: AttributeSetting,
  heaviest: number,
  spot: number,
  sought: number,
): Pick<GainParts, 'weight' | 'length' | 'place'> {
  const weight = heaviest === 0 ? 0 : setting.weight / heaviest;
  const length = lengthFactor(wordsAt(spot), sought);
  return { weight, length, place: setting.early ? placeFactor(placeAt(spot)) : 1 };
}
const gainOf = ({ weight, length, place }: ReturnType<typeof standParts>, kind: MatchKind): number =>
  weight * quality[kind] * length * place;

/** The definition of a gain: by how the word was found, in an attribute of this setting, at this spot. */
export function gainParts(
  setting: AttributeSetting | undefined,
  heaviest: number,
  kind: MatchKind,
  spot: number,
  sought: number,
): GainParts {
  if (kind === 'value' || !setting) return { weight: 1, quality: quality[kind], length: 1, place: 1, gain: 1 };
  const parts = standParts(setting, heaviest, spot, sought);
  return { ...parts, quality: quality[kind], gain: gainOf(parts, kind) };
}

/** The gains of every find there can be, for searches of any number of words. */
export interface Gains {
  readonly heaviest: number;
  /** Whether any attribute counts only where its whole value is found. */
  readonly hasWhole: boolean;
  /** By kind of match, then by attribute: 1 where words are found so there, else 0. */
  readonly found: readonly Uint8Array[];
  /** For a search of so many words, by kind of match one row by spot (attribute, length, place; see spot.ts). */
  table(sought: number): readonly Float64Array[];
}

/** Binds weights and settings to a catalog's attributes. Tables are made when first asked for, one for each length of search. */
export function bindGains(attributes: readonly AttributeProfile[], setup: Setup): Gains {
  const settings = attributes.map((profile) =>
    isIndexedAsText(profile) ? own(setup.attributes, profile.key) : undefined,
  );
  const heaviest = Math.max(0, ...settings.map((setting) => (setting?.searchable ? setting.weight : 0)));
  const found = matchKinds.map((kind) =>
    Uint8Array.from(attributes, (profile, index) => (isFoundBy(profile, settings[index], kind) ? 1 : 0)),
  );
  const tables: (readonly Float64Array[])[] = [];
  const valueRow = kindNumber.value;
  // A table is made again with every edit, so its rows are filled an attribute at a time.
  const tableFor = (sought: number): readonly Float64Array[] => {
    const table = matchKinds.map(() => new Float64Array(attributes.length * spotSteps).fill(notFound));
    for (const [attribute, setting] of settings.entries()) {
      const [from, end] = [spotOf(attribute, 0), spotOf(attribute + 1, 0)];
      if (found[valueRow]![attribute] === 1) table[valueRow]!.fill(quality.value, from, end);
      const rows = [...table.keys()].filter((row) => row !== valueRow && found[row]![attribute] === 1);
      if (!setting || rows.length === 0) continue;
      for (let spot = from; spot < end; spot++) {
        const parts = standParts(setting, heaviest, spot, sought);
        const words = wordsAt(spot);
        const isWhole = setting.whole && words !== 1;
        for (const row of rows) {
          const gain = gainOf(parts, matchKinds[row]!);
          if (!isWhole) table[row]![spot] = gain;
          else if (words <= sought && words <= exactUpTo) table[row]![spot] = wholeOnly - gain;
        }
      }
    }
    return table;
  };
  return {
    heaviest,
    hasWhole: settings.some((setting) => setting?.searchable && setting.whole),
    found,
    table(sought) {
      tables[sought] ??= tableFor(sought);
      return tables[sought];
    },
  };
}
