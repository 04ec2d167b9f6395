import { spotAt } from '../index/postingArrays.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { attributeAt } from '../index/spot.ts';
import { compoundParts, hasCompounds } from '../query/compounds.ts';
import { knowsIn, mostWords, queryWords, readUnits, type SoughtWord } from '../query/readUnits.ts';
import type { Recognised } from '../query/recognise.ts';
import { restOfSearch } from '../query/restOfSearch.ts';
import {
  type AsTyped,
  corrected,
  type ExpandOptions,
  expandWord,
  joinedTexts,
  type QueryWord,
} from '../query/understand.ts';
import { meaningsIn } from '../query/vocabulary.ts';
import type { Matches } from '../ranking/matcher.ts';
import type { MatchKind } from '../scoring/formula.ts';
import { kindNumber } from '../scoring/gains.ts';
import { noWords } from '../text/wordList.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';

export interface Found {
  /** The words looked for in the end. */
  readonly words: readonly QueryWord[];
  /** Words left out because nothing has all of them, or because there were too many. */
  readonly dropped: readonly string[];
  /** Of those the ones that the catalog knows. */
  readonly missing: readonly QueryWord[];
  readonly matches: Matches;
  /** Phrases of the vocabulary that were found together, and nothing else was. */
  readonly together: readonly string[];
}

/** What a setup's search reads of a catalog. Cost of `reaches`: mostly one posting. */
export function reacher(
  { snapshot }: Engine,
  { gains }: Pick<PreparedSetup, 'gains'>,
): Pick<ExpandOptions, 'reaches' | 'isRead'> {
  const { postings } = snapshot;
  const { start, end } = postings;
  const isRead = (posting: number, how: MatchKind): boolean =>
    gains.found[kindNumber[how]]![attributeAt(spotAt(postings, posting))] === 1;
  return {
    isRead,
    reaches(term, how) {
      for (let posting = start[term]!; posting < end[term]!; posting++) if (isRead(posting, how)) return true;
      return false;
    },
  };
}

/** A word as far as giving it up goes. */
interface Givable {
  /** Whether the catalog knows anything like it. */
  readonly isKnown: boolean;
  readonly rarity: number;
}
/** Postings that attempts at giving words up may look at; then nothing is found. */
const mostSteps = 150_000;
/** Other words tried in place of the last one dropped, where several are. */
const others = 3;

/**
 * Which words are dropped, attempt by attempt, as places in the order of dropping (`words` stand in it). Unknown ones
 * go together; then one known word besides, each in turn; then ever more of the least telling. Unknown words are at
 * most two thirds of the search; of the known ones at least a third stays, and at least half of what they tell. At most
 * about thirty attempts for twelve words.
 */
export function* givingUp(words: readonly Givable[]): Generator<readonly number[]> {
  const unknown = words.flatMap(({ isKnown }, at) => (isKnown ? [] : [at]));
  const known = words.flatMap(({ isKnown }, at) => (isKnown ? [at] : []));
  const rarityOf = (places: readonly number[]): number => places.reduce((sum, at) => sum + words[at]!.rarity, 0);
  const most = (count: number): number => Math.floor((count * 2) / 3);
  const isFine = (gone: readonly number[]): boolean =>
    unknown.length <= most(words.length) && gone.length <= most(known.length) && rarityOf(gone) <= rarityOf(known) / 2;
  if (unknown.length > 0 && known.length > 0 && isFine([])) yield unknown;
  for (let count = 1; count < known.length; count++) {
    const least = known.slice(0, count - 1);
    const last = count === 1 ? known : known.slice(count - 1, count - 1 + others);
    for (const at of last) if (isFine([...least, at])) yield [...unknown, ...least, at];
  }
}

/**
 * What makes no word known, round by round of dropping: a word the catalog has only as a correction of it, and then
 * only as another form of it, says less of what is meant than words it has as they were typed.
 */
export const doubted: readonly (readonly MatchKind[])[] = [[], [...corrected], [...corrected, 'form']];

/**
 * The attempts of all rounds, as the words dropped in each: those that drop as many words in one round together, the fewest
 * first, of as many those of the earlier round.
 */
function attemptsWithout(words: readonly QueryWord[]): ReadonlySet<QueryWord>[][] {
  if (words.every(({ expansions }) => expansions.length === 0)) return [];
  let before = '';
  const attempts = doubted.flatMap((doubts) => {
    const isKnown = ({ expansions }: QueryWord): boolean => expansions.some(({ how }) => !doubts.includes(how));
    const round = words.map((word) => Number(isKnown(word))).join('');
    // A round that doubts the same words as the last would try the same.
    if (round === before) return [];
    before = round;
    const order = givingUpOrder(words, isKnown);
    const givable = order.map((word) => ({ isKnown: isKnown(word), rarity: word.rarity }));
    const own = Array.from(givingUp(givable), (places) => new Set(places.map((place) => order[place]!)));
    return [...new Set(own.map(({ size }) => size))].map((size) => own.filter((each) => each.size === size));
  });
  return attempts.sort(([a], [b]) => a!.size - b!.size);
}

