import { pictureOf } from '../catalog/picture.ts';
import { type CatalogRecord, firstText, heldBy, textsOf } from '../catalog/record.ts';
import { availability, standardColumn } from '../catalog/standardColumns.ts';
import { sourceOf } from '../rules/decisions.ts';
import type { Decision } from '../setup/parts/products.ts';
import type { Setup } from '../setup/schema.ts';

/** One cell of the catalog's table. */
export interface ListedCell {
  /** As text, lists joined by "|" so that they can be typed again; empty where there is no value. */
  readonly text: string;
  /** As it is shown: a range where the variants' amounts differ, else how many values there are. */
  readonly shown: string;
  /** Different values among the variants the row stands for; 1 where they agree. */
  readonly different: number;
  /** Whether a value set here stands in it, or one is overruled by the file. */
  readonly from: 'file' | 'here';
  readonly contested: boolean;
}

export interface ListedRow {
  /** The product's id, or the variant's. */
  readonly id: string;
  readonly product: string;
  readonly variant: string | null;
  readonly title: string;
  readonly picture: string | null;
  readonly variants: number;
  readonly isSoldOut: boolean;
  readonly cells: Readonly<Record<string, ListedCell>>;
}

/** An attribute of a record as it is typed into a cell: of a path its last level, which holds the others. */
export function cellText(record: CatalogRecord, key: string): string {
  if (key === 'sku') return record.sku;
  const texts = textsOf(heldBy(record, key));
  return (key === 'category' ? texts.slice(-1) : texts).join('|');
}

/** What a cell shows where the variants' values may differ. */
function shownText(records: readonly CatalogRecord[], key: string, texts: ReadonlySet<string>): string {
  const [only] = texts;
  const amounts = records.flatMap(({ values }) => (typeof values[key] === 'number' ? [values[key] as number] : []));
  const written = (amount: number): string => (isPrice(key) ? amount.toFixed(2) : String(amount));
  if (amounts.length === records.length && texts.size > 1)
    return `${written(Math.min(...amounts))} – ${written(Math.max(...amounts))}`;
  if (texts.size > 1) return `${texts.size} values`;
  return amounts.length > 0 ? written(amounts[0]!) : only!.slice(0, longestShown).replaceAll('|', ', ');
}

const longestShown = 300;
const isPrice = (key: string): boolean => standardColumn.get(key)?.kind === 'price';

/**
 * A row of the table: `records` are the variants it stands for, as they stand; `facts` the same as the file has them.
 * A longer text is cut to 300 characters for showing.
 */
export function listedRow(
  records: readonly CatalogRecord[],
  facts: readonly CatalogRecord[],
  variant: string | null,
  columns: readonly string[],
  decisions: readonly Decision[],
  setup: Setup,
): ListedRow {
  const [first] = records;
  const cells = columns.map((key): [string, ListedCell] => {
    const texts = new Set(records.map((record) => cellText(record, key)));
    const sources = facts.map((fact) => sourceOf(fact, key, decisions, setup));
    return [
      key,
      {
        text: [...texts][0]!.slice(0, longestShown),
        shown: shownText(records, key, texts),
        different: texts.size,
        from: sources.some(({ from }) => from === 'here') ? 'here' : 'file',
        contested: sources.some(({ contested }) => contested),
      },
    ];
  });
  // As in `index/stock.ts`: a variant that the file hides does not count, but in a product it hides altogether.
  const shown = records.filter(({ values }) => values.hidden === undefined);
  const counted = shown.length > 0 ? shown : records;
  return {
    id: variant ?? first!.familyId,
    product: first!.familyId,
    variant,
    title: firstText(first!.values.title),
    picture: pictureOf(first!),
    variants: records.length,
    isSoldOut: counted.every(({ values }) => values[availability.key] === availability.soldOut),
    cells: Object.fromEntries(cells),
  };
}
