import { perSnapshot } from '../index/perSnapshot.ts';
import type { Snapshot } from '../index/snapshot.ts';
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

const remembered = perSnapshot<ReadonlyMap<string, readonly number[]>>(1);

/**
 * By the stem of a word, the catalog's terms that are compounds of it. Worked out once a snapshot, when first asked: a
 * look at every place where a term might be cut. Empty for languages without such compounds.
 */
export const compoundsOf = (snapshot: Snapshot): ReadonlyMap<string, readonly number[]> =>
  remembered(snapshot, '', () => findCompounds(snapshot));

function findCompounds(snapshot: Snapshot): ReadonlyMap<string, readonly number[]> {
  const found = new Map<string, number[]>();
  if (hasCompounds(snapshot)) {
    const texts = Array.from({ length: snapshot.terms.length }, (_, term) => snapshot.terms.get(term));
    const words = new Set(texts.filter((text) => text.length >= leastPart && letters.test(text)));
    for (const [term, text] of texts.entries())
      for (const part of new Set(compoundParts(text, (word) => words.has(word)).flat())) {
        const root = stem(part, snapshot.language);
        const list = found.get(root) ?? [];
        if (list.at(-1) !== term) list.push(term);
        found.set(root, list);
      }
  }
  return found;
}
