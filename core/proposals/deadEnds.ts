import { reachedBy } from '../compare/ladderTrial.ts';
import type { Demand } from '../demand/logEntry.ts';
import { looksLike } from '../query/looksLike.ts';
import { knowsIn } from '../query/readUnits.ts';
import type { QueryWord } from '../query/understand.ts';
import { climb } from '../search/climb.ts';
import { shelfFor } from '../search/emptyShelf.ts';
import { hiddenProducts } from '../search/hiddenProducts.ts';
import { nearSearches } from '../search/nearSearches.ts';
import type { Engine, PreparedSetup } from '../search/prepareSetup.ts';
import { rank } from '../search/rank.ts';
import { editDistance } from '../text/editDistance.ts';
import type { Language } from '../text/languages.ts';
import { isNumberLike, tokenize } from '../text/tokenize.ts';

/** What may be wrong with a search that leads nowhere, in the order in which they are told. */
export const deadEndCauses = [
  'misspelt',
  'otherWord',
  'otherLanguage',
  'hidden',
  'question',
  'tooManyWords',
  'notCarried',
] as const;
export type DeadEndCause = (typeof deadEndCauses)[number];

/** What shoppers saw: nothing; something that nobody ever opened; or something they did not mean, so that they asked again. */
export const deadEndKinds = ['nothing', 'unopened', 'askedAgain'] as const;
export type DeadEndKind = (typeof deadEndKinds)[number];

/** A search that leads shoppers nowhere. */
export interface DeadEnd {
  readonly search: string;
  readonly kind: DeadEndKind;
  readonly cause: DeadEndCause;
  /** Other searches that are the same with a slip in them: they are counted with it. */
  readonly also: readonly string[];
  readonly searches: number;
  /** Visits in which it was made. */
  readonly sessions: number;
  /** Products it finds. */
  readonly total: number;
}

/** How often a search was asked again in other words straight away, without anything opened before. */
export interface AskedAgain {
  readonly search: string;
  readonly sessions: number;
  /** Visits in which it was made. */
  readonly of: number;
}

export interface DeadEndEvidence {
  readonly demand: readonly Demand[];
  readonly askedAgain: readonly AskedAgain[];
  /** The other language that has a word; null where none of them does. */
  otherLanguage(word: string): Language | null;
}

/** Times a search is made before it counts that nobody opened anything, and visits before it counts that it was asked again. */
const fewestUnopened = 8;
const fewestVisits = 3;
const leastAskedAgain = 0.5;
const mostDeadEnds = 500;
/** Searches that are sent through the shop whatever came of them: those made most. */
const alwaysLooked = 300;
/** Words from which on a search that lacks some of them has too many. */
const manyWords = 3;
/** Longest difference at which a word is taken for a misspelt one here, where somebody looks at it. */
const mostEdits = 2;
const shortestMisspelt = 4;
/** Letters from which a word may have two slips, and from which one of the language may have been meant as another. */
const longEnough = 5;

/** Words near a misspelt one, the nearest and then the commonest first. */
export function nearWords({ snapshot }: Pick<Engine, 'snapshot'>, word: string, most: number): string[] {
  if (word.length < shortestMisspelt || isNumberLike(word)) return [];
  const limit = word.length < longEnough ? 1 : mostEdits;
  const { termRecords } = snapshot.postings;
  return snapshot.deletions
    .near(word, limit)
    .filter(({ edits }) => edits > 0)
    .sort((a, b) => a.edits - b.edits || termRecords[b.term]! - termRecords[a.term]!)
    .slice(0, most)
    .map(({ term }) => snapshot.terms.get(term));
}

/** Letters of each part of a word that is taken apart, at least. */
const shortestPart = 3;
/** A word as two words of the catalog, in every way in which it is two. */
export const divided = (word: string, isKnown: (word: string) => boolean): string[] =>
  Array.from({ length: Math.max(0, word.length - 2 * shortestPart + 1) }, (_, at) => at + shortestPart)
    .filter((at) => isKnown(word.slice(0, at)) && isKnown(word.slice(at)))
    .map((at) => `${word.slice(0, at)} ${word.slice(at)}`);

/** Stands for whatever a known word stands for. */
const known = [{}] as unknown as QueryWord['expansions'];

/** Whether something has all the words of a text. */
const findsAll = (engine: Engine, prepared: PreparedSetup, query: string): boolean =>
  rank(engine, prepared, { query, filters: {}, page: 1, limit: 1, allWords: true }, 0).foundByWords;

