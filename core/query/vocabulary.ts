import type { VocabularyEntry } from '../setup/parts/vocabulary.ts';
import type { Setup } from '../setup/schema.ts';
import { tokenize } from '../text/tokenize.ts';
import { type Near, openNearest } from './spelling.ts';

/** Words one side of a synonym may have, at most. */
const mostSynonymWords = 4;

/** Other things one saying may mean, at most; the first entries by key count. */
export const mostMeanings = 100;

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
  /** Words shoppers search for, by their place among them. */
  readonly popular: ReadonlyMap<string, number>;
  /** The single words that mean something else, and may be what a misspelt one means. */
  readonly saidAlone: readonly string[];
  /** The nearest of them. */
  nearestSaid(word: string, limit: number): Near | null;
  /** Whether limits of price in a search narrow its results. */
  readonly recognisesPrice: boolean;
}

/** A saying while its meanings are gathered; what it means already, itself included. */
interface GrowingSaying {
  readonly tokens: readonly string[];
  readonly meanings: Meaning[];
  readonly known: Set<string>;
}

const keyOf = (tokens: readonly string[]): string => tokens.join(' ');

/** Texts read lately: a setup is bound again at every edit, and nearly all of its words are those of before. */
const read = new Map<string, readonly string[]>();
const mostRead = 50_000;
function tokensOf(text: string): readonly string[] {
  const known = read.get(text);
  if (known) return known;
  if (read.size >= mostRead) read.clear();
  const tokens = tokenize(text);
  read.set(text, tokens);
  return tokens;
}

/** The tokens of one side of a synonym; null where it has none or too many. */
export function synonymTokens(text: string): readonly string[] | null {
  const tokens = tokensOf(text);
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
  const popular = new Map<string, number>();
  const sayings = new Map<string, Map<string, GrowingSaying>>();
  const mean = (from: readonly string[], to: readonly string[], entry: string): void => {
    const known = sayings.get(from[0]!) ?? new Map<string, GrowingSaying>();
    sayings.set(from[0]!, known);
    const said = keyOf(from);
    const saying = known.get(said) ?? { tokens: from, meanings: [], known: new Set([said]) };
    known.set(said, saying);
    const meant = keyOf(to);
    if (saying.known.has(meant) || saying.meanings.length >= mostMeanings) return;
    saying.known.add(meant);
    saying.meanings.push({ tokens: to, entry });
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
    else if (entry.what === 'spoken')
      for (const word of single(entry.words)) popular.set(word, popular.get(word) ?? popular.size);
    else if (entry.what === 'neverOffered') for (const word of single(entry.words)) neverOffered.add(word);
    for (const { from, to } of meaningsOf(entry)) {
      const said = synonymTokens(from);
      if (said) for (const text of to) mean(said, synonymTokens(text) ?? said, key);
    }
  }
  const saidAlone = [...sayings.values()]
    .flatMap((bySaying) => [...bySaying.values()])
    .flatMap(({ tokens, meanings }) => (tokens.length === 1 && meanings.length > 0 ? tokens : []))
    .filter((token) => !neverOffered.has(token));
  let nearest: Vocabulary['nearestSaid'] | null = null;
  return {
    popular,
    saidAlone,
    nearestSaid(word, limit) {
      nearest ??= openNearest(saidAlone);
      return nearest(word, limit);
    },
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
