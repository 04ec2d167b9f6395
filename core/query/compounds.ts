import { perSnapshot } from '../index/perSnapshot.ts';
import { openSections } from '../index/sections.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { openStrings, type SortedStringTable, tableDifferences } from '../index/stringTable.ts';
import type { Language } from '../text/languages.ts';
import { stem } from '../text/wordForms.ts';

/** Letters each part of a compound has at least: shorter ones are found everywhere. */
const leastPart = 4;
/** What German puts between the parts of a compound. */
const links = ['', 's', 'es', 'n', 'en', 'er', 'e'] as const;
const letters = /^\p{L}+$/u;

/**
 * The ways in which a word is two known ones put together, with or without a linking sound (`Zeichnungsblock` is
 * `Zeichnung` and `Block`); longer first parts last.
 */
export function compoundParts(word: string, isWord: (text: string) => boolean): (readonly [string, string])[] {
  if (word.length < leastPart * 2 || !letters.test(word)) return [];
  const ways: (readonly [string, string])[] = [];
  for (let at = leastPart; at <= word.length - leastPart; at++) {
    const head = word.slice(at);
    if (!isWord(head)) continue;
    for (const link of links) {
      const first = word.slice(0, at - link.length);
      if (first.length >= leastPart && word.slice(first.length, at) === link && isWord(first)) {
        ways.push([first, head]);
        break;
      }
    }
  }
  return ways;
}

/** Whether the catalog's language writes its compounds as one word. */
export const hasCompounds = ({ language }: Pick<Snapshot, 'language'>): boolean => language === 'de';

/** The compounds of a catalog, by the stem of a part: numbers of the terms, ascending. */
export interface Compounds {
  get(root: string): readonly number[];
}

/** What is known of the words of an index as it was built, in letters alone, so that it outlives their numbers. */
interface Worked {
  readonly terms: SortedStringTable;
  readonly words: ReadonlySet<string>;
  /** Words by their last letters, as many as the shortest part has. */
  readonly byEnding: ReadonlyMap<string, readonly string[]>;
  /** Roots of the parts of each compound, and the other way round. */
  readonly rootsOf: ReadonlyMap<string, ReadonlySet<string>>;
  readonly compoundsOf: ReadonlyMap<string, ReadonlySet<string>>;
}

const none: Compounds = { get: () => [] };
/** Words that may have come and gone by patches until working all out anew is as quick. */
const mostChanged = 2000;

const remembered = perSnapshot<Compounds>(1);
/** By the bytes of an index as it was built. */
const worked = new WeakMap<SharedArrayBuffer, Worked>();

/**
 * The catalog's terms that are compounds of a word. Worked out when first asked: a look at every place where a word might
 * be cut; where patches brought or took words, a look at these and at what begins or ends with them. Empty for languages
 * without such compounds.
 */
export const compoundsOf = (snapshot: Snapshot): Compounds =>
  hasCompounds(snapshot) ? remembered(snapshot, '', () => findCompounds(snapshot)) : none;

const ending = (word: string): string => word.slice(-leastPart);
const isCompoundable = (text: string): boolean => text.length >= leastPart && letters.test(text);

function findCompounds({ terms, layers, language }: Snapshot): Compounds {
  const [base] = layers as [SharedArrayBuffer];
  const built = worked.get(base) ?? workedOn(openStrings(openSections(base)!, 'terms'), language);
  worked.set(base, built);
  const { gone, born } = tableDifferences(built.terms, terms);
  const compounds = afterChanges(built, terms, gone, born, language);
  const known = new Map<string, readonly number[]>();
  return {
    get(root) {
      const numbers =
        known.get(root) ?? [...(compounds.get(root) ?? [])].map((word) => terms.find(word)).sort((a, b) => a - b);
      known.set(root, numbers);
      return numbers;
    },
  };
}

/** The roots of a compound's parts; none for a word that is none. */
const rootsOfParts = (word: string, isWord: (text: string) => boolean, language: Language): ReadonlySet<string> =>
  new Set(
    compoundParts(word, isWord)
      .flat()
      .map((part) => stem(part, language)),
  );

/** The compounds among the words of a table. */
function workedOn(terms: SortedStringTable, language: Language): Worked {
  const words = new Set<string>();
  const byEnding = new Map<string, string[]>();
  for (let term = 0; term < terms.length; term++) {
    const text = terms.get(term);
    if (!isCompoundable(text)) continue;
    words.add(text);
    const alike = byEnding.get(ending(text));
    if (alike) alike.push(text);
    else byEnding.set(ending(text), [text]);
  }
  const rootsOf = new Map<string, ReadonlySet<string>>();
  const compounds = new Map<string, Set<string>>();
  for (const word of words) {
    const roots = rootsOfParts(word, (text) => words.has(text), language);
    if (roots.size === 0) continue;
    rootsOf.set(word, roots);
    for (const root of roots) compounds.set(root, (compounds.get(root) ?? new Set()).add(word));
  }
  return { terms, words, byEnding, rootsOf, compoundsOf: compounds };
}

/** The compounds after some words came and others went. */
function afterChanges(
  { words, byEnding, rootsOf, compoundsOf: before, terms: builtTerms }: Worked,
  terms: SortedStringTable,
  allGone: readonly string[],
  allBorn: readonly string[],
  language: Language,
): Pick<ReadonlyMap<string, ReadonlySet<string>>, 'get'> {
  const gone = new Set(allGone.filter(isCompoundable));
  const born = new Set(allBorn.filter(isCompoundable));
  if (gone.size + born.size > mostChanged) return workedOn(terms, language).compoundsOf;
  const isWord = (text: string): boolean => born.has(text) || (words.has(text) && !gone.has(text));
  // Another part may make a word a compound, or no longer one.
  const affected = new Set([...gone, ...born]);
  for (const part of [...gone, ...born]) {
    const [from, to] = builtTerms.prefixRange(part);
    for (let term = from; term < to; term++) affected.add(builtTerms.get(term));
    for (const word of byEnding.get(ending(part)) ?? []) if (word.endsWith(part)) affected.add(word);
  }
  /** The roots that change, each with its compounds from now on. */
  const changed = new Map<string, Set<string>>();
  const compoundsAt = (root: string): Set<string> => {
    const own = changed.get(root) ?? new Set(before.get(root));
    changed.set(root, own);
    return own;
  };
  for (const word of affected) {
    for (const root of rootsOf.get(word) ?? []) compoundsAt(root).delete(word);
    if (!isWord(word)) continue;
    for (const root of rootsOfParts(word, isWord, language)) compoundsAt(root).add(word);
  }
  return { get: (root) => changed.get(root) ?? before.get(root) };
}
