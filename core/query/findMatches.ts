import { attributeAt } from '../index/spot.ts';
import type { Engine, PreparedSetup } from '../prepareSetup.ts';
import type { MatchKind } from '../ranking/formula.ts';
import { kindNumber } from '../ranking/gains.ts';
import type { Matches } from '../ranking/matcher.ts';
import { type ExpandOptions, expandWord, joinedTexts, type QueryWord, queryWords } from './understand.ts';
import { meaningsIn } from './vocabulary.ts';

export interface Found {
  /** The words looked for in the end. */
  readonly words: readonly QueryWord[];
  /** Words left out because nothing has all of them, or because there were too many. */
  readonly dropped: readonly string[];
  readonly matches: Matches;
}

/** What a setup's search reads of a catalog. Cost of `reaches`: mostly one posting. */
export function reacher(
  { snapshot }: Engine,
  { gains }: Pick<PreparedSetup, 'gains'>,
): Pick<ExpandOptions, 'reaches' | 'isRead'> {
  const { start, spot } = snapshot.postings;
  const isRead = (posting: number, how: MatchKind): boolean =>
    gains.found[kindNumber[how]]![attributeAt(spot[posting]!)] === 1;
  return {
    isRead,
    reaches(term, how) {
      for (let posting = start[term]!; posting < start[term + 1]!; posting++) if (isRead(posting, how)) return true;
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
export const mostSteps = 300_000;
/** Other words tried in place of the last one given up, where several are. */
const others = 3;

/**
 * Which words are given up, attempt by attempt, as places in the order of giving up (`words` stand in it). Unknown ones
 * go together; then one known word besides, each in turn; then ever more of the least telling. What stays is at least
 * a third of the words and at least half of what the known ones tell. At most about thirty attempts for twelve words.
 */
export function* givingUp(words: readonly Givable[]): Generator<readonly number[]> {
  const unknown = words.flatMap(({ isKnown }, at) => (isKnown ? [] : [at]));
  const known = words.flatMap(({ isKnown }, at) => (isKnown ? [at] : []));
  const told = (places: readonly number[]): number => places.reduce((sum, at) => sum + words[at]!.rarity, 0);
  const mayGo = Math.floor((words.length * 2) / 3);
  const isFine = (gone: readonly number[]): boolean =>
    unknown.length + gone.length <= mayGo && told(gone) <= told(known) / 2;
  if (unknown.length > 0 && known.length > 0 && isFine([])) yield unknown;
  for (let count = 1; count < known.length; count++) {
    const least = known.slice(0, count - 1);
    const last = count === 1 ? known : known.slice(count - 1, count - 1 + others);
    for (const at of last) if (isFine([...least, at])) yield [...unknown, ...least, at];
  }
}

/** Words in the order in which they are given up: unknown ones first, then the least telling, later ones first. */
export function givingUpOrder(words: readonly QueryWord[]): QueryWord[] {
  const known = (word: QueryWord): number => (word.expansions.length > 0 ? 1 : 0);
  return words
    .map((word, index) => ({ word, index }))
    .sort((a, b) => known(a.word) - known(b.word) || a.word.rarity - b.word.rarity || b.index - a.index)
    .map(({ word }) => word);
}

/**
 * Finds the records for a search's words: all words first; failing that, the same with corrections for words that
 * are known too; failing that, some words are given up. With `keepAll` (an exact SKU was found) only the first is tried.
 */
export function findMatches(
  engine: Engine,
  prepared: PreparedSetup,
  query: string,
  options: { readonly typing: boolean; readonly keepAll: boolean; readonly hidden: Uint8Array | null },
): Found {
  const { words: texts, beyond } = queryWords(
    query,
    (token) => engine.snapshot.terms.find(token) >= 0,
    prepared.vocabulary,
  );
  const { gains, setup, vocabulary } = prepared;
  const tolerance = setup.relevance.spelling.tolerance;
  const reading = reacher(engine, prepared);
  const leftOut = beyond.map(({ text }) => text);
  const joined = joinedTexts(texts);
  const meanings = meaningsIn(
    texts.map(({ token }) => token),
    vocabulary,
  );
  const expand = (widen: boolean): QueryWord[] =>
    texts.map((text, index) => {
      const last = index === texts.length - 1 && beyond.length === 0;
      const { typing } = options;
      return expandWord(text, engine.snapshot, {
        meanings: meanings[index]!,
        mayCorrect: text.typed === undefined && !vocabulary.neverCorrected.has(text.token),
        neverOffered: vocabulary.neverOffered,
        joined: joined[index]!,
        last,
        typing,
        tolerance,
        widen,
        ...reading,
      });
    });
  const attempt = (words: readonly QueryWord[]): Matches => engine.matcher.match(words, gains, options.hidden);

  const plain = expand(false);
  const first = attempt(plain);
  if (first.records.length > 0 || options.keepAll) return { words: plain, dropped: leftOut, matches: first };
  if (tolerance) {
    const widened = expand(true);
    const second = attempt(widened);
    if (second.records.length > 0) return { words: widened, dropped: leftOut, matches: second };
  }
  const order = givingUpOrder(plain);
  const givable = order.map(({ expansions, rarity }) => ({ isKnown: expansions.length > 0, rarity }));
  let steps = 0;
  for (const places of givingUp(givable)) {
    if (steps > mostSteps) break;
    const dropped = new Set(places.map((place) => order[place]!));
    const kept = plain.filter((word) => !dropped.has(word));
    const matches = attempt(kept);
    steps += matches.steps;
    if (matches.records.length > 0)
      return { words: kept, dropped: [...[...dropped].map((word) => word.text), ...leftOut], matches };
  }
  return { words: plain, dropped: leftOut, matches: first };
}
