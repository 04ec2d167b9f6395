import { isNumberLike, tokenize } from '../text/tokenize.ts';
import { canBeOffered, type Phrase } from './phrase.ts';

/** What a catalog says: the titles of its products, and values that products share. */
export interface CatalogTexts {
  readonly titles: Iterable<string>;
  /** Texts such as brands, kinds and collections, with the products that have them. */
  readonly values: Iterable<{ readonly text: string; readonly products: number }>;
}

/** Words of one phrase taken from titles, and fewest titles it stands in; one word alone needs fewer. */
const mostWords = 3;
const fewestTitles = 3;
/** Different runs of words counted: beyond, new ones are no longer taken up. */
const mostCounted = 2_000_000;
/** Products of which a phrase counts half as much as can be. */
const half = 20;

/** A phrase from the catalog counts less than 1: what any shopper searched for lately goes before it. */
const catalogWeight = (products: number): number => products / (products + half);

const spaces = /\s+/;

/**
 * Searches that a catalog itself suggests: words, pairs and triples of words that stand together in titles, and values.
 * None begins or ends with a word that carries no meaning (`empty`) or with a number, and a run that only ever stands
 * within a longer one is left to that. Cost: a pass over the titles; about 100 bytes a different run.
 */
export function catalogPhrases({ titles, values }: CatalogTexts, empty: ReadonlySet<string>): Phrase[] {
  const counts = new Map<string, number>();
  for (const title of titles)
    for (const run of runsIn(title, empty)) {
      const known = counts.get(run);
      if (known !== undefined || counts.size < mostCounted) counts.set(run, (known ?? 0) + 1);
    }
  const isWithin = new Set<string>();
  for (const [run, count] of counts) {
    const words = run.split(' ');
    if (words.length < 3) continue;
    for (const part of [words.slice(1).join(' '), words.slice(0, -1).join(' ')])
      if (counts.get(part) === count) isWithin.add(part);
  }
  const phrases: Phrase[] = [];
  const add = (text: string, products: number): void => {
    if (canBeOffered(text)) phrases.push({ text, weight: catalogWeight(products), searches: 0, products });
  };
  for (const [run, count] of counts)
    if (count >= (run.includes(' ') ? fewestTitles : 2) && !isWithin.has(run)) add(run, count);
  for (const { text, products } of values) if (products > 0) add(text, products);
  return phrases;
}

/** The runs of words of a title, each once, as they are written but in lower case. */
function runsIn(title: string, empty: ReadonlySet<string>): Set<string> {
  const runs = new Set<string>();
  for (const stretch of stretches(title))
    for (let from = 0; from < stretch.length; from++)
      for (let to = from + 1; to <= Math.min(stretch.length, from + mostWords); to++) {
        const [first, last] = [stretch[from]!, stretch[to - 1]!];
        if (isEnd(first, empty) && isEnd(last, empty))
          runs.add(
            stretch
              .slice(from, to)
              .map(({ text }) => text)
              .join(' '),
          );
      }
  return runs;
}

interface TitleWord {
  readonly text: string;
  readonly token: string;
}
const isEnd = ({ token }: TitleWord, empty: ReadonlySet<string>): boolean =>
  token.length > 2 && !isNumberLike(token) && !empty.has(token);

/** A title's words in the stretches between its signs; what is no one word ends a stretch. */
function stretches(title: string): TitleWord[][] {
  const all: TitleWord[][] = [[]];
  for (const part of title.split(/[,;:()[\]|/–—]|\s-\s/u)) {
    all.push([]);
    for (const written of part.split(spaces)) {
      const text = written.toLowerCase().replace(/^[^\p{L}\p{N}]+|[^\p{L}\p{N}]+$/gu, '');
      const tokens = text === '' ? [] : tokenize(text);
      if (tokens.length === 1) all.at(-1)!.push({ text, token: tokens[0]! });
      else all.push([]);
    }
  }
  return all.filter(({ length }) => length > 0);
}
