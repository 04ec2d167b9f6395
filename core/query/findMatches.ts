import type { Engine, PreparedSetup } from '../prepareSetup.ts';
import type { MatchKind } from '../ranking/formula.ts';
import { kindNumber, notFound } from '../ranking/gains.ts';
import type { Matches } from '../ranking/matcher.ts';
import { type ExpandOptions, expandWord, type QueryWord, queryWords } from './understand.ts';

export interface Found {
  /** The words looked for in the end. */
  readonly words: readonly QueryWord[];
  /** Words left out because nothing has all of them, or because there were too many. */
  readonly dropped: readonly string[];
  readonly matches: Matches;
}

/** Whether a term stands in any attribute that the search reads in this way. Cost: mostly one posting. */
export function reacher(
  { snapshot }: Engine,
  { gains }: Pick<PreparedSetup, 'gains'>,
): (term: number, how: MatchKind) => boolean {
  const { start, attribute } = snapshot.postings;
  return (term, how) => {
    const gainOf = gains[kindNumber[how]]!;
    for (let posting = start[term]!; posting < start[term + 1]!; posting++)
      if (gainOf[attribute[posting]!] !== notFound) return true;
    return false;
  };
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
 * are known too; failing that, words are given up one by one while at least half of them stay. With `keepAll` (an
 * exact SKU was found) only the first is tried.
 */
export function findMatches(
  engine: Engine,
  prepared: PreparedSetup,
  query: string,
  options: { readonly typing: boolean; readonly keepAll: boolean },
): Found {
  const { words: texts, beyond } = queryWords(
    query,
    (token) => engine.snapshot.terms.find(token) >= 0,
    prepared.vocabulary.stopWords,
  );
  const { gains, hidden, setup, vocabulary } = prepared;
  const tolerance = setup.relevance.spelling.tolerance;
  const reaches = reacher(engine, prepared);
  const leftOut = beyond.map(({ text }) => text);
  const expand = (widen: boolean): QueryWord[] =>
    texts.map((text, index) => {
      const last = index === texts.length - 1 && beyond.length === 0;
      const synonyms = vocabulary.synonyms.get(text.token) ?? [];
      const expansion: ExpandOptions = { synonyms, last, typing: options.typing, tolerance, widen, reaches };
      return expandWord(text, engine.snapshot, expansion);
    });
  const attempt = (words: readonly QueryWord[]): Matches => engine.matcher.match(words, gains, hidden);

  const plain = expand(false);
  const first = attempt(plain);
  if (first.records.length > 0 || options.keepAll) return { words: plain, dropped: leftOut, matches: first };
  if (tolerance) {
    const widened = expand(true);
    const second = attempt(widened);
    if (second.records.length > 0) return { words: widened, dropped: leftOut, matches: second };
  }
  const givingUp = givingUpOrder(plain);
  const mayGo = Math.floor(plain.length / 2);
  for (let gone = 1; gone <= mayGo; gone++) {
    const dropped = new Set(givingUp.slice(0, gone));
    const kept = plain.filter((word) => !dropped.has(word));
    const matches = attempt(kept);
    if (matches.records.length > 0)
      return { words: kept, dropped: [...[...dropped].map((word) => word.text), ...leftOut], matches };
  }
  return { words: plain, dropped: leftOut, matches: first };
}
