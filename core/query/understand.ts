import { selectFirst } from '../base/select.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { type MatchKind, rarity } from '../scoring/formula.ts';
import { isQuantityToken } from '../text/quantity.ts';
import { slipLikelihood } from '../text/slips.ts';
import { areForms, stem } from '../text/wordForms.ts';
import type { WordList } from '../text/wordList.ts';
import { compoundsOf } from './compounds.ts';
import { phrasePostings, recordsIn } from './phrasePostings.ts';
import type { SoughtWord } from './readUnits.ts';
import { allowedEdits, mayBeMeant, type Near, type Spelling } from './spelling.ts';
import type { Meaning } from './vocabulary.ts';
import { joinings, mostSplits, splits } from './wordDivision.ts';

/** Terms one word may stand for as the beginning of longer ones; the commonest are taken. */
const mostPrefixTerms = 200;
/** Records that may hold them, added up, whatever the catalog’s size; in a larger one half as many as it has. */
const mostPrefixRecords = 60_000;
/** Corrections considered for one word, nearest and commonest first. */
const mostCorrections = 6;

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
   * In order: exact, forms, joined, compounds, split, synonyms, recognised values, prefixes, corrections. Empty where the catalog knows nothing like
   * the word.
   */
  readonly expansions: readonly Expansion[];
  readonly rarity: number;
}

/** What words stand for as they were typed, by how they stand in their search. */
export type AsTyped = Map<string, readonly Expansion[]>;

/** What a setup and a search allow every word to stand for. */
export interface ExpandOptions {
  /** Whether the shopper is still typing: a last word that is known may then go on all the same. */
  readonly typing: boolean;
  /** Whether corrections are allowed at all, and how far they may go. */
  readonly tolerance: boolean;
  readonly spelling: Pick<Spelling, 'oneEditFrom' | 'twoEditsFrom'>;
  /** The nearest word that only the merchandiser's vocabulary knows, and what such a word means. */
  nearestSaid(word: string, limit: number): Near | null;
  meaningsOf(token: string): readonly Meaning[];
  /** Words that nothing must be taken for. */
  readonly neverOffered: ReadonlySet<string>;
  /** Whether the language has a word: it is then seldom a slip. */
  readonly isOfLanguage: WordList;
  /** What shoppers search for, by its place: of equally near corrections these come first. */
  readonly popular: ReadonlyMap<string, number>;
  /** Of the same setup, catalog and search; added to. A search is read anew with corrections, and for what is offered. */
  readonly asTyped: AsTyped;
  /** Whether a term, found in this way, stands in any attribute the search reads. */
  reaches(term: number, how: MatchKind): boolean;
  /** Whether the search reads a posting's attribute in this way. */
  isRead(posting: number, how: MatchKind): boolean;
}

/** How one word stands in its search. */
export interface WordInSearch {
  /** Whether the word stands last, so that it may be the beginning of a longer one. */
  readonly last: boolean;
  /** Whether corrections are tried although the word is known. */
  readonly widen: boolean;
  /** What this word, alone or with its neighbours, means besides. */
  readonly meanings: readonly Meaning[];
  /** Whether it may be taken as misspelt. */
  readonly mayCorrect: boolean;
  /** What it stands for where it was recognised as a value, or a part of one. */
  readonly named: readonly Expansion[];
  /** What this word and its neighbours are as one word. */
  readonly joined: readonly string[];
  /** Whether a term stands somewhere with the rest of the search. */
  fitsRest(term: number): boolean;
}

/** What each word of a search and its neighbours may be as one, by the word's place. */
export function joinedTexts(words: readonly SoughtWord[]): string[][] {
  const joined: string[][] = words.map(() => []);
  // An amount with its unit is one thing already: nothing joins over it.
  const texts = words.map(({ token }) => (isQuantityToken(token) ? ' ' : token));
  for (const { text, from, to } of joinings(texts)) for (let at = from; at < to; at++) joined[at]!.push(text);
  return joined;
}

/** Ways of being taken as misspelt. */
export const corrected: ReadonlySet<MatchKind> = new Set(['oneEdit', 'rivalEdit', 'twoEdits']);
/** Ways of knowing a word that a correction may stand beside: what it is taken for then is not what was typed either. */
export const weak: ReadonlySet<MatchKind> = new Set(['prefix', 'form', 'related']);

/**
 * Nearest first, then same first letter, then what shoppers search for, then the likeliest by the kind of slip and how
 * common the word is, then by term: the order in which corrections are taken. Only the nearest ones are, unless the
 * search is being widened. All but the first of those one letter away count as rivals.
 */
