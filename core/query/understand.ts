import type { Snapshot } from '../index/snapshot.ts';
import { type MatchKind, rarity } from '../ranking/formula.ts';
import { isQuantityToken, readableToken } from '../text/quantity.ts';
import { normalizeCode, readWords, tokenize } from '../text/tokenize.ts';
import { phrasePostings, recordsIn } from './phrasePostings.ts';
import type { Meaning, Vocabulary } from './vocabulary.ts';
import { joinings, mostSplits, splits } from './wordDivision.ts';

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
  /** Where the word stands as several: the postings of the first, ascending, and all of them as they are read. */
  readonly phrase?: { readonly postings: Uint32Array; readonly text: string };
}

export interface QueryWord {
  readonly text: string;
  /** What the shopper typed, where the merchandiser says that it means this word. */
  readonly typed?: string;
  /**
   * In order: exact, forms, joined, split, synonyms, prefixes, corrections. Empty where the catalog knows nothing like
   * the word.
   */
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
  /** What this word, alone or with its neighbours, means besides. */
  readonly meanings: readonly Meaning[];
  /** Whether it may be taken as misspelt, and words that it must not be taken for. */
  readonly mayCorrect: boolean;
  readonly neverOffered: ReadonlySet<string>;
  /** What this word and its neighbours are as one word. */
  readonly joined: readonly string[];
  /** Whether a term, found in this way, stands in any attribute the search reads. */
  reaches(term: number, how: MatchKind): boolean;
  /** Whether the search reads a posting's attribute in this way. */
  isRead(posting: number, how: MatchKind): boolean;
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

/**
 * The words of a search, each once, in order; and those beyond the limit. An amount with its unit is one word, so that
 * `60 gsm` never matches the 60 of `60 ml`. Where its unit has another meaning (`12 in`), it is one only if `knows`
 * says that the catalog has the amount.
 */
export function queryWords(
  query: string,
  knows: (token: string) => boolean,
  { stopWords, fixed }: Pick<Vocabulary, 'stopWords' | 'fixed'> = { stopWords: new Set(), fixed: new Map() },
): { words: SoughtWord[]; beyond: SoughtWord[] } {
  const { tokens, quantities } = readWords(query);
  const all: SoughtWord[] = [];
  let at = 0;
  const take = (given: SoughtWord): void => {
    const meant = fixed.get(given.token);
    const word = meant === undefined ? given : { text: meant, token: meant, typed: given.text };
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

/** What each word of a search and its neighbours may be as one, by the word's place. */
export function joinedTexts(words: readonly SoughtWord[]): string[][] {
  const joined: string[][] = words.map(() => []);
  // An amount with its unit is one thing already: nothing joins over it.
  const texts = words.map(({ token }) => (isQuantityToken(token) ? ' ' : token));
  for (const { text, from, to } of joinings(texts)) for (let at = from; at < to; at++) joined[at]!.push(text);
  return joined;
}

/**
 * Nearest first, then same first letter, then the commonest, then by term: the order in which corrections are taken.
 * Only the nearest ones are, unless the search is being widened.
 */
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
    .filter(({ term, how }) => options.reaches(term, how) && !options.neverOffered.has(terms.get(term)));
  const fewest = options.widen ? Number.POSITIVE_INFINITY : Math.min(...near.map(({ edits }) => edits));
  return near
    .filter(({ edits }) => edits <= fewest)
    .sort((a, b) => a.edits - b.edits || a.otherStart - b.otherStart || b.records - a.records || a.term - b.term)
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

/** The ways in which the word stands as several in the catalog, those of the commonest words first. */
function divided(word: string, snapshot: Snapshot, options: ExpandOptions): Expansion[] {
  const { terms, postings } = snapshot;
  const ways = splits(word).flatMap((parts): { first: number; parts: string[]; records: number }[] => {
    const numbers = parts.map((part) => terms.find(part));
    if (numbers.includes(-1)) return [];
    return [{ first: numbers[0]!, parts, records: Math.min(...numbers.map((term) => postings.termRecords[term]!)) }];
  });
  return ways
    .sort((a, b) => b.records - a.records || a.first - b.first)
    .slice(0, mostSplits)
    .flatMap(({ parts }) => sideBySide(parts, 'split', snapshot, options));
}

/** Words that stand side by side somewhere the search reads; nothing where they do not. */
function sideBySide(
  words: readonly string[],
  how: MatchKind,
  { terms, postings }: Snapshot,
  options: ExpandOptions,
): Expansion[] {
  const numbers = words.map((word) => terms.find(word));
  if (numbers.includes(-1)) return [];
  const list = phrasePostings(postings, numbers).filter((posting) => options.isRead(posting, how));
  return list.length === 0 ? [] : [{ term: numbers[0]!, how, phrase: { postings: list, text: words.join(' ') } }];
}

/**
 * Everything a word may stand for in this catalog. A word that is known exactly, by its form or divided otherwise
 * stands for that; one that is not is taken as the beginning of a longer word, where it is the last; and failing that,
 * as misspelt.
 */
export function expandWord(sought: SoughtWord, snapshot: Snapshot, options: ExpandOptions): QueryWord {
  const word = sought.token;
  const expansions: Expansion[] = [];
  const taken = new Set<number>();
  const take = (term: number, how: MatchKind): void => {
    if (term < 0 || taken.has(term) || !options.reaches(term, how)) return;
    taken.add(term);
    expansions.push({ term, how });
  };
  const exact = snapshot.terms.find(word);
  take(exact, 'exact');
  for (const term of snapshot.formsOf(word)) if (term !== exact) take(term, 'form');
  for (const text of options.joined)
    for (const term of [snapshot.terms.find(text), ...snapshot.formsOf(text)]) if (term !== exact) take(term, 'joined');
  if (!isQuantityToken(word)) expansions.push(...divided(word, snapshot, options));
  for (const { tokens } of options.meanings) {
    const [synonym] = tokens;
    const text = tokens.join(' ');
    if (tokens.length > 1) {
      if (!expansions.some(({ phrase }) => phrase?.text === text))
        expansions.push(...sideBySide(tokens, 'synonym', snapshot, options));
    } else
      for (const term of [snapshot.terms.find(synonym!), ...snapshot.formsOf(synonym!)])
        if (term !== exact) take(term, 'synonym');
  }
  if (options.last && word.length >= 2 && !isQuantityToken(word) && (options.typing || expansions.length === 0)) {
    const known = new Set(taken);
    if (exact >= 0) known.add(exact);
    expansions.push(...prefixes(word, snapshot, known, options));
  }
  if (options.tolerance && options.mayCorrect && (options.widen || expansions.length === 0)) {
    const known = new Set(expansions.map(({ term }) => term));
    expansions.push(...corrections(word, snapshot, options).filter(({ term }) => !known.has(term)));
  }
  const holding = expansions.reduce((sum, { term, phrase }) => {
    return sum + (phrase ? recordsIn(snapshot.postings, phrase.postings) : snapshot.postings.termRecords[term]!);
  }, 0);
  const { text, typed } = sought;
  return {
    text,
    ...(typed !== undefined && { typed }),
    expansions,
    rarity: rarity(snapshot.records, Math.min(holding, snapshot.records)),
  };
}
