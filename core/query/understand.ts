import type { Snapshot } from '../index/snapshot.ts';
import { type MatchKind, rarity } from '../ranking/formula.ts';
import { isQuantityToken, readableToken } from '../text/quantity.ts';
import { normalizeCode, readWords, tokenize } from '../text/tokenize.ts';

/** Longest search taken, in characters. */
export const longestQuery = 512;
/** Words of a search that are looked for; later ones are named in the answer as left out. */
export const mostWords = 12;
/** Terms one word may stand for as the beginning of longer ones; the commonest are taken. */
export const mostPrefixTerms = 200;
/** Corrections considered for one word, nearest and commonest first. */
export const mostCorrections = 6;

/** A term a word may stand for, and how. */
export interface Expansion {
  readonly term: number;
  readonly how: MatchKind;
}

export interface QueryWord {
  readonly text: string;
  /** In order: exact, forms, synonyms, prefixes, corrections. Empty where the catalog knows nothing like the word. */
  readonly expansions: readonly Expansion[];
  readonly rarity: number;
}

export interface ExpandOptions {
  /** Whether the word stands last, so that it may be the beginning of a longer one. */
  readonly last: boolean;
  /** Whether the shopper is still typing: a last word that is known may then go on all the same. */
  readonly typing: boolean;
  /** Whether corrections are allowed at all. */
  readonly tolerance: boolean;
  /** Whether they are tried although the word is known. */
  readonly widen: boolean;
  /** Words that mean the same as this one. */
  readonly synonyms: readonly string[];
  /** Whether a term, found in this way, stands in any attribute the search reads. */
  reaches(term: number, how: MatchKind): boolean;
}

/** One thing looked for: a word, or an amount with its unit under the token that stands for it. */
export interface SoughtWord {
  /** As the shopper typed it, folded; a quantity in its canonical unit. */
  readonly text: string;
  /** What is looked up: the text itself, or the quantity's token. */
  readonly token: string;
}

/**
 * The words of a search, each once, in order; and those beyond the limit. An amount with its unit is one word, so that
 * `60 gsm` never matches the 60 of `60 ml`. Where its unit has another meaning (`12 in`), it is one only if `knows`
 * says that the catalog has the amount.
 */
export function queryWords(
  query: string,
  knows: (token: string) => boolean,
  stopWords: ReadonlySet<string> = new Set(),
): { words: SoughtWord[]; beyond: SoughtWord[] } {
  const { tokens, quantities } = readWords(query);
  const all: SoughtWord[] = [];
  let at = 0;
  const take = (word: SoughtWord): void => {
    if (!all.some(({ token }) => token === word.token)) all.push(word);
  };
  for (const quantity of quantities) {
    if (quantity.isDoubtful && !knows(quantity.token)) continue;
    while (at < quantity.at) take({ text: tokens[at]!, token: tokens[at++]! });
    take({ text: readableToken(quantity.token), token: quantity.token });
    at = Math.max(at, quantity.to);
  }
  for (; at < tokens.length; at++) take({ text: tokens[at]!, token: tokens[at]! });
  // A search of nothing but stop words means them.
  const telling = all.filter(({ token }) => !stopWords.has(token));
  const sought = telling.length > 0 ? telling : all;
  return { words: sought.slice(0, mostWords), beyond: sought.slice(mostWords) };
}

/** What makes two searches the same for a plan: the folded words in order. */
export function searchKey(query: string): string {
  return tokenize(query).join(' ');
}

/** The record whose SKU is the whole search, however it is split (`WU-2041B`, `wu 2041 b`), or -1. */
export function findExactSku(snapshot: Snapshot, query: string): number {
  const code = normalizeCode(query);
  return code.length >= 3 ? snapshot.findSku(code) : -1;
}

/** Nearest first, then same first letter, then the commonest, then by term: the order in which corrections are taken. */
function corrections(word: string, snapshot: Snapshot, options: ExpandOptions): Expansion[] {
  const { terms, postings, deletions } = snapshot;
  const near = deletions
    .near(word)
    .map(({ term, edits }) => ({
      term,
      how: (edits === 1 ? 'oneEdit' : 'twoEdits') as MatchKind,
      edits,
      otherStart: terms.get(term)[0] === word[0] ? 0 : 1,
      records: postings.termRecords[term]!,
    }))
    .filter(({ term, how }) => options.reaches(term, how));
  const fewest = Math.min(...near.map(({ edits }) => edits));
  return near
    .filter(({ edits }) => edits === fewest)
    .sort((a, b) => a.otherStart - b.otherStart || b.records - a.records || a.term - b.term)
    .slice(0, mostCorrections)
    .map(({ term, how }) => ({ term, how }));
}

/** The terms that start with the word, commonest first up to the limit, then in order of term. */
function prefixes(word: string, snapshot: Snapshot, known: ReadonlySet<number>, options: ExpandOptions): Expansion[] {
  const { postings, terms } = snapshot;
  const [from, to] = terms.prefixRange(word);
  const found: number[] = [];
  for (let term = from; term < to; term++) if (!known.has(term) && options.reaches(term, 'prefix')) found.push(term);
  if (found.length > mostPrefixTerms) {
    found.sort((a, b) => postings.termRecords[b]! - postings.termRecords[a]! || a - b);
    found.length = mostPrefixTerms;
    found.sort((a, b) => a - b);
  }
  return found.map((term) => ({ term, how: 'prefix' }));
}

/**
 * Everything a word may stand for in this catalog. A word that is known exactly or by its form stands for that; one
 * that is not is taken as the beginning of a longer word, where it is the last; and failing that, as misspelt.
 */
export function expandWord(sought: SoughtWord, snapshot: Snapshot, options: ExpandOptions): QueryWord {
  const word = sought.token;
  const expansions: Expansion[] = [];
  const exact = snapshot.terms.find(word);
  if (exact >= 0 && options.reaches(exact, 'exact')) expansions.push({ term: exact, how: 'exact' });
  for (const term of snapshot.formsOf(word))
    if (term !== exact && options.reaches(term, 'form')) expansions.push({ term, how: 'form' });
  const taken = new Set(expansions.map(({ term }) => term));
  for (const synonym of options.synonyms)
    for (const term of [snapshot.terms.find(synonym), ...snapshot.formsOf(synonym)])
      if (term >= 0 && term !== exact && !taken.has(term) && options.reaches(term, 'synonym')) {
        taken.add(term);
        expansions.push({ term, how: 'synonym' });
      }
  if (options.last && word.length >= 2 && !isQuantityToken(word) && (options.typing || expansions.length === 0)) {
    const known = new Set(expansions.map(({ term }) => term));
    if (exact >= 0) known.add(exact);
    expansions.push(...prefixes(word, snapshot, known, options));
  }
  if (options.tolerance && (options.widen || expansions.length === 0)) {
    const known = new Set(expansions.map(({ term }) => term));
    expansions.push(...corrections(word, snapshot, options).filter(({ term }) => !known.has(term)));
  }
  const holding = expansions.reduce((sum, { term }) => sum + snapshot.postings.termRecords[term]!, 0);
  return { text: sought.text, expansions, rarity: rarity(snapshot.records, Math.min(holding, snapshot.records)) };
}
