import type { Setup } from '../setup/schema.ts';
import { tokenize } from '../text/tokenize.ts';
import type { Proposal } from './proposeSetup.ts';

/** A search that found nothing, the one tried next that led to a click, and in how many visits that happened. */
export interface Retry {
  readonly from: string;
  readonly to: string;
  readonly sessions: number;
}

/** What the catalog and the shopper log say about words. */
export interface WordEvidence {
  standsInTitles(word: string): boolean;
  isKnown(word: string): boolean;
  readonly searches: readonly { readonly search: string; readonly searches: number }[];
  readonly retries: readonly Retry[];
  /** A published list of words that carry no meaning. */
  readonly stopWords: readonly string[];
}

/** Visits in which a word must have been tried again by another before it is proposed as one that means the same. */
const fewestVisits = 3;
const mostStopWords = 60;
const mostSynonyms = 30;

const quoted = (words: readonly string[]): string => words.map((word) => `“${word}”`).join(', ');

/** Words of the list that shoppers use in longer searches and no title has: passing them over loses nothing. */
function stopWordsIn({ searches, stopWords, standsInTitles }: WordEvidence, known: ReadonlySet<string>): string[] {
  const list = new Set(stopWords.flatMap((word) => (tokenize(word).length === 1 ? tokenize(word) : [])));
  const used = new Map<string, number>();
  for (const { search, searches: times } of searches) {
    const tokens = tokenize(search);
    if (tokens.length < 2) continue;
    for (const token of tokens) if (list.has(token)) used.set(token, (used.get(token) ?? 0) + times);
  }
  return [...used]
    .filter(([word]) => !known.has(word) && !standsInTitles(word) && !/\d/.test(word))
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
    .slice(0, mostStopWords)
    .map(([word]) => word);
}

/** British and American spellings of one word, whichever of the two it is. */
function otherSpellings(word: string): string[] {
  const rules: readonly (readonly [RegExp, string])[] = [
    [/our(s|ed|ing|less)?$/, 'or$1'],
    [/([^o])or(s|ed|ing|less)?$/, '$1our$2'],
    [/tre(s)?$/, 'ter$1'],
    [/ter(s)?$/, 'tre$1'],
    [/is(e|ed|er|ing|es)$/, 'iz$1'],
    [/iz(e|ed|er|ing|es)$/, 'is$1'],
    [/^grey(s)?$/, 'gray$1'],
    [/^gray(s)?$/, 'grey$1'],
  ];
  return rules.flatMap(([from, to]) => (from.test(word) ? [word.replace(from, to)] : []));
}

interface Pair {
  readonly words: readonly [string, string];
  readonly reason: string;
}

function pairsIn({ searches, retries, isKnown }: WordEvidence): Pair[] {
  const oneWord = (text: string): string | null => {
    const tokens = tokenize(text);
    return tokens.length === 1 && tokens[0]!.length >= 3 && !/\d/.test(tokens[0]!) ? tokens[0]! : null;
  };
  const tried = retries.flatMap(({ from, to, sessions }): Pair[] => {
    const [a, b] = [oneWord(from), oneWord(to)];
    if (a === null || b === null || a === b || sessions < fewestVisits || isKnown(a) || !isKnown(b)) return [];
    return [
      {
        words: [a, b],
        reason: `In ${sessions} visits shoppers who found nothing with “${a}” tried “${b}” next and opened a product.`,
      },
    ];
  });
  const spelled = new Map<string, Pair>();
  for (const { search } of searches)
    for (const token of tokenize(search))
      for (const other of otherSpellings(token))
        if (!isKnown(token) && isKnown(other))
          spelled.set(token, {
            words: [token, other],
            reason: `Shoppers spell it “${token}”, your catalog “${other}”.`,
          });
  // What a word was tried as most often is what it means; other tries are by the way.
  const first = new Map<string, Pair>();
  for (const pair of [...spelled.values(), ...tried]) if (!first.has(pair.words[0])) first.set(pair.words[0], pair);
  return [...first.values()].slice(0, mostSynonyms);
}

/** Stop words and synonyms that the catalog's own words and the shopper log speak for, each with its evidence. */
export function proposeWords(evidence: WordEvidence, setup: Setup): Proposal[] {
  const entries = Object.values(setup.vocabulary);
  const stopped = new Set(
    entries.flatMap((entry) => (entry.what === 'stopWords' ? entry.words.flatMap(tokenize) : [])),
  );
  const joined = new Set(entries.flatMap((entry) => (entry.what === 'synonyms' ? entry.words.flatMap(tokenize) : [])));
  const words = stopWordsIn(evidence, stopped);
  const stopWords: Proposal[] =
    words.length === 0
      ? []
      : [
          {
            id: `stopWords:${words.join(' ')}`.slice(0, 200),
            kind: 'stopWords',
            title: `Pass over ${quoted(words.slice(0, 6))}${words.length > 6 ? ` and ${words.length - 6} more` : ''}`,
            reason:
              'Shoppers type them, no title has them, and they carry no meaning; a search of nothing else still means them.',
            edits: [
              {
                part: 'vocabulary',
                key: 'stop-words',
                value: { what: 'stopWords', words: [...(setup.vocabulary['stop-words']?.words ?? []), ...words] },
              },
            ],
            words,
          },
        ];
  const synonyms = pairsIn(evidence)
    .filter(({ words: [word] }) => !joined.has(word))
    .map(
      ({ words: pair, reason }): Proposal => ({
        id: `synonyms:${pair.join('=')}`,
        kind: 'synonyms',
        title: `${quoted(pair)} mean the same`,
        reason,
        edits: [
          {
            part: 'vocabulary',
            key: `same-${pair.join('-')}`.slice(0, 80),
            value: { what: 'synonyms', words: [...pair], on: true },
          },
        ],
        words: [pair[0]],
      }),
    );
  return [...stopWords, ...synonyms];
}
