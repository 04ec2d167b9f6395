import { isNumberLike, tokenize } from '../text/tokenize.ts';
import type { Lexicon } from './lexicon.ts';

/** Two words of the catalog that stand in the same places, and that look or mean alike besides. */
export interface AlikeWords {
  /** A short form first; of two words of one meaning the rarer. */
  readonly words: readonly [string, string];
  readonly kin: 'shortForm' | 'meaning';
  /** What both stand beside, the most telling first: "carbon …", "… memorial". */
  readonly beside: readonly string[];
  /** Share of what the rarer stands beside, weighed by how telling it is, that the other stands beside too; 0 to 1. */
  readonly share: number;
}

export interface AlikeOptions {
  readonly lexicon: Lexicon | null;
  /** Words that carry no meaning: one with a vowel is a short form of nothing. */
  readonly empty: ReadonlySet<string>;
  /** Whether two words are forms of one ("brush", "brushes"): those need nobody to say so. */
  areForms(a: string, b: string): boolean;
}

/** Texts a word must stand in before anything is concluded from them. */
const fewestTexts = 3;
/** What words stand beside must be this surprising (nats: one place in a hundred) to tell anything. */
const leastSurprise = Math.log(100);
/** Neighbours two words must share, and how many are enough where they make up the given share of the rarer's. */
const fewestShared = 3;
const fewestOfMany = 2;
const manyShared = 0.25;
/** Standard deviations above chance that words said to mean the same must share neighbours by. */
const leastDeviations = 2.5;
/** Share of the rarer's texts that may have both: what stands side by side is told apart. */
const mostTogether = 0.3;
const mostSenses = 3;
const longestShortForm = 6;
const fewestLettersLeftOut = 3;

interface Places {
  /** Texts that have the word. */
  readonly texts: Set<number>;
  readonly beside: Set<string>;
}

interface Catalogued {
  readonly places: ReadonlyMap<string, Places>;
  readonly besides: ReadonlyMap<string, number>;
  /** Places in all, two a word. */
  readonly all: number;
}

function placesIn(texts: Iterable<string>): Catalogued {
  const places = new Map<string, { texts: Set<number>; beside: Set<string> }>();
  const besides = new Map<string, number>();
  let all = 0;
  let number = 0;
  for (const text of texts) {
    const tokens = tokenize(text);
    number++;
    for (const [at, token] of tokens.entries()) {
      if (isNumberLike(token) || token.length < 2) continue;
      const own = places.get(token) ?? { texts: new Set(), beside: new Set() };
      if (!places.has(token)) places.set(token, own);
      own.texts.add(number);
      for (const beside of [`${tokens[at - 1] ?? ''} …`, `… ${tokens[at + 1] ?? ''}`]) {
        own.beside.add(beside);
        besides.set(beside, (besides.get(beside) ?? 0) + 1);
        all++;
      }
    }
  }
  return { places, besides, all };
}

/** Whether a word is another with letters left out: its beginning, or its first and last with some between. */
export function isShortForm(short: string, long: string): boolean {
  if (short.length > longestShortForm || long.length - short.length < fewestLettersLeftOut) return false;
  if (short[0] !== long[0]) return false;
  let at = 0;
  for (const letter of long) if (letter === short[at]) at++;
  if (at < short.length) return false;
  if (long.startsWith(short)) return short.length >= 3;
  return short.at(-1) === long.at(-1) || !/[aeiouy]/.test(short);
}

/** Pairs worth looking at: only words that look or mean alike, so that not every word is laid beside every other. */
function kinIn(
  words: readonly string[],
  { lexicon, empty, areForms }: AlikeOptions,
): Omit<AlikeWords, 'beside' | 'share'>[] {
  const sameAs = (word: string): Set<string> =>
    new Set((lexicon?.senses(word) ?? []).slice(0, mostSenses).flatMap(({ same }) => same));
  const isCommon = new Set(words);
  const meant = words.flatMap((word) => {
    const alike = [...sameAs(word)].filter((other) => word < other && isCommon.has(other) && !areForms(word, other));
    return alike
      .filter((other) => sameAs(other).has(word))
      .map((other) => ({ words: [word, other] as const, kin: 'meaning' as const }));
  });
  const byLetter = new Map<string, string[]>();
  for (const word of words) {
    const known = byLetter.get(word[0]!);
    if (known) known.push(word);
    else byLetter.set(word[0]!, [word]);
  }
  // A word of the language is seldom a short form; one without vowels is no word, whatever a dictionary lists.
  const isOwnWord = (word: string): boolean =>
    /[aeiouy]/.test(word) && (empty.has(word) || (lexicon?.has(word) ?? true));
  const short = words
    .filter((word) => word.length <= longestShortForm && !isOwnWord(word))
    .flatMap((word) =>
      byLetter
        .get(word[0]!)!
        .filter((long) => isShortForm(word, long) && !areForms(word, long))
        .map((long) => ({ words: [word, long] as const, kin: 'shortForm' as const })),
    );
  return [...short, ...meant];
}

/**
 * Words that stand in the same places in titles and other short values and are akin: one looks like a short form of the
 * other (*intl*, *international*), or a lexical database says they can mean the same (*autumn*, *fall*). Neither is
 * enough alone: words in the same places are mostly different things of one sort (a red and a blue one), and of a word's
 * meanings a catalog means one. Likest first. Over distinct texts. Cost: a pass over the texts, and a look at the words
 * that begin alike.
 */
export function findAlike(texts: Iterable<string>, options: AlikeOptions): AlikeWords[] {
  const { places, besides, all } = placesIn(texts);
  const surprise = (beside: string): number => Math.log(all / besides.get(beside)!);
  const words = [...places].filter(([, { texts: own }]) => own.size >= fewestTexts).map(([word]) => word);
  return kinIn(words, options)
    .flatMap(({ words: [a, b], kin }): AlikeWords[] => {
      const isFirstRarer = places.get(a)!.texts.size <= places.get(b)!.texts.size;
      const [rarer, other] = (isFirstRarer ? [a, b] : [b, a]).map((word) => places.get(word)!) as [Places, Places];
      const surprising = [...rarer.beside].filter((beside) => surprise(beside) >= leastSurprise);
      const shared = surprising.filter((beside) => other.beside.has(beside));
      let [weight, weightShared, expected, variance] = [0, 0, 0, 0];
      for (const beside of surprising) {
        const score = surprise(beside);
        // Two places a text: how probable it is that one of the other word's is beside this by chance.
        const chance = 1 - Math.exp((-2 * other.texts.size * besides.get(beside)!) / all);
        weight += score;
        expected += score * chance;
        variance += score * score * chance * (1 - chance);
        if (other.beside.has(beside)) weightShared += score;
      }
      const share = weight === 0 ? 0 : weightShared / weight;
      const together = [...rarer.texts].filter((text) => other.texts.has(text)).length;
      if (shared.length < (share >= manyShared ? fewestOfMany : fewestShared)) return [];
      if (together > rarer.texts.size * mostTogether) return [];
      if (kin === 'meaning' && weightShared - expected < leastDeviations * Math.sqrt(variance)) return [];
      const beside = shared.sort((x, y) => besides.get(x)! - besides.get(y)! || (x < y ? -1 : 1));
      return [{ words: kin === 'shortForm' || isFirstRarer ? [a, b] : [b, a], kin, beside, share }];
    })
    .sort((x, y) => y.share - x.share || (x.words.join(' ') < y.words.join(' ') ? -1 : 1));
}
