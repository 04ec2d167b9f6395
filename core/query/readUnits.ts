import type { Snapshot } from '../index/snapshot.ts';
import { readableToken } from '../text/quantity.ts';
import { normalizeCode, type ReadWords, readWords } from '../text/tokenize.ts';
import type { Vocabulary } from './vocabulary.ts';

/** Longest search taken, in characters. */
export const longestQuery = 512;
/** Words of a search that are looked for; later ones are named in the answer as left out. */
export const mostWords = 12;
/** Searches whose words are remembered. */
const mostRemembered = 4;
const remembered = new Map<string, ReadWords>();

/**
 * The words of a search: one search asks for them again and again, for plans, products, articles and collections, and
 * reading amounts out of a text with digits costs more than finding nothing does.
 */
export function wordsOf(query: string): ReadWords {
  const known = remembered.get(query);
  if (known) return known;
  const words = readWords(query);
  if (remembered.size >= mostRemembered) remembered.delete(remembered.keys().next().value!);
  remembered.set(query, words);
  return words;
}

/** One thing looked for: a word, or an amount with its unit under the token that stands for it. */
export interface SoughtWord {
  /** As the shopper typed it, folded; a quantity in its canonical unit. */
  readonly text: string;
  /** What is looked up: the text itself, or the quantity's token. */
  readonly token: string;
  /** What the shopper typed, where the merchandiser says that it means this word. */
  readonly typed?: string;
}

/** Whether a catalog has a word, or an amount, just so. */
export const knowsIn =
  ({ terms }: Snapshot) =>
  (token: string): boolean =>
    terms.find(token) >= 0;

/**
 * A text as the things it names, in order: words, and amounts with their units, each as one, so that `60 gsm` never
 * matches the 60 of `60 ml`. An amount whose unit has another meaning (`12 in`) is one only if `knows` says that the
 * catalog has it.
 */
export function readUnits(text: string, knows: (token: string) => boolean): SoughtWord[] {
  const { tokens, quantities } = wordsOf(text);
  const all: SoughtWord[] = [];
  let at = 0;
  for (const quantity of quantities) {
    if (quantity.isDoubtful && !knows(quantity.token)) continue;
    while (at < quantity.at) all.push({ text: tokens[at]!, token: tokens[at++]! });
    all.push({ text: readableToken(quantity.token), token: quantity.token });
    at = Math.max(at, quantity.to);
  }
  for (; at < tokens.length; at++) all.push({ text: tokens[at]!, token: tokens[at]! });
  return all;
}

/** The words of a search, each once, in order; and those beyond the limit. */
export function queryWords(
  query: string,
  knows: (token: string) => boolean,
  { stopWords, fixed }: Pick<Vocabulary, 'stopWords' | 'fixed'> = { stopWords: new Set(), fixed: new Map() },
): { words: SoughtWord[]; beyond: SoughtWord[] } {
  const all: SoughtWord[] = [];
  for (const given of readUnits(query, knows)) {
    const meant = fixed.get(given.token);
    const word = meant === undefined ? given : { text: meant, token: meant, typed: given.text };
    if (!all.some(({ token }) => token === word.token)) all.push(word);
  }
  // A search of nothing but stop words means them.
  const meaningful = all.filter(({ token }) => !stopWords.has(token));
  const sought = meaningful.length > 0 ? meaningful : all;
  return { words: sought.slice(0, mostWords), beyond: sought.slice(mostWords) };
}

/** What makes two searches the same for a plan: the folded words in order. */
export function searchKey(query: string): string {
  return wordsOf(query).tokens.join(' ');
}

/** The record whose SKU is the whole search, however it is split (`WU-2041B`, `wu 2041 b`), or -1. */
export function findExactSku(snapshot: Snapshot, query: string): number {
  const code = normalizeCode(query);
  return code.length >= 3 ? snapshot.findSku(code) : -1;
}
