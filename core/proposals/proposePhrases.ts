import type { Setup } from '../setup/schema.ts';
import { isNumberLike, tokenize } from '../text/tokenize.ts';
import type { Proposal } from './proposal.ts';

/** Two words that stand side by side more often than chance would have it. */
export interface WordPair {
  readonly words: readonly [string, string];
  /** Texts in which they stand side by side, and in which the rarer of them stands at all. */
  readonly together: number;
  readonly rarer: number;
  /** Log-likelihood ratio against standing side by side by chance. */
  readonly ratio: number;
}

const fewestTogether = 4;
/** Share of the rarer word's texts in which the other stands beside it. */
const leastShare = 0.6;
/** 10.8 would be chance once in a thousand; a catalog has thousands of pairs. */
const leastRatio = 25;

/** x log x, 0 for 0. */
const entropy = (...counts: readonly number[]): number =>
  counts.reduce((sum, count) => sum + (count > 0 ? count * Math.log(count) : 0), 0);

/** The log-likelihood ratio of two words standing together: T. Dunning (1993), from the table of both, either, none. */
export function likelihoodRatio(both: number, first: number, second: number, total: number): number {
  const [onlyFirst, onlySecond] = [first - both, second - both];
  const none = total - both - onlyFirst - onlySecond;
  const rows = entropy(first, total - first);
  const columns = entropy(second, total - second);
  return 2 * (entropy(both, onlyFirst, onlySecond, none) - rows - columns + entropy(total));
}

/**
 * Pairs of neighbouring words that belong together, tellingly first: over distinct short texts (titles, sizes, kinds).
 * Numbers and the given words that carry no meaning belong to nothing. Cost: a pass over the texts.
 */
export function findPairs(texts: Iterable<string>, empty: ReadonlySet<string>): WordPair[] {
  const single = new Map<string, number>();
  const pairs = new Map<string, number>();
  let total = 0;
  const isWord = (token: string): boolean => token.length > 1 && !isNumberLike(token) && !empty.has(token);
  for (const text of texts) {
    const tokens = tokenize(text);
    total++;
    for (const token of new Set(tokens)) single.set(token, (single.get(token) ?? 0) + 1);
    const here = new Set<string>();
    for (let at = 0; at + 1 < tokens.length; at++)
      if (isWord(tokens[at]!) && isWord(tokens[at + 1]!) && tokens[at] !== tokens[at + 1])
        here.add(`${tokens[at]} ${tokens[at + 1]}`);
    for (const pair of here) pairs.set(pair, (pairs.get(pair) ?? 0) + 1);
  }
  return [...pairs]
    .flatMap(([pair, together]): WordPair[] => {
      const words = pair.split(' ') as [string, string];
      const [first, second] = words.map((word) => single.get(word)!) as [number, number];
      const rarer = Math.min(first, second);
      const ratio = likelihoodRatio(together, first, second, total);
      return together >= fewestTogether && together >= rarer * leastShare && ratio >= leastRatio
        ? [{ words, together, rarer, ratio }]
        : [];
    })
    .sort((a, b) => b.ratio - a.ratio || (a.words.join(' ') < b.words.join(' ') ? -1 : 1));
}

const mostProposed = 20;

/** Proposes the pairs that shoppers search for, as phrases; all in one entry, each by itself. */
export function proposePhrases(
  pairs: readonly WordPair[],
  searches: readonly { readonly search: string }[],
  setup: Setup,
): Proposal[] {
  const entry = setup.vocabulary.phrases;
  const known = entry?.what === 'phrases' ? entry.phrases : [];
  const said = new Set(known.map((text) => tokenize(text).join(' ')));
  const searched = searches.map(({ search }) => ` ${tokenize(search).join(' ')} `);
  return pairs
    .filter(({ words }) => !said.has(words.join(' ')) && searched.some((text) => text.includes(` ${words.join(' ')} `)))
    .slice(0, mostProposed)
    .map(({ words, together, rarer }): Proposal => {
      const text = words.join(' ');
      return {
        id: `phrase:${text}`,
        kind: 'phrases',
        title: `“${text}” is a phrase`,
        reason: `The words stand side by side in ${together} different titles and values, of ${rarer} that have the rarer one at all.`,
        edits: [{ part: 'vocabulary', key: 'phrases', value: { what: 'phrases', phrases: [...known, text] } }],
        isSure: false,
        words: [text],
      };
    });
}
