import { createRequire } from 'node:module';
import { recordAt, spotAt } from '../../core/index/postingArrays.ts';
import type { Snapshot } from '../../core/index/snapshot.ts';
import { attributeAt } from '../../core/index/spot.ts';
import type { Language } from '../../core/text/languages.ts';
import { tokenize } from '../../core/text/tokenize.ts';

/** Words a value has on average from which on it counts as a long text. */
export const longTexts = 8;

/** Published lists of words that carry no meaning, by language. */
const lists = createRequire(import.meta.url)('stopwords-iso') as Readonly<Record<string, readonly string[]>>;
export const publishedStopWords = (language: Language): readonly string[] => lists[language] ?? [];

/** Families in whose short values (a title, a brand, a size) a word stands; long texts mention anything. */
export function familiesNamedBy({ terms, postings, attributes, recordFamily }: Snapshot, word: string): number {
  const term = terms.find(word);
  const families = new Set<number>();
  if (term >= 0)
    for (let at = postings.start[term]!; at < postings.end[term]!; at++)
      if (attributes[attributeAt(spotAt(postings, at))]!.averageWords <= longTexts)
        families.add(recordFamily[recordAt(postings, at)]!);
  return families.size;
}

/** Whether a word stands in any short value, so that it tells products apart. */
export const namesProducts = (snapshot: Snapshot, word: string): boolean => familiesNamedBy(snapshot, word) > 0;

const mostWords = 400;

/** Words of the published list that no short value has: shorter ones first, since those are what shoppers type between others. */
export function usualStopWords(snapshot: Snapshot): string[] {
  const words = new Set(
    publishedStopWords(snapshot.language).flatMap((word) => {
      const tokens = tokenize(word);
      return tokens.length === 1 && tokens[0]!.length > 1 && !/\d/.test(tokens[0]!) ? tokens : [];
    }),
  );
  return [...words]
    .filter((word) => !namesProducts(snapshot, word))
    .sort((a, b) => a.length - b.length || (a < b ? -1 : 1))
    .slice(0, mostWords);
}
