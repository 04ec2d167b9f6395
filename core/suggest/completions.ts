import { openSections, packSections } from '../index/sections.ts';
import { openStrings, packStrings, type StringTable } from '../index/stringTable.ts';
import { bestFirst, blockBests, type EntryRange } from './bestFirst.ts';
import { nearRanges } from './nearRanges.ts';
import { mostPhrases, type Phrase, wordsOfPhrase } from './phrase.ts';

/**
 * Searches by their beginnings, and by the beginnings of their later words. Owns parallel columns:
 *
 * - one item a phrase, in ascending order of its words (`wordsOfPhrase`): `words` and `shown` (string tables), `weight`,
 *   `searches`, `products`, and `group`, the number of the phrase that stands for all those of the same words in other
 *   forms, in another order, or joined: the one that counts most;
 * - one item an entry, which is a word of a phrase with all that follows it, in ascending order of that text: `entry.phrase`,
 *   `entry.at` (the unit of `words.text` at which it begins) and `entry.score`; `block.best` has the best score of each
 *   `blockSize` entries.
 *
 * Limits: `mostPhrases` phrases of `mostPhraseWords` words. Memory: about 80 bytes a phrase of three words beside its text.
 */
export interface Completions {
  readonly phrases: number;
  readonly bytes: number;
  /** Phrases that go on from what was typed, each group once: those with fewer mistakes first, then the best. */
  complete(typed: string): Iterable<Completion>;
  /** The phrases that count most, each group once. */
  best(): Iterable<Completion>;
  phrase(number: number): Phrase;
}

/** A phrase that goes on from what was typed. */
export interface Completion {
  readonly phrase: number;
  /** Letters that differ from what was typed. */
  readonly mistakes: number;
  readonly score: number;
}

/** What a phrase counts that goes on from a later word than its first. */
export const laterWordShare = 0.3;

/**
 * Mistakes forgiven in a text of so many letters; the first letter must be right, and what is offered is at most one letter
 * shorter than what was typed, since it is to go on from it.
 */
export const mistakesForgiven = (letters: number): number => (letters < 4 ? 0 : letters < 6 ? 1 : 2);

/**
 * Packs phrases for any number of threads. Phrases of the same words become one: their figures are added, and the
 * heavier one's spelling is shown. `stem` brings forms of a word together. Cost: a sort of all words of all phrases.
 */
export function buildCompletions(phrases: Iterable<Phrase>, stem: (word: string) => string): SharedArrayBuffer {
  const byWords = new Map<string, Phrase>();
  for (const phrase of phrases) {
    const words = wordsOfPhrase(phrase.text);
    const known = byWords.get(words);
    if (words === '') continue;
    byWords.set(words, known ? together(known, phrase) : phrase);
  }
  const all = [...byWords]
    .sort(([a, { weight: one }], [b, { weight: other }]) => other - one || (a < b ? -1 : 1))
    .slice(0, mostPhrases)
    .sort(([a], [b]) => (a < b ? -1 : 1));
  const words = packStrings(
    'words',
    all.map(([text]) => text),
  );
  const start = words['words.start'] as Uint32Array;
  const heaviest = new Map<string, number>();
  const known = new Set(all.flatMap(([text]) => text.split(' ')));
  const groups = all.map(([text], number) => {
    const key = joinedWords(text.split(' '), known)
      .map((word) => stem(word))
      .sort()
      .join(' ');
    const first = heaviest.get(key);
    if (first === undefined || all[number]![1].weight > all[first]![1].weight) heaviest.set(key, number);
    return key;
  });
  const entries: { readonly phrase: number; readonly from: number; readonly text: string }[] = [];
  for (const [phrase, [text]] of all.entries())
    for (let from = 0; from >= 0; from = text.indexOf(' ', from) + 1 || -1)
      entries.push({ phrase, from, text: text.slice(from) });
  entries.sort((a, b) => (a.text < b.text ? -1 : a.text > b.text ? 1 : a.phrase - b.phrase || a.from - b.from));
  const scores = Float64Array.from(
    entries,
    ({ phrase, from }) => all[phrase]![1].weight * (from === 0 ? 1 : laterWordShare),
  );
  return packSections(
    { phrases: all.length },
    {
      ...words,
      ...packStrings(
        'shown',
        all.map(([, { text }]) => text),
      ),
      weight: Float64Array.from(all, ([, { weight }]) => weight),
      searches: Uint32Array.from(all, ([, { searches }]) => searches),
      products: Uint32Array.from(all, ([, { products }]) => products),
      group: Uint32Array.from(groups, (key) => heaviest.get(key)!),
      'entry.phrase': Uint32Array.from(entries, ({ phrase }) => phrase),
      'entry.at': Uint32Array.from(entries, ({ phrase, from }) => start[phrase]! + from),
      'entry.score': scores,
      'block.best': blockBests(scores),
    },
  );
}

