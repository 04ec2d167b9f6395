import type { Setup } from '../setup/schema.ts';
import { tokenize } from '../text/tokenize.ts';
import { meanTheSame, type Proposal, quoted } from './proposal.ts';

/** A search that found nothing, the one tried next that led to a click, and in how many visits that happened. */
export interface Retry {
  readonly from: string;
  readonly to: string;
  readonly sessions: number;
  /** Visits in which `from` found nothing, whatever came next. */
  readonly of: number;
}

/** What the catalog and the shopper log say about words. */
export interface WordEvidence {
  /** Whether a title or any other short value has it: such a word tells products apart. */
  namesProducts(word: string): boolean;
  isKnown(word: string): boolean;
  readonly searches: readonly { readonly search: string; readonly searches: number }[];
  readonly retries: readonly Retry[];
  /** A published list of words that carry no meaning. */
  readonly stopWords: readonly string[];
}

/** Visits in which a word must have been tried again by another before it is proposed as one that means the same. */
export const fewestVisits = 3;
/** Share of the visits with the first word: less is what people happen to look for next. */
export const leastShare = 0.25;
const mostStopWords = 60;
const mostSynonyms = 30;

/** Different searches, and share of the longer ones, in which a word must stand to be one that goes with anything. */
const fewestSearches = 3;
const leastOfSearches = 0.02;

/**
 * Words of the list that go with many longer searches and that no title or short value has: passing them over loses
 * nothing. The published lists are long and name many words that mean something to a shop, so both are asked for.
 */
function stopWordsIn({ searches, stopWords, namesProducts }: WordEvidence, known: ReadonlySet<string>): string[] {
  const list = new Set(stopWords.flatMap((word) => (tokenize(word).length === 1 ? tokenize(word) : [])));
  const longer = searches.filter(({ search }) => tokenize(search).length > 1);
  const fewest = Math.max(fewestSearches, longer.length * leastOfSearches);
  const used = new Map<string, { readonly searches: number; readonly times: number }>();
  for (const { search, searches: times } of longer) {
    const tokens = tokenize(search);
    for (const token of new Set(tokens))
      if (list.has(token)) {
        const before = used.get(token) ?? { searches: 0, times: 0 };
        used.set(token, { searches: before.searches + 1, times: before.times + times });
      }
  }
  return [...used]
    .filter(([word, { searches: many }]) => many >= fewest && !known.has(word) && !namesProducts(word))
    .filter(([word]) => word.length > 1 && !/\d/.test(word))
    .sort((a, b) => b[1].times - a[1].times || (a[0] < b[0] ? -1 : 1))
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
  const tried = retries.flatMap(({ from, to, sessions, of }): Pair[] => {
    const [a, b] = [oneWord(from), oneWord(to)];
    if (
      a === null ||
      b === null ||
      a === b ||
      sessions < Math.max(fewestVisits, of * leastShare) ||
      isKnown(a) ||
      !isKnown(b)
    )
      return [];
    return [
      {
        words: [a, b],
        reason: `In ${sessions} of ${of} visits shoppers who found nothing with “${a}” tried “${b}” next and opened a product.`,
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
            title: `Stop words: ${quoted(words.slice(0, 6))}${words.length > 6 ? ` and ${words.length - 6} more` : ''}`,
            reason:
              'Shoppers type them, no title has them, and they go with anything; a search of nothing else still means them.',
            edits: [
              {
                part: 'vocabulary',
                key: 'stop-words',
                value: { what: 'stopWords', words: [...stopped, ...words] },
              },
            ],
            isSure: true,
            words,
          },
        ];
  const synonyms = pairsIn(evidence)
    .filter(({ words: [word] }) => !joined.has(word))
    .map(({ words: pair, reason }) => meanTheSame('synonyms', pair, reason, [pair[0]], true));
  return [...stopWords, ...synonyms];
}
