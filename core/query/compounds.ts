import { perSnapshot } from '../index/perSnapshot.ts';
import type { Snapshot } from '../index/snapshot.ts';
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

/** What is known of a catalog's words, in letters alone, so that it outlives their numbers. */
interface Worked {
  readonly words: ReadonlySet<string>;
  /** Roots of the parts of each compound, and the other way round. */
  readonly rootsOf: ReadonlyMap<string, ReadonlySet<string>>;
  readonly compoundsOf: ReadonlyMap<string, ReadonlySet<string>>;
}

const none: Compounds = { get: () => [] };
const nothing: Worked = { words: new Set(), rootsOf: new Map(), compoundsOf: new Map() };
/** Words that may come and go until working all out anew is as quick. */
const mostChanged = 60;

const remembered = perSnapshot<Compounds>(1);
/** By the bytes of an index, what was worked out last of it or of what patches made of it. */
const lastWorked = new WeakMap<SharedArrayBuffer, Worked>();

/**
 * The catalog's terms that are compounds of a word. Worked out when first asked: a look at every place where a word might
 * be cut; where a patch brought or took words, a look at these and at what begins or ends with them. Empty for languages
 * without such compounds.
 */
export const compoundsOf = (snapshot: Snapshot): Compounds =>
  hasCompounds(snapshot) ? remembered(snapshot, '', () => findCompounds(snapshot)) : none;

function findCompounds(snapshot: Snapshot): Compounds {
  const { terms, layers, language } = snapshot;
  const [base] = layers as [SharedArrayBuffer];
  const words = new Set<string>();
  for (let term = 0; term < terms.length; term++) {
    const text = terms.get(term);
    if (text.length >= leastPart && letters.test(text)) words.add(text);
  }
  const worked = workedOn(lastWorked.get(base) ?? nothing, words, language);
  lastWorked.set(base, worked);
  const known = new Map<string, readonly number[]>();
  return {
    get(root) {
      const numbers =
        known.get(root) ??
        [...(worked.compoundsOf.get(root) ?? [])].map((word) => terms.find(word)).sort((a, b) => a - b);
      known.set(root, numbers);
      return numbers;
    },
  };
}

/** The compounds among some words, from those among others. */
function workedOn(before: Worked, words: ReadonlySet<string>, language: Language): Worked {
  const gone = [...before.words].filter((word) => !words.has(word));
  const born = [...words].filter((word) => !before.words.has(word));
  const changed = [...gone, ...born];
  if (changed.length === 0) return before;
  if (before !== nothing && changed.length > mostChanged) return workedOn(nothing, words, language);
  // Another part may make a word a compound, or no longer one.
  const affected =
    before === nothing
      ? words
      : [...words].filter((word) => changed.some((part) => word.endsWith(part) || word.startsWith(part)));
  const rootsOf = new Map(before.rootsOf);
  const compounds = new Map(before.compoundsOf);
  const own = new Set<string>();
  /** The compounds of a root, in a set that is this answer's own. */
  const compoundsAt = (root: string): Set<string> => {
    const known = compounds.get(root);
    if (known && own.has(root)) return known as Set<string>;
    own.add(root);
    const copy = new Set(known);
    compounds.set(root, copy);
    return copy;
  };
  const forget = (word: string): void => {
    for (const root of rootsOf.get(word) ?? []) compoundsAt(root).delete(word);
    rootsOf.delete(word);
  };
  for (const word of gone) forget(word);
  for (const word of affected) {
    forget(word);
    const parts = compoundParts(word, (text) => words.has(text)).flat();
    if (parts.length === 0) continue;
    const roots = new Set(parts.map((part) => stem(part, language)));
    rootsOf.set(word, roots);
    for (const root of roots) compoundsAt(root).add(word);
  }
  return { words, rootsOf, compoundsOf: compounds };
}
