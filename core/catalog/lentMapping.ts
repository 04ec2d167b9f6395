import { checkMapping } from './mapping.ts';
import type { ColumnReading, Mapping } from './mappingSchema.ts';
import { proposeReading } from './proposeReading.ts';
import type { Cells } from './readRow.ts';
import type { ShopTerms } from './shopTerms.ts';

const isSame = (one: ColumnReading | undefined, other: ColumnReading): boolean =>
  JSON.stringify(one) === JSON.stringify(other);

/**
 * How a storefront reads rows that another one lends it: as is proposed for it, and where the lender decided otherwise
 * than was proposed for itself, as the lender does. Products are joined as the lender joins them, so that both have the
 * same ones. Cost: two proposals.
 */
export function lentMapping(
  lender: Mapping,
  rows: readonly Cells[],
  terms: { readonly lender: ShopTerms; readonly own: ShopTerms },
): Mapping {
  const names = lender.columns.map(({ column }) => column);
  const proposed = proposeReading(rows, names, terms.own).mapping;
  const usual = new Map(
    proposeReading(rows, names, terms.lender).mapping.columns.map((reading) => [reading.column, reading]),
  );
  const decided = new Map(
    lender.columns.flatMap((reading) =>
      isSame(usual.get(reading.column), reading) ? [] : [[reading.column, reading]],
    ),
  );
  const { families, identity } = lender;
  const mapping: Mapping = {
    ...proposed,
    columns: proposed.columns.map((reading) => decided.get(reading.column) ?? reading),
    families,
    ...(identity && { identity }),
  };
  return checkMapping(mapping).length === 0 ? mapping : { ...proposed, ...(identity && { identity }) };
}