/** Words in the order in which they are dropped: unknown ones first, then the least telling, later ones first. */
function givingUpOrder(words: readonly QueryWord[], isKnown: (word: QueryWord) => boolean): QueryWord[] {
  return words
    .map((word, index) => ({ word, index }))
    .sort(
      (a, b) => Number(isKnown(a.word)) - Number(isKnown(b.word)) || a.word.rarity - b.word.rarity || b.index - a.index,
    )
    .map(({ word }) => word);
}

export interface FindOptions {
  readonly typing: boolean;
  /** Whether no word may be dropped and none corrected that is known. */
  readonly keepAll: boolean;
  readonly hidden: Uint8Array | null;
  /** Whether what lacks a word is not wanted: none is dropped. */
  readonly allWords?: boolean;
  /** Whether corrections are looked for although they are only to be offered. */
  readonly offering?: boolean;
  /** What was recognised in the query and counts as a strong match; its places are those of the query's units. */
  readonly recognised?: readonly Recognised[];
  /** What words stood for in other readings of this search; added to. */
  readonly asTyped?: AsTyped;
  /** What every word stands for, where it was worked out before for just these words. */
  readonly read?: readonly QueryWord[] | null;
}

/** A search's words before they are looked for, and what each may stand for. */
export interface ReadSearch {
  readonly texts: readonly SoughtWord[];
  /** Which terms stand somewhere with the rest of the search, by a word's place. */
  readonly restOf: ReturnType<typeof restOfSearch>;
  /** Words beyond the limit. */
  readonly leftOut: readonly string[];
  /**
   * Every word with all it may stand for; with `widen`, known words as misspelt ones too. With `knownOnly`, only those
   * before the first that stands for nothing.
   */
  expand(widen: boolean, knownOnly?: boolean): QueryWord[];
}

/**
 * A shopper's compound that the catalog does not know, as the two known words it is made of: both are then looked for,
 * side by side or not. The longest second word is taken, since it says what the thing is.
 */
function splitJoined(snapshot: Snapshot, words: readonly SoughtWord[]): SoughtWord[] {
  if (!hasCompounds(snapshot)) return [...words];
  const isWord = (text: string): boolean => snapshot.terms.find(text) >= 0 || snapshot.formsOf(text).length > 0;
  const all = words.flatMap((word): SoughtWord[] => {
    const [parts] = isWord(word.token) ? [] : compoundParts(word.token, isWord);
    return parts ? parts.map((part) => ({ ...word, text: part, token: part })) : [word];
  });
  return all.filter(({ token }, at) => all.findIndex((other) => other.token === token) === at);
}

/** Reads a search's words as a setup has them: amounts, stop words, corrections by hand, joined words and synonyms. */
export function readSearch(
  engine: Engine,
  prepared: PreparedSetup,
  query: string,
  {
    typing,
    offering = false,
    recognised = [],
    asTyped = new Map(),
  }: Omit<FindOptions, 'keepAll' | 'hidden' | 'allWords' | 'read'>,
): ReadSearch {
  const { spelling, vocabulary } = prepared;
  const isKnown = knowsIn(engine.snapshot);
  const { words, beyond } = queryWords(query, isKnown, vocabulary);
  const texts = splitJoined(engine.snapshot, words).slice(0, mostWords);
  const tolerance = spelling.tolerance && (spelling.atOnce || offering);
  const reading = reacher(engine, prepared);
  const joined = joinedTexts(texts);
  const units = recognised.length > 0 ? readUnits(query, isKnown) : [];
  const named = texts.map((text) =>
    recognised.flatMap(({ from, to, expansions }) => {
      // Where the attribute is named too ("size 6"), its name stands before the value and means nothing by itself.
      const first = to - expansions.length;
      return expansions.flatMap((list, at) =>
        (vocabulary.fixed.get(units[first + at]!.token) ?? units[first + at]!.token) === text.token && first >= from
          ? list
          : [],
      );
    }),
  );
  const tokens = texts.map(({ token }) => token);
  const meanings = meaningsIn(tokens, vocabulary);
  const restOf = restOfSearch(engine.snapshot, tokens, (at) => meanings[at]!.length > 0);
  const shared = {
    typing,
    tolerance,
    spelling,
    nearestSaid: vocabulary.nearestSaid,
    meaningsOf: (token: string) => meaningsIn([token], vocabulary)[0]!,
    neverOffered: vocabulary.neverOffered,
    // What is only offered may be any word near.
    isOfLanguage: offering ? noWords : engine.isOfLanguage,
    popular: vocabulary.popular,
    asTyped,
    ...reading,
  };
  return {
    texts,
    restOf,
    leftOut: beyond.map(({ text }) => text),
    expand(widen, knownOnly = false) {
      const all: QueryWord[] = [];
      for (const [index, text] of texts.entries()) {
        const word = expandWord(text, engine.snapshot, shared, {
          meanings: meanings[index]!,
          mayCorrect: text.typed === undefined && !vocabulary.neverCorrected.has(text.token),
          named: named[index]!,
          joined: joined[index]!,
          fitsRest: (term) => restOf(index)(term),
          last: index === texts.length - 1 && beyond.length === 0,
          widen,
        });
        if (knownOnly && word.expansions.length === 0) break;
        all.push(word);
      }
      return all;
    },
  };
}

