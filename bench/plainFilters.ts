import { type CatalogRecord, textsOf } from '../core/catalog/record.ts';
import { type Found, filterKeys, pageSize } from './contender.ts';

/**
 * The work around the search that other libraries leave to their user, done for them as cheaply as plain code can:
 * eight filters counted by dictionary-coded columns, families joined into a page.
 */
export function plainFilters(records: readonly CatalogRecord[]): (hits: Iterable<number>) => Found {
  const columns = filterKeys
    .filter((key) => key !== 'price')
    .map((key) => {
      const numbers = new Map<string, number>();
      const lists = records.map((record) =>
        textsOf(record.values[key]).map((text) => {
          const known = numbers.get(text);
          if (known !== undefined) return known;
          numbers.set(text, numbers.size);
          return numbers.size - 1;
        }),
      );
      return { lists, size: () => numbers.size };
    });
  const prices = Float64Array.from(records, (record) => Number(record.values.price ?? Number.NaN));
  return (hits) => {
    const all = Uint32Array.from(hits);
    const families = new Set<string>();
    for (let at = 0; at < all.length && families.size < pageSize; at++) families.add(records[all[at]!]!.familyId);
    for (const { lists, size } of columns) {
      const counts = new Uint32Array(size());
      for (let at = 0; at < all.length; at++) for (const value of lists[all[at]!]!) counts[value]!++;
    }
    let most = 0;
    for (let at = 0; at < all.length; at++) most = Math.max(most, prices[all[at]!]!);
    return { families: [...families], total: all.length };
  };
}
