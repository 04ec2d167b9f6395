import type { ColourWords } from '../colour/colourWords.ts';
import type { ValueGroup } from '../setup/parts/valueGroups.ts';
import { fold } from '../text/fold.ts';
import type { Language } from '../text/languages.ts';
import { findQuantities, quantityToken } from '../text/quantity.ts';
import { tokenize } from '../text/tokenize.ts';
import { stem } from '../text/wordForms.ts';

/** A value of the catalog and the products that have it. */
export interface CountedValue {
  readonly value: string;
  readonly products: number;
}

/** A group that is proposed, with what speaks for it. */
export interface GroupProposal extends ValueGroup {
  readonly why: 'spelling' | 'colour' | 'amount';
}

/**
 * What values that nobody could tell apart have in common: their words folded, without endings, joined and split alike,
 * and their amounts in one unit, so that "Gum Arabic", "gum-arabic" and "300gsm", "300 g/m²" agree.
 */
export function likenessOf(value: string, language: Language): string {
  const folded = fold(value);
  const quantities = findQuantities(folded).filter(({ isDoubtful }) => !isDoubtful || /^\S*\d/.test(folded));
  let rest = folded;
  for (const { from, to } of quantities) rest = rest.slice(0, from) + ' '.repeat(to - from) + rest.slice(to);
  const words = tokenize(rest).map((token) => (/\d/.test(token) ? token : stem(token, language)));
  return [...quantities.map(quantityToken), words.join('')].filter(Boolean).join(' ');
}

const byProducts = (a: CountedValue, b: CountedValue): number =>
  b.products - a.products || (a.value < b.value ? -1 : 1);

/** Values gathered by something they have in common; those without it are left out. */
function gather(
  values: readonly CountedValue[],
  common: (value: string) => string | null,
): Map<string, CountedValue[]> {
  const groups = new Map<string, CountedValue[]>();
  for (const each of values) {
    const key = common(each.value);
    if (key) groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return groups;
}

/** Sets of values that nobody could tell apart, the commonest spelling of each first. */
export function alikeValues(values: readonly CountedValue[], language: Language): string[][] {
  return [...gather(values, (value) => likenessOf(value, language)).values()]
    .filter((group) => group.length > 1)
    .map((group) => group.sort(byProducts).map(({ value }) => value));
}

const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

/** Plain words for one colour. */
const sameColour: Readonly<Record<string, string>> = { gray: 'grey', violet: 'purple' };

/** The plain colour a value is one of, by its own last word or by its colour value; null where it is no known colour. */
function colourOf(value: string, colours: ColourWords): { readonly word: string; readonly hex: string | null } | null {
  const tokens = tokenize(value);
  const own = tokens.findLast((token) => colours.plain.includes(token)) ?? null;
  const hex = colours.hexOf(value) ?? (tokens.length > 1 ? colours.hexOf(tokens.at(-1)!) : null);
  const word = own ?? (hex ? (colours.placeOf(hex)?.word ?? null) : null);
  return word === null ? null : { word: sameColour[word] ?? word, hex };
}

/** Of an attribute's products, how many must have a value that is a colour for it to be an attribute of colours. */
const leastColours = 0.5;

/** Whether most products of an attribute have a colour there. */
function areColours(values: readonly CountedValue[], colours: ColourWords): boolean {
  const all = values.reduce((sum, { products }) => sum + products, 0);
  const coloured = values.filter(({ value }) => colourOf(value, colours) !== null);
  return all > 0 && coloured.reduce((sum, { products }) => sum + products, 0) >= all * leastColours;
}

/** What values look like, of those that are known; null where most of them are no colours. */
export function coloursOf(texts: readonly string[], colours: ColourWords): Record<string, string> | null {
  const values = texts.map((value) => ({ value, products: 1 }));
  if (!areColours(values, colours)) return null;
  return Object.fromEntries(
    texts.flatMap((text): [string, string][] => {
      const hex = colourOf(text, colours)?.hex;
      return hex ? [[text, hex]] : [];
    }),
  );
}

/**
 * Groups for an attribute's values: of colours one for each plain colour, by what the shades look like; of anything else
 * one for each set that differs only in spelling, case, plural, joining, or the unit of its amount. Named after the
 * commonest. Nothing where nothing would be joined.
 */
export function proposeGroups(
  values: readonly CountedValue[],
  language: Language,
  colours: ColourWords | null,
): GroupProposal[] {
  if (colours && areColours(values, colours)) {
    const groups = gather(values, (value) => colourOf(value, colours)?.word ?? null);
    return [...groups]
      .map(([word, members]): GroupProposal & { readonly products: number } => ({
        label: capital(word),
        values: members.sort(byProducts).map(({ value }) => value),
        colour: colours.typicalOf(word) ?? colours.hexOf(word) ?? '#888888',
        why: 'colour',
        products: members.reduce((sum, { products }) => sum + products, 0),
      }))
      .sort((a, b) => b.products - a.products || (a.label < b.label ? -1 : 1))
      .map(({ products: _, ...group }) => group);
  }
  return alikeValues(values, language).map((alike) => ({
    label: alike[0]!.slice(0, 80),
    values: alike,
    why: findQuantities(fold(alike[0]!)).length > 0 ? 'amount' : 'spelling',
  }));
}