const sumOfRarity = (words: readonly QueryWord[]): number => words.reduce((sum, { rarity }) => sum + rarity, 0);

/** The best score of what was found. */
function bestScore({ matcher: { scores } }: Engine, { records }: Matches): number {
  let best = 0;
  for (let at = 0; at < records.length; at++) best = Math.max(best, scores[records[at]!]!);
  return best;
}

/**
 * Finds the records for a search's words: all words first; failing that, the same with corrections for words that
 * are known too; failing that, some words are dropped, as few as can be: of as many those without which the best is found,
 * its score less what the dropped words tell. With `keepAll` (an exact SKU was found) only the first is tried.
 */
export function findMatches(engine: Engine, prepared: PreparedSetup, query: string, options: FindOptions): Found {
  const { expand, leftOut, texts } = readSearch(engine, prepared, query, options);
  const { gains, spelling } = prepared;
  const tokens = texts.map(({ token }) => token);
  /** Some of the words: with their phrases together, or else apart. */
  const attempt = (words: readonly QueryWord[], tokens: readonly string[]): Pick<Found, 'matches' | 'together'> => {
    const phrases = prepared.phrases.together(tokens, options.hidden);
    if (phrases) {
      const matches = engine.matcher.match(words, gains, phrases.hidden);
      if (matches.records.length > 0) return { matches, together: phrases.phrases };
    }
    return { matches: engine.matcher.match(words, gains, options.hidden), together: [] };
  };
  const hasAny = ({ matches }: Pick<Found, 'matches'>): boolean => matches.records.length > 0;

  const plain = options.read ?? expand(false, options.allWords);
  // Where one word stands for nothing and none may be dropped, the others are not even looked at.
  if (options.allWords && (plain.length < texts.length || plain.some(({ expansions }) => expansions.length === 0)))
    return { words: plain, dropped: leftOut, missing: [], matches: engine.matcher.none(), together: [] };
  const first = attempt(plain, tokens);
  if (hasAny(first) || options.keepAll) return { words: plain, dropped: leftOut, missing: [], ...first };
  // A word that stands for nothing after corrections were tried stands for nothing when they are tried again.
  if (spelling.tolerance && spelling.atOnce && plain.every(({ expansions }) => expansions.length > 0)) {
    const widened = expand(true);
    const second = attempt(widened, tokens);
    if (hasAny(second)) return { words: widened, dropped: leftOut, missing: [], ...second };
  }
  const without = (dropped: ReadonlySet<QueryWord>): Pick<Found, 'matches' | 'together'> =>
    attempt(
      plain.filter((word) => !dropped.has(word)),
      tokens.filter((_, at) => !dropped.has(plain[at]!)),
    );
  const total = sumOfRarity(plain);
  let steps = 0;
  for (const group of options.allWords ? [] : attemptsWithout(plain)) {
    let best: { readonly dropped: ReadonlySet<QueryWord>; readonly worth: number } | null = null;
    for (const dropped of group) {
      if (steps > mostSteps) break;
      const { matches } = without(dropped);
      steps += matches.steps;
      const worth = bestScore(engine, matches) * (1 - sumOfRarity([...dropped]) / total);
      if (matches.records.length > 0 && (!best || worth > best.worth)) best = { dropped, worth };
    }
    if (!best) continue;
    const { dropped } = best;
    return {
      words: plain.filter((word) => !dropped.has(word)),
      dropped: [...[...dropped].map((word) => word.text), ...leftOut],
      missing: [...dropped].filter(({ expansions }) => expansions.length > 0),
      // Once more: what was tried since has overwritten it.
      ...without(dropped),
    };
  }
  return { words: plain, dropped: leftOut, missing: [], matches: engine.matcher.none(), together: [] };
}