function corrections(
  word: string,
  snapshot: Snapshot,
  { widen, fitsRest }: Pick<WordInSearch, 'widen' | 'fitsRest'>,
  options: ExpandOptions,
): Expansion[] {
  const { terms, postings, deletions } = snapshot;
  const candidates = deletions.near(word, allowedEdits(word.length, options.spelling));
  if (candidates.length === 0) return [];
  const isOfLanguage = options.isOfLanguage(word);
  const near = candidates
    .filter(({ term, edits }) =>
      mayBeMeant(word, terms.get(term), edits, { isOfLanguage, fitsRest: () => fitsRest(term) }),
    )
    .map(({ term, edits }) => ({
      term,
      how: (edits === 1 ? 'oneEdit' : 'twoEdits') as MatchKind,
      edits,
      otherStart: terms.get(term)[0] === word[0] ? 0 : 1,
      place: options.popular.get(terms.get(term)) ?? options.popular.size,
      likelihood: postings.termRecords[term]! * (edits === 1 ? slipLikelihood(word, terms.get(term)) : 1),
    }))
    .filter(({ term, how }) => options.reaches(term, how) && !options.neverOffered.has(terms.get(term)));
  const fewest = widen ? Number.POSITIVE_INFINITY : Math.min(...near.map(({ edits }) => edits));
  return near
    .filter(({ edits }) => edits <= fewest)
    .sort(
      (a, b) =>
        a.edits - b.edits ||
        a.otherStart - b.otherStart ||
        a.place - b.place ||
        b.likelihood - a.likelihood ||
        a.term - b.term,
    )
    .slice(0, mostCorrections)
    .map(({ term, how }, at) => ({ term, how: at > 0 && how === 'oneEdit' ? 'rivalEdit' : how }));
}

/**
 * The terms that start with the word, the commonest up to the limits, then in order of term. Two letters may begin words
 * that together stand in every record several times over: beyond the limit they find little that is not found already.
 */
function prefixes(word: string, snapshot: Snapshot, known: ReadonlySet<number>, options: ExpandOptions): Expansion[] {
  const { postings, terms } = snapshot;
  const [from, to] = terms.prefixRange(word);
  const found: number[] = [];
  for (let term = from; term < to; term++) if (!known.has(term) && options.reaches(term, 'prefix')) found.push(term);
  const { termRecords } = postings;
  const most = Math.max(mostPrefixRecords, snapshot.records / 2);
  if (found.length > mostPrefixTerms || found.reduce((sum, term) => sum + termRecords[term]!, 0) > most) {
    const byRecords = (a: number, b: number): number => termRecords[b]! - termRecords[a]! || a - b;
    const commonest = selectFirst(Uint32Array.from(found), mostPrefixTerms, byRecords);
    let held = 0;
    const within = commonest.findIndex((term) => {
      held += termRecords[term]!;
      return held > most;
    });
    // The commonest stands whatever it holds.
    const nearest = commonest.subarray(0, within < 0 ? commonest.length : Math.max(1, within));
    return Array.from(nearest.sort(), (term) => ({ term, how: 'prefix' }));
  }
  return found.map((term) => ({ term, how: 'prefix' }));
}

