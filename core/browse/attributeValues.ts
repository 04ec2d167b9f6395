import { selectFirst } from '../base/select.ts';
import { bars } from '../facets/filters.ts';
import { climb } from '../search/climb.ts';
import type { Engine, PreparedSetup } from '../search/prepareSetup.ts';
import { equalThresholds, roundThresholds } from '../values/bands.ts';

/** Values of an attribute that are reported one by one. */
const mostValuesListed = 5000;

/** What an attribute holds: its values, or where its amounts lie. */
export interface AttributeValues {
  /** With the products that have them in the catalog, and in the search; most products first. */
  readonly values: readonly { readonly value: string; readonly products: number; readonly here: number }[];
  /** Values beyond those told. */
  readonly more: number;
  readonly amounts: {
    readonly least: number;
    readonly most: number;
    /** Below this lie nearly all, 95 of 100. */
    readonly usual: number;
    /** Products in equal parts from the least up to `usual`. */
    readonly histogram: readonly number[];
    /** Where ranges could end: at round numbers, and so that each has about as many records. */
    readonly round: readonly number[];
    readonly equal: readonly number[];
  } | null;
}

/** Ranges that are proposed. */
const parts = 5;
/** Where nearly all amounts lie: ranges at round numbers are laid out up to here, so that one dear product does not stretch them. */
const nearlyAll = 0.95;

/** An attribute's values with their products in the whole catalog and among what a search finds. Cost: a search, and a pass over the records. */
export function attributeValues(
  engine: Engine,
  prepared: PreparedSetup,
  attribute: string,
  query: string,
): AttributeValues {
  const { snapshot } = engine;
  const everything = { records: engine.matcher.all(prepared.hidden).records.slice(), failing: null };
  const numbers = snapshot.numbers.get(attribute);
  if (numbers) {
    const ends = numbers.range(everything.records, null, 0);
    if (!ends) return { values: [], more: 0, amounts: null };
    const all = Float64Array.from(everything.records, (record) => numbers.ofRecord(record))
      .filter((amount) => !Number.isNaN(amount))
      .sort();
    const usual = all[Math.floor((all.length - 1) * nearlyAll)]!;
    return {
      values: [],
      more: 0,
      amounts: {
        ...ends,
        usual,
        histogram: [...numbers.histogram(everything, 0, { least: ends.least, most: usual }, bars)],
        round: roundThresholds(ends.least, usual, parts),
        equal: equalThresholds(all, parts),
      },
    };
  }
  const column = snapshot.values.get(attribute);
  if (!column) return { values: [], more: 0, amounts: null };
  const { ranking } = climb(engine, prepared, { query, filters: {}, page: 1, limit: 1 }, 0);
  // Counts are scratch memory: those of the search are kept before the catalog is counted.
  const here = column.countFamilies({ records: ranking.records, failing: null });
  const found = new Map([...here.present].map((value) => [value, here.counts[value]!]));
  const { counts, present } = column.countFamilies(everything);
  const shown = selectFirst(present.slice(), mostValuesListed, (a, b) => counts[b]! - counts[a]! || a - b);
  return {
    values: [...shown].map((value) => ({
      value: column.name(value),
      products: counts[value]!,
      here: found.get(value) ?? 0,
    })),
    more: Math.max(0, present.length - mostValuesListed),
    amounts: null,
  };
}
