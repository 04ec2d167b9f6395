import type { Setup, VocabularyEntry } from '../setup/schema.ts';
import { tokenize } from '../text/tokenize.ts';

/** Words one side of a synonym may have, at most. */
export const mostSynonymWords = 4;

/** One thing a word or some neighbouring words may stand for besides themselves. */
export interface Meaning {
  /** The tokens that mean it: one, or several side by side. */
  readonly tokens: readonly string[];
  /** The entry of the vocabulary that says so. */
  readonly entry: string;
}

/** What some neighbouring words of a search mean besides, by their tokens in order. */
export interface Saying {
  readonly tokens: readonly string[];
  readonly meanings: readonly Meaning[];
}

/** What a setup says about words, ready for looking them up by their folded form. */
export interface Vocabulary {
  readonly stopWords: ReadonlySet<string>;
  /** By the first token, the sayings that begin with it, in order of the entries. */
  readonly sayings: ReadonlyMap<string, readonly Saying[]>;
  /** By hand: what a shopper's word is taken for, whatever the catalog knows. */
  readonly fixed: ReadonlyMap<string, string>;
  /** Words that are never taken as misspelt, and words that none is taken for. */
  readonly neverCorrected: ReadonlySet<string>;
  readonly neverOffered: ReadonlySet<string>;
  /** Whether limits of price in a search narrow its results. */
  readonly recognisesPrice: boolean;
}

const keyOf = (tokens: readonly string[]): string => tokens.join(' ');

/** The tokens of one side of a synonym; null where it has none or too many. */
export function synonymTokens(text: string): readonly string[] | null {
  const tokens = tokenize(text);
  return tokens.length > 0 && tokens.length <= mostSynonymWords ? tokens : null;
}

/** An entry's texts as what leads to what: each way of saying it, with everything it means besides. */
export function meaningsOf(entry: VocabularyEntry): { readonly from: string; readonly to: readonly string[] }[] {
  if (entry.what === 'synonyms') {
    if (!entry.on) return [];
    return entry.words.map((from) => ({ from, to: entry.words.filter((other) => other !== from) }));
  }
  return entry.what === 'oneWay' && entry.on ? entry.from.map((from) => ({ from, to: entry.to })) : [];
}

/** Binds the vocabulary of a setup. What several entries say of the same words adds up; one does not lead on to another. */
export function bindVocabulary(setup: Setup): Vocabulary {
  const stopWords = new Set<string>();
  const fixed = new Map<string, string>();
  const neverCorrected = new Set<string>();
  const neverOffered = new Set<string>();
  const sayings = new Map<string, Map<string, { tokens: readonly string[]; meanings: Meaning[] }>>();
  const mean = (from: readonly string[], to: readonly string[], entry: string): void => {
    const known = sayings.get(from[0]!) ?? new Map<string, { tokens: readonly string[]; meanings: Meaning[] }>();
    sayings.set(from[0]!, known);
    const saying = known.get(keyOf(from)) ?? { tokens: from, meanings: [] };
    known.set(keyOf(from), saying);
    const isKnown = keyOf(from) === keyOf(to) || saying.meanings.some(({ tokens }) => keyOf(tokens) === keyOf(to));
    if (!isKnown) saying.meanings.push({ tokens: to, entry });
  };
  for (const key of Object.keys(setup.vocabulary).sort()) {
    const entry = setup.vocabulary[key]!;
    const single = (texts: readonly string[]): string[] =>
      texts.flatMap((text) => (tokenize(text).length === 1 ? tokenize(text) : []));
    if (entry.what === 'stopWords') for (const word of single(entry.words)) stopWords.add(word);
    else if (entry.what === 'corrections')
      for (const { from, to } of entry.pairs) {
        const [word] = single([from]);
        const [meant] = single([to]);
        if (word !== undefined && meant !== undefined && word !== meant) fixed.set(word, meant);
      }
    else if (entry.what === 'neverCorrected') for (const word of single(entry.words)) neverCorrected.add(word);
    else if (entry.what === 'neverOffered') for (const word of single(entry.words)) neverOffered.add(word);
    for (const { from, to } of meaningsOf(entry)) {
      const said = synonymTokens(from);
      if (said) for (const text of to) mean(said, synonymTokens(text) ?? said, key);
    }
  }
  return {
    recognisesPrice: Object.values(setup.vocabulary).some((entry) => entry.what === 'recognised' && entry.price),
    stopWords,
    fixed,
    neverCorrected,
    neverOffered,
    sayings: new Map([...sayings].map(([first, bySaying]) => [first, [...bySaying.values()]])),
  };
}

/** What each word of a search means besides, by its place: of every saying whose words stand there side by side. */
export function meaningsIn(tokens: readonly string[], { sayings }: Vocabulary): Meaning[][] {
  const found: Meaning[][] = tokens.map(() => []);
  for (let from = 0; from < tokens.length; from++)
    for (const { tokens: said, meanings } of sayings.get(tokens[from]!) ?? []) {
      if (said.some((token, at) => tokens[from + at] !== token)) continue;
      for (let at = from; at < from + said.length; at++) found[at]!.push(...meanings);
    }
  return found;
}
