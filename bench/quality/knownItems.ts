import { pick } from '../../core/base/random.ts';
import { type AttributeProfile, isIndexedAsText } from '../../core/catalog/profileAttributes.ts';
import { type CatalogRecord, textsOf } from '../../core/catalog/record.ts';
import type { Language } from '../../core/text/languages.ts';
import { tokenize } from '../../core/text/tokenize.ts';
import { misspell } from '../misspell.ts';
import { otherForm } from './otherForms.ts';

export const knownItemClasses = [
  'few words',
  'other order',
  'several words',
  'one typo',
  'two typos',
  'joined word',
  'split word',
  'word form',
  'elided',
  'prefix',
  'units',
  'one too many',
] as const;
export type KnownItemClass = (typeof knownItemClasses)[number];

export interface KnownItem {
  readonly text: string;
  /** The record the words were taken from. */
  readonly id: string;
  /** What its texts say (`saidBy`): a record of the very same texts is as right, since no search can tell them apart. */
  readonly says: string;
}

/** The texts of a record that are searched as words. */
const wordedTexts = (record: CatalogRecord, profiles: readonly AttributeProfile[]): string[] =>
  profiles
    .filter(
      (profile) => isIndexedAsText(profile) && profile.kind !== 'code' && !['id', 'availability'].includes(profile.key),
    )
    .flatMap(({ key }) => textsOf(record.values[key]));

/** What a record's texts say, as one text. */
export const saidBy = (record: CatalogRecord, profiles: readonly AttributeProfile[]): string =>
  wordedTexts(record, profiles).join(' ; ');

/** Words nobody types to find a thing again; the same short list for every catalog. */
const unsaid = new Set(
  'a an the of or and in on for to with by from at as is are be was that this it its any some into used one who which not no having'.split(
    ' ',
  ),
);

const isPlain = (word: string): boolean => /^\p{L}{3,}$/u.test(word) && !unsaid.has(word);

/** Pairs of neighbouring words of one text. */
function neighbours(texts: readonly string[]): [string, string][] {
  return texts.flatMap((text) => {
    const words = tokenize(text);
    return words.slice(1).flatMap((word, at): [string, string][] => {
      const before = words[at]!;
      return isPlain(before) && isPlain(word) ? [[before, word]] : [];
    });
  });
}

function shuffled<T>(random: () => number, items: readonly T[]): T[] {
  const list = [...items];
  for (let at = list.length - 1; at > 0; at--) {
    const other = Math.floor(random() * (at + 1));
    [list[at], list[other]] = [list[other]!, list[at]!];
  }
  return list;
}

/** Some words of a list in their order, none twice. */
function some(random: () => number, words: readonly string[], amount: number): string[] {
  const chosen = new Set(shuffled(random, [...new Set(words)]).slice(0, amount));
  return [...new Set(words)].filter((word) => chosen.has(word));
}

/**
 * An amount with its unit, not the end of a fraction or of a longer number, written as another shopper would: joined,
 * in the unit's other name or in a related unit.
 */
function otherAmount(random: () => number, text: string): string | null {
  const found =
    /(?<![\d.,/])(\d{1,3}(?:,\d{3})+|\d+(?:\.\d+)?)\s?(mm|cm|km|kg|lbs|lb|inches|inch|feet|miles|grams|ounces|pounds|litres|liters)\b/i.exec(
      text,
    );
  if (!found) return null;
  const number = Number(found[1]!.replaceAll(',', ''));
  const ways: Record<string, () => string> = {
    lbs: () => pick(random, [`${number}lb`, `${number} pounds`, `${number}lbs`]),
    lb: () => pick(random, [`${number}lbs`, `${number} pounds`]),
    pounds: () => pick(random, [`${number}lbs`, `${number} lb`]),
    inches: () => pick(random, [`${number}"`, `${number} inch`]),
    inch: () => pick(random, [`${number}"`, `${number} inches`]),
    feet: () => pick(random, [`${number}ft`, `${number * 12} inches`]),
    grams: () => pick(random, [`${number}g`, `${number / 1000} kg`]),
    ounces: () => pick(random, [`${number}oz`, `${number} oz`]),
    kg: () => pick(random, [`${number}kg`, `${number * 1000} g`]),
    cm: () => pick(random, [`${number}cm`, `${number * 10} mm`]),
    mm: () => pick(random, [`${number}mm`, `${number / 10} cm`]),
  };
  return ways[found[2]!.toLowerCase()]?.() ?? null;
}

