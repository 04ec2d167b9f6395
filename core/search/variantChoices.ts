import type { Card } from '../answer/answer.ts';
import { cardOf } from '../answer/card.ts';
import type { CatalogRecord } from '../catalog/record.ts';
import { availability } from '../catalog/standardColumns.ts';
import type { BoundFilter } from '../facets/boundFilter.ts';
import { valueAs } from '../facets/filters.ts';
import type { CardArrangement } from '../setup/parts/resultsPage/card.ts';
import { mostOnCardVariants, variantFilterKinds } from '../setup/terms/cardTerms.ts';
import type { FilterKind } from '../setup/terms/filterTerms.ts';
import type { Language } from '../text/languages.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import type { RecordReader } from './recordReader.ts';

const byName: ReadonlySet<FilterKind> = new Set(variantFilterKinds);

/** The badges of a record, given with its number. */
export type BadgeMaker = (number: number, record: CatalogRecord) => Card['badges'];

/** By which filter's values some records are told apart: the chosen one, or the first that they differ in. */
function tellingApart(
  { filters }: PreparedSetup,
  records: readonly number[],
  { variantsBy }: CardArrangement,
): BoundFilter | null {
  const differs = ({ values }: BoundFilter): boolean =>
    values !== null && new Set(records.map((record) => values.first(record)).filter((value) => value >= 0)).size > 1;
  return (
    filters.find(
      (filter) =>
        (variantsBy === undefined ? byName.has(filter.kind) : filter.key === variantsBy) &&
        filter.attribute !== availability.key &&
        differs(filter),
    ) ?? null
  );
}

/**
 * The variants of a product that stand on the card of one of them: one of each value of the filter that tells them apart,
 * the shown one for its own, else the first in stock. What is hidden where the card stands is not among them. Nothing where there is
 * only one. Cost: a look at each variant for each filter, and a record read for each of at most `mostOnCardVariants`.
 */
export function variantChoices(
  { snapshot, inStock }: Engine,
  prepared: PreparedSetup,
  shown: number,
  {
    readRecord,
    badgesOf,
    language,
    hidden,
    arrangement,
  }: {
    readonly readRecord: RecordReader;
    readonly badgesOf: BadgeMaker;
    readonly language: Language;
    readonly hidden: Uint8Array | null;
    /** The card that they stand on. */
    readonly arrangement: CardArrangement;
  },
): Card['choices'] {
  const [from, to] = snapshot.recordsOf(snapshot.recordFamily[shown]!);
  if (to - from < 2) return undefined;
  const records = Array.from({ length: to - from }, (_, at) => from + at).filter(
    (record) => record === shown || !hidden || hidden[record] === 0,
  );
  const filter = tellingApart(prepared, records, arrangement);
  if (!filter?.values) return undefined;
  const { values } = filter;
  const ofValue = new Map<number, number>();
  for (const record of records) {
    const value = values.first(record);
    if (value < 0) continue;
    const before = ofValue.get(value);
    if (
      before === undefined ||
      record === shown ||
      (before !== shown && inStock[before] === 0 && inStock[record] !== 0)
    )
      ofValue.set(value, record);
  }
  const all = [...ofValue];
  // The shown one is among them, however many there are.
  const first = all.slice(0, mostOnCardVariants);
  const own = all.find(([, record]) => record === shown);
  if (own && !first.includes(own)) first[first.length - 1] = own;
  return {
    label: filter.names?.[language]?.label ?? filter.label,
    more: all.length - first.length,
    of: first.map(([value, record]) => {
      const { label, colour } = valueAs(filter, values.name(value), 0, false, language);
      const read = readRecord(record);
      const card = cardOf(read, { variants: 1, isInStock: true }, prepared.setup, arrangement);
      return {
        ...{ id: card.id, sku: card.sku, label, ...(colour && { colour }) },
        ...{
          price: card.price,
          formerPrice: card.formerPrice,
          available: card.variantAvailable,
          picture: card.picture,
          badges: badgesOf(record, read),
        },
      };
    }),
  };
}