/** Words with neighbours made one where others write them so: a sketch book is a sketchbook. */
function joinedWords(words: readonly string[], known: ReadonlySet<string>): string[] {
  const joined: string[] = [];
  for (let at = 0; at < words.length; at++) {
    const both = `${words[at]}${words[at + 1] ?? ''}`;
    const isOne = at + 1 < words.length && known.has(both);
    joined.push(isOne ? both : words[at]!);
    if (isOne) at++;
  }
  return joined;
}

function together(one: Phrase, other: Phrase): Phrase {
  return {
    text: other.weight > one.weight ? other.text : one.text,
    weight: one.weight + other.weight,
    searches: one.searches + other.searches,
    products: Math.max(one.products, other.products),
  };
}

/** What was typed as it is compared: folded words, with the space behind them where a word is ended. */
export function typedAs(typed: string): string {
  const words = wordsOfPhrase(typed);
  return words !== '' && /\s$/.test(typed) ? `${words} ` : words;
}

/** Opens packed phrases, or answers null where the bytes are none. Cost: none; nothing is copied. */
export function openCompletions(buffer: SharedArrayBuffer): Completions | null {
  const sections = openSections(buffer);
  if (!sections?.has('entry.phrase')) return null;
  const words = openStrings(sections, 'words');
  const shown: StringTable = openStrings(sections, 'shown');
  const [weight, searches] = [sections.f64('weight'), sections.u32('searches')];
  const [products, group] = [sections.u32('products'), sections.u32('group')];
  const [phraseOf, at] = [sections.u32('entry.phrase'), sections.u32('entry.at')];
  const [scores, bests] = [sections.f64('entry.score'), sections.f64('block.best')];

  const sizeOf = (entry: number): number => words.start[phraseOf[entry]! + 1]! - at[entry]!;
  function* eachOnce(
    rounds: Iterable<{ readonly ranges: readonly EntryRange[]; readonly mistakes: number }>,
    { but, least }: { readonly but: number; readonly least: number },
  ) {
    const seen = new Set<number>(but >= 0 ? [group[but]!] : []);
    for (const { ranges, mistakes } of rounds)
      for (const entry of bestFirst(ranges, scores, bests)) {
        const phrase = phraseOf[entry]!;
        if (seen.has(group[phrase]!) || sizeOf(entry) < least) continue;
        seen.add(group[phrase]!);
        yield { phrase, mistakes, score: scores[entry]! } satisfies Completion;
      }
  }
  return {
    phrases: weight.length,
    bytes: buffer.byteLength,
    complete(typed) {
      const sought = typedAs(typed);
      if (sought === '') return [];
      const table = { units: words.units, at, endOf: (entry: number) => words.start[phraseOf[entry]! + 1]! };
      const rounds = function* () {
        // Further mistakes are only looked for where nobody has enough with fewer.
        for (let mistakes = 0; mistakes <= mistakesForgiven(sought.length); mistakes++)
          yield { ranges: nearRanges(table, sought, mistakes), mistakes };
      };
      // What is typed already is no way on.
      return eachOnce(rounds(), { but: words.find(sought.trimEnd()), least: sought.length - 1 });
    },
    best: () => eachOnce([{ ranges: [[0, scores.length]], mistakes: 0 }], { but: -1, least: 0 }),
    phrase: (number) => ({
      ...{ text: shown.get(number), weight: weight[number]! },
      ...{ searches: searches[number]!, products: products[number]! },
    }),
  };
}
