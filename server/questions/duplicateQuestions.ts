import { pictureOf } from '../../core/catalog/picture.ts';
import { type CatalogRecord, firstText, heldBy } from '../../core/catalog/record.ts';
import { firstPage, pageSize } from '../../core/compare/firstPage.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import type { Workbench } from '../searching/workbench.ts';

/** Groups told, and searches looked through for where their products are found: those made most. */
const groupsListed = 500;
const searchesLookedAt = 100;

const numbers = (records: readonly CatalogRecord[], key: string): number[] =>
  records.map((record) => heldBy(record, key)).filter((value) => typeof value === 'number');
const sum = (all: readonly number[]): number | null => (all.length === 0 ? null : all.reduce((a, b) => a + b, 0));

/** A product as far as one needs to know it to choose which of several alike stays. */
export interface Duplicate {
  readonly id: string;
  readonly title: string;
  readonly picture: string | null;
  readonly variants: number;
  readonly lowest: number | null;
  readonly highest: number | null;
  readonly stock: number | null;
  readonly unitsSold: number | null;
  /** Searches, of those made most, on whose first page it stands. */
  readonly foundBy: { readonly searches: number; readonly example: string | null };
}

/** Products that a shopper could hardly tell apart. */
export function duplicateQuestions({ ready, current, log, names: namesUnder }: Workbench) {
  const { reader } = current;
  let known: { readonly version: string; readonly found: ReadonlyMap<string, string[]> } | null = null;
  /** For each product the searches on whose first page it is. */
  const foundBy = (ref: SetupRef): ReadonlyMap<string, string[]> => {
    const { version, engine, setup } = ready(ref);
    const now = `${version}/${log.version()}`;
    if (known?.version === now) return known.found;
    const found = new Map<string, string[]>();
    for (const { search } of log.top(searchesLookedAt))
      for (const product of firstPage(engine, setup, search).families.slice(0, pageSize)) {
        const searches = found.get(product);
        if (searches) searches.push(search);
        else found.set(product, [search]);
      }
    known = { version: now, found };
    return found;
  };
  return {
    duplicates(ref: SetupRef): {
      readonly looked: number;
      readonly groups: { readonly differs: string[]; readonly products: Duplicate[] }[];
    } {
      const { view, setup } = ready(ref);
      const names = namesUnder(setup.setup);
      const found = foundBy(ref);
      const membersOf = (id: string): Duplicate[] => {
        const family = view.snapshot.findFamily(id);
        if (family < 0) return [];
        const [from, end] = view.snapshot.recordsOf(family);
        const records = Array.from({ length: end - from }, (_, at) => view.record(from + at));
        const prices = numbers(records, 'price');
        const searches = found.get(id) ?? [];
        const [first] = records;
        return [
          {
            id,
            title: firstText(first!.values.title),
            picture: pictureOf(first!),
            variants: records.length,
            lowest: prices.length > 0 ? Math.min(...prices) : null,
            highest: prices.length > 0 ? Math.max(...prices) : null,
            stock: sum(numbers(records, 'stock')),
            unitsSold: sum(numbers(records, 'units_sold')),
            foundBy: { searches: searches.length, example: searches[0] ?? null },
          },
        ];
      };
      return {
        looked: reader.snapshot.families,
        groups: reader
          .twins()
          .slice(0, groupsListed)
          .map(({ families, differs }) => ({
            differs: differs.map((key) => names.attribute(key)),
            products: families.flatMap(membersOf),
          })),
      };
    },
  };
}