export interface KnownItemOptions {
  readonly random: () => number;
  readonly kind: KnownItemClass;
  readonly record: CatalogRecord;
  /** Another record, for a word that does not belong. */
  readonly other: CatalogRecord;
  readonly profiles: readonly AttributeProfile[];
  readonly language: Language;
}

/**
 * A search for a record somebody knows, made from its own words by one rule a class; null where the rule does not fit
 * the record. Words come from the name, and for half of the searches from any text too; none is chosen for being easy.
 */
export function knownItem({ random, kind, record, other, profiles, language }: KnownItemOptions): KnownItem | null {
  const texts = wordedTexts(record, profiles);
  const title = tokenize(textsOf(record.values.title).join(' ')).filter((word) => !unsaid.has(word));
  const all = texts.flatMap(tokenize).filter((word) => !unsaid.has(word) && word.length > 1);
  if (title.length === 0) return null;
  const fromTitle = some(random, title, 1 + Math.floor(random() * 2));
  const more = some(
    random,
    all.filter((word) => !fromTitle.includes(word)),
    1 + Math.floor(random() * 2),
  );
  const few = [...new Set(random() < 0.5 ? some(random, title, 3) : [...fromTitle, ...more])];
  const replaced = (
    words: readonly string[],
    change: (word: string) => string | null,
    fits: (word: string) => boolean,
  ) => {
    const places = words.map((word, at) => ({ word, at })).filter(({ word }) => fits(word));
    if (places.length === 0) return null;
    const { word, at } = pick(random, places);
    const other = change(word);
    return other === null || other === word ? null : words.map((each, place) => (place === at ? other : each));
  };
  const slip = (word: string): string => misspell(random, word);
  const isLong = (word: string): boolean => word.length >= 5 && isPlain(word);
  const made = ((): readonly string[] | null => {
    switch (kind) {
      case 'few words':
        return few;
      case 'other order':
        return few.length < 2 ? null : [...few.slice(1), few[0]!];
      case 'several words': {
        const words = [...new Set([...title, ...some(random, all, 4)])].slice(0, 7);
        return words.length < 4 ? null : words;
      }
      case 'one typo':
        return replaced(few, slip, isLong);
      case 'two typos': {
        const once = replaced(few, slip, (word) => word.length >= 8 && isPlain(word));
        return once && replaced(once, slip, isLong);
      }
      case 'joined word': {
        const pairs = neighbours(texts);
        if (pairs.length === 0) return null;
        const [first, second] = pick(random, pairs);
        return [
          ...some(
            random,
            all.filter((word) => word !== first && word !== second),
            1,
          ),
          first + second,
        ];
      }
      case 'split word': {
        const long = all.filter((word) => word.length >= 8 && isPlain(word));
        if (long.length === 0) return null;
        const word = pick(random, long);
        const at = 4 + Math.floor(random() * (word.length - 7));
        return [
          ...some(
            random,
            all.filter((each) => each !== word),
            1,
          ),
          word.slice(0, at),
          word.slice(at),
        ];
      }
      case 'word form':
        return replaced(
          few,
          (word) => otherForm(word, language),
          (word) => otherForm(word, language) !== null,
        );
      case 'elided':
        // As French writes an article before a vowel.
        return language === 'fr'
          ? replaced(
              few,
              (word) => `l’${word}`,
              (word) => /^[aeiouh]\p{L}{2,}/u.test(word),
            )
          : null;
      case 'prefix': {
        const last = few.at(-1)!;
        if (last.length < 5) return null;
        return [...few.slice(0, -1), last.slice(0, Math.max(3, Math.ceil(last.length * 0.6)))];
      }
      case 'one too many': {
        const foreign = some(
          random,
          tokenize(textsOf(other.values.title).join(' ')).filter((word) => isPlain(word) && !all.includes(word)),
          1,
        );
        const words = some(random, title, 3);
        return words.length < 2 || foreign.length === 0 ? null : shuffled(random, [...words, ...foreign]);
      }
      case 'units': {
        const amount = otherAmount(random, texts.join(' ; '));
        return amount === null ? null : [...fromTitle, amount];
      }
    }
  })();
  return made && { text: made.join(' '), id: record.id, says: saidBy(record, profiles) };
}
