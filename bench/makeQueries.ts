import { pick } from '../core/base/random.ts';
import { type CatalogRecord, firstText } from '../core/catalog/record.ts';
import { tokenize } from '../core/text/tokenize.ts';
import { misspell } from './misspell.ts';

export const queryClasses = ['one word', 'several words', 'prefix', 'one typo', 'SKU', 'nothing'] as const;
export type QueryClass = (typeof queryClasses)[number];

export interface BenchQuery {
  readonly text: string;
  /** The family the query was made from, or null where it should find nothing. */
  readonly intended: string | null;
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