/** What is wrong with a search. Cost: a search for each that may be meant. */
function causeOf(
  engine: Engine,
  prepared: PreparedSetup,
  search: string,
  { otherLanguage }: Pick<DeadEndEvidence, 'otherLanguage'>,
): DeadEndCause {
  const { snapshot, isOfLanguage, near } = engine;
  const isKnown = knowsIn(snapshot);
  if (hiddenProducts(engine, prepared, search).length > 0) return 'hidden';
  if (looksLike(search, { language: snapshot.language, isKnown, isOfLanguage }).includes('question')) return 'question';
  const tokens = tokenize(search);
  const unknown = tokens.filter((token) => !isKnown(token) && snapshot.formsOf(token).length === 0);
  const isSlip = (token: string): boolean => {
    const [nearest] = nearWords(engine, token, 1);
    if (nearest === undefined) return false;
    return !isOfLanguage(token) || (token.length >= longEnough && editDistance(token, nearest, 1) <= 1);
  };
  const isJoined = (token: string): boolean => divided(token, (part) => isKnown(part)).length > 0;
  if (unknown.length > 0 && unknown.every((token) => isSlip(token) || isJoined(token))) return 'misspelt';
  const words = tokens.map((text) => ({ text, expansions: unknown.includes(text) ? [] : known }));
  if (nearSearches(words, { near, mayBeMisspelt: true }).some(({ text }) => findsAll(engine, prepared, text)))
    return 'otherWord';
  if (unknown.some((token) => !isOfLanguage(token) && otherLanguage(token) !== null)) return 'otherLanguage';
  if (unknown.some(isSlip)) return 'misspelt';
  return tokens.length >= manyWords && unknown.length < tokens.length ? 'tooManyWords' : 'notCarried';
}

/**
 * The searches of a log that lead nowhere under a setup, most shoppers first: those that find nothing whatever is tried, those
 * that find something nobody opened, and those that are mostly asked again in other words. Cost: a search for each of the log
 * that led nowhere once, and for the commonest.
 */
export function findDeadEnds(engine: Engine, prepared: PreparedSetup, evidence: DeadEndEvidence): DeadEnd[] {
  const again = new Map(evidence.askedAgain.map((each) => [each.search, each]));
  const found: DeadEnd[] = [];
  for (const [at, { search, key, searches, sessions, foundNothing, clicked }] of evidence.demand.entries()) {
    // What always found something that was opened is one only where the setup has changed since: that is looked for among the commonest.
    if (at >= alwaysLooked && foundNothing === 0 && clicked > 0 && !again.has(key)) continue;
    const climbed = climb(engine, prepared, { query: search, filters: {}, page: 1, limit: 1 }, 1);
    const { total } = climbed.ranking;
    const retried = again.get(key);
    const kind = ((): DeadEndKind | null => {
      // One with a page of its own is answered.
      if (reachedBy(engine, climbed) === 'nowhere')
        return shelfFor(engine, prepared, search).key === '' ? 'nothing' : null;
      // What found nothing when it was made was never opened for that.
      if (searches - foundNothing >= fewestUnopened && clicked === 0) return 'unopened';
      const isAskedAgain =
        retried && retried.sessions >= fewestVisits && retried.sessions >= retried.of * leastAskedAgain;
      return isAskedAgain && foundNothing < searches ? 'askedAgain' : null;
    })();
    if (kind === null || found.length >= mostDeadEnds) continue;
    found.push({
      search,
      kind,
      searches,
      sessions,
      total,
      cause: causeOf(engine, prepared, search, evidence),
      also: [],
    });
  }
  const inOrder = (a: DeadEnd, b: DeadEnd): number => b.sessions - a.sessions || (a.search < b.search ? -1 : 1);
  return withSlips(found.sort(inOrder)).sort(inOrder);
}

/** Letters of a search from which another one that differs by one is taken for the same with a slip, or by two. */
const slipsFrom = { one: 5, two: 8 };

/** Dead ends, those that are a commoner one with a slip in it counted with that. Cost: a distance for each pair. */
function withSlips(deadEnds: readonly DeadEnd[]): DeadEnd[] {
  const kept: (DeadEnd & { also: string[]; searches: number; sessions: number; readonly text: string })[] = [];
  for (const deadEnd of deadEnds) {
    const text = tokenize(deadEnd.search).join('');
    const same = kept.find((other) => {
      if (deadEnd.kind !== 'nothing' || other.kind !== 'nothing' || deadEnd.sessions * 2 > other.sessions) return false;
      const limit = other.text.length < slipsFrom.one ? 0 : other.text.length < slipsFrom.two ? 1 : 2;
      return editDistance(text, other.text, limit as 0 | 1 | 2) <= limit;
    });
    if (!same) {
      kept.push({ ...deadEnd, also: [], text });
      continue;
    }
    same.also.push(deadEnd.search);
    same.searches += deadEnd.searches;
    same.sessions += deadEnd.sessions;
  }
  return kept.map(({ text: _, ...deadEnd }) => deadEnd);
}