/** The ways in which the word stands as several in the catalog, those of the commonest words first. */
function divided(word: string, snapshot: Snapshot, options: ExpandOptions): Expansion[] {
  const { terms, postings } = snapshot;
  const ways: { first: number; parts: string[]; records: number }[] = [];
  for (const parts of splits(word)) {
    const numbers: number[] = [];
    // Most ways have a part that is no word: the others of it are not looked up.
    while (numbers.length < parts.length && numbers.at(-1) !== -1) numbers.push(terms.find(parts[numbers.length]!));
    if (numbers.at(-1) === -1) continue;
    const records = Math.min(...numbers.map((term) => postings.termRecords[term]!));
    ways.push({ first: numbers[0]!, parts, records });
  }
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

/** The commonest of the catalog's compounds that a word is a part of, in order of term. */
function compounds(word: string, snapshot: Snapshot, known: ReadonlySet<number>): number[] {
  const { termRecords } = snapshot.postings;
  const all = compoundsOf(snapshot).get(stem(word, snapshot.language));
  return all
    .filter((term) => !known.has(term))
    .sort((a, b) => termRecords[b]! - termRecords[a]! || a - b)
    .slice(0, mostPrefixTerms)
    .sort((a, b) => a - b);
}

/** What a misspelt word stands for that is taken for one of the vocabulary's. */
function expandSaid({ text }: SoughtWord, said: string, snapshot: Snapshot, options: ExpandOptions): QueryWord {
  const meanings = options.meaningsOf(said);
  const plainly = {
    ...{ meanings, mayCorrect: false, widen: false, joined: [], named: [], last: false },
    fitsRest: () => false,
  };
  return expandWord({ text: said, token: said, typed: text }, snapshot, options, plainly);
}

/** Whether a finished word is known as nothing, or only as the beginning, another form or a relation of what is there. */
function isWeaklyKnown(expansions: readonly Expansion[], typing: boolean): boolean {
  return expansions.length === 0 || (!typing && expansions.every(({ how }) => weak.has(how)));
}

/** Whether the likeliest correction, one letter away, is held by more records than all that the word may be as it stands. */
function isLikelier(
  [likeliest]: readonly Expansion[],
  expansions: readonly Expansion[],
  { postings: { termRecords } }: Snapshot,
): boolean {
  if (likeliest?.how !== 'oneEdit') return false;
  return termRecords[likeliest.term]! > expansions.reduce((sum, { term }) => sum + termRecords[term]!, 0);
}

/** Everything a word may stand for without being taken as misspelt, in the order of `QueryWord.expansions`. */
function waysAsTyped(word: string, snapshot: Snapshot, options: ExpandOptions, own: WordInSearch): Expansion[] {
  const expansions: Expansion[] = [];
  const listed = new Set<number>();
  const add = (term: number, how: MatchKind): void => {
    if (term < 0 || listed.has(term) || !options.reaches(term, how)) return;
    listed.add(term);
    expansions.push({ term, how });
  };
  const exact = snapshot.terms.find(word);
  add(exact, 'exact');
  for (const term of snapshot.formsOf(word))
    if (term !== exact) add(term, areForms(word, snapshot.terms.get(term)) ? 'form' : 'related');
  for (const text of own.joined)
    for (const term of [snapshot.terms.find(text), ...snapshot.formsOf(text)]) if (term !== exact) add(term, 'joined');
  for (const term of compounds(word, snapshot, listed)) add(term, 'compound');
  if (!isQuantityToken(word)) expansions.push(...divided(word, snapshot, options));
  for (const { tokens } of own.meanings) {
    const [synonym] = tokens;
    const text = tokens.join(' ');
    if (tokens.length > 1) {
      if (!expansions.some(({ phrase }) => phrase?.text === text))
        expansions.push(...sideBySide(tokens, 'synonym', snapshot, options));
    } else
      for (const term of [snapshot.terms.find(synonym!), ...snapshot.formsOf(synonym!)])
        if (term !== exact) add(term, 'synonym');
  }
  expansions.push(...own.named);
  if (own.last && word.length >= 2 && !isQuantityToken(word) && (options.typing || expansions.length === 0)) {
    const known = new Set(listed);
    if (exact >= 0) known.add(exact);
    expansions.push(...prefixes(word, snapshot, known, options));
  }
  return expansions;
}

/** The same, remembered for the other readings of the search; what values were recognised in is read once anyway. */
function knownWays(word: string, snapshot: Snapshot, options: ExpandOptions, own: WordInSearch): readonly Expansion[] {
  if (own.named.length > 0) return waysAsTyped(word, snapshot, options, own);
  const meant = own.meanings.map(({ tokens }) => tokens.join(' '));
  const key = [word, own.last, options.typing, ...own.joined, '', ...meant].join('\n');
  const known = options.asTyped.get(key);
  if (known) return known;
  const ways = waysAsTyped(word, snapshot, options, own);
  options.asTyped.set(key, ways);
  return ways;
}

/**
 * Everything a word may stand for in this catalog. A word that is known exactly, by its form or divided otherwise
 * stands for that; one that is not is taken as the beginning of a longer word, where it is the last; and failing that,
 * as misspelt. A finished word that is only weakly known is taken as misspelt besides, where that is likelier: "poud" as
 * *pound*, though some text has the rare *poudrin*.
 */
export function expandWord(
  sought: SoughtWord,
  snapshot: Snapshot,
  options: ExpandOptions,
  own: WordInSearch,
): QueryWord {
  const word = sought.token;
  const expansions = [...knownWays(word, snapshot, options, own)];
  if (options.tolerance && own.mayCorrect && (own.widen || isWeaklyKnown(expansions, options.typing))) {
    const all = corrections(word, snapshot, own, options);
    const near = own.widen || expansions.length === 0 || isLikelier(all, expansions, snapshot) ? all : [];
    if (expansions.length === 0) {
      // A word that only the vocabulary knows may be misspelt too; it is taken where the catalog has none as near.
      const said = options.nearestSaid(word, allowedEdits(word.length, options.spelling));
      const isNearest = said && (near.length === 0 || said.edits < (near[0]!.how === 'oneEdit' ? 1 : 2));
      if (isNearest) return expandSaid(sought, said.token, snapshot, options);
    }
    const known = new Set(expansions.map(({ term }) => term));
    expansions.push(...near.filter(({ term }) => !known.has(term)));
  }
  // A value that is found as a word besides is not counted twice.
  const counted = expansions.filter(({ how }) => how !== 'value');
  const holding = (counted.length > 0 ? counted : expansions).reduce((sum, { term, phrase }) => {
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
