import { type CatalogRecord, firstText } from '../core/catalog/record.ts';
import { pick } from '../core/random.ts';
import { tokenize } from '../core/text/tokenize.ts';

export const queryClasses = ['one word', 'several words', 'prefix', 'one typo', 'SKU', 'nothing'] as const;
export type QueryClass = (typeof queryClasses)[number];

export interface BenchQuery {
  readonly text: string;
  /** The family the query was made from, or null where it should find nothing. */
  readonly intended: string | null;
}

/** One slip of the finger inside a word: a swap, a letter left out, doubled or replaced; never the first letter. */
function misspell(random: () => number, word: string): string {
  const at = 1 + Math.floor(random() * (word.length - 2));
  const kind = Math.floor(random() * 4);
  if (kind === 0 && word[at] !== word[at + 1]) return word.slice(0, at) + word[at + 1] + word[at] + word.slice(at + 2);
  if (kind === 1) return word.slice(0, at) + word.slice(at + 1);
  if (kind === 2) return word.slice(0, at) + word[at] + word.slice(at);
  return (
    word.slice(0, at) +
    pick(
      random,
      [...'aeiourst'].filter((letter) => letter !== word[at]),
    ) +
    word.slice(at + 1)
  );
}

/** A query of one class made from a record by an honest rule: from its own words, none chosen for being easy. */
export function makeQuery(random: () => number, kind: QueryClass, record: CatalogRecord): BenchQuery {
  const intended = record.familyId;
  const words = [...new Set(tokenize(firstText(record.values.title)))];
  const some = words.slice(0, 2 + Math.floor(random() * Math.max(1, words.length - 1)));
  const known = [...some, ...tokenize(firstText(record.values.brand))];
  switch (kind) {
    case 'one word':
      return { text: pick(random, words), intended };
    case 'several words':
      return { text: known.join(' '), intended };
    case 'prefix': {
      const last = known.at(-1)!;
      return {
        text: [...known.slice(0, -1), last.slice(0, Math.max(2, Math.ceil(last.length * 0.6)))].join(' '),
        intended,
      };
    }
    case 'one typo': {
      const long = known.map((word, index) => ({ word, index })).filter(({ word }) => word.length >= 4);
      const chosen = long.length > 0 ? pick(random, long) : null;
      return {
        text: known.map((word, index) => (index === chosen?.index ? misspell(random, word) : word)).join(' '),
        intended,
      };
    }
    case 'SKU':
      return { text: record.sku, intended };
    case 'nothing':
      return {
        text: `xq${Math.floor(random() * 1e6).toString(36)}zz vkw${Math.floor(random() * 1e6).toString(36)}`,
        intended: null,
      };
  }
}
