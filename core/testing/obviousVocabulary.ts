import type { Setup } from '../setup/schema.ts';
import { isNumberLike, tokenize } from '../text/tokenize.ts';
import type { Sought } from './obviousUnits.ts';

/** A text that is one word; what is several, as an amount with its unit, is none. */
const singleWord = (text: string): string[] => (tokenize(text).length === 1 ? tokenize(text) : []);

/** What a setup's vocabulary says, read entry by entry. */
export type ObviousVocabulary = ReturnType<typeof readVocabulary>;

export function readVocabulary(setup: Setup) {
  const entries = Object.values(setup.vocabulary);
  const stopWords = new Set(
    entries.flatMap((entry) => (entry.what === 'stopWords' ? entry.words.flatMap(singleWord) : [])),
  );
  const popular = entries.flatMap((entry) => (entry.what === 'spoken' ? entry.words.flatMap(singleWord) : []));
  const popularityOf = (token: string): number => (popular.includes(token) ? popular.indexOf(token) : popular.length);
  const listed = (what: 'neverCorrected' | 'neverOffered') =>
    new Set(entries.flatMap((entry) => (entry.what === what ? entry.words.flatMap(singleWord) : [])));
  const neverCorrected = listed('neverCorrected');
  const neverOffered = listed('neverOffered');
  const fixed = new Map(
    entries.flatMap((entry) =>
      entry.what === 'corrections' ? entry.pairs.map(({ from, to }): [string, string] => [from, to]) : [],
    ),
  );
  /** What is said and what it means besides, pair by pair. */
  const pairs = Object.keys(setup.vocabulary)
    .sort()
    .map((key) => setup.vocabulary[key]!)
    .flatMap((entry): [string, string][] => {
      if (entry.what === 'oneWay' && entry.on)
        return entry.from.flatMap((a) => entry.to.map((b): [string, string] => [a, b]));
      if (entry.what !== 'synonyms' || !entry.on) return [];
      return entry.words.flatMap((a) => entry.words.map((b): [string, string] => [a, b]));
    })
    .map(([a, b]) => [tokenize(a), tokenize(b)] as const);
  /** What each word means besides, alone or with its neighbours: as lists of tokens that must stand side by side. */
  const synonymsAt = (texts: readonly Sought[], place: number): string[][] => {
    const tokens = texts.map(({ token }) => token);
    const found: { at: number; said: string[]; meant: string[] }[] = [];
    for (let at = 0; at <= place; at++)
      for (const [said, meant] of pairs)
        if (
          at + said.length > place &&
          said.join(' ') === tokens.slice(at, at + said.length).join(' ') &&
          said.join(' ') !== meant.join(' ')
        )
          found.push({ at, said, meant });
    return found.map(({ meant }) => meant);
  };
  /** The single words that mean something else, in order. */
  const saidAlone = [...new Set(pairs.flatMap(([said, meant]) => (said.join(' ') === meant.join(' ') ? [] : [said])))]
    .flatMap((said) => (said.length === 1 ? said : []))
    .filter((token) => token.length >= 3 && !isNumberLike(token) && !neverOffered.has(token))
    .sort();
  const phrases = entries.flatMap((entry) =>
    entry.what === 'phrases' ? entry.phrases.map((text) => tokenize(text)) : [],
  );
  return {
    stopWords,
    popularityOf,
    neverCorrected,
    neverOffered,
    fixed,
    pairs,
    synonymsAt,
    saidAlone,
    phrases,
  };
}
