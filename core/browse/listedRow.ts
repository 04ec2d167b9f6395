import { type AttributeValue, type CatalogRecord, firstText, textsOf } from '../catalog/record.ts';
import { availability } from '../catalog/standardColumns.ts';
import { standingOf } from '../rules/decisions.ts';
import type { Decision, Setup } from '../setup/schema.ts';

/** One cell of the catalog's table. */
export interface ListedCell {
  /** As text, lists joined by "|" so that they can be typed again; empty where there is no value. */
  readonly text: string;
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

/** A value as it is typed into a cell. */
export function cellText(value: AttributeValue | undefined): string {
  return textsOf(value).join('|');
}

const shownValue = (record: CatalogRecord, key: string): AttributeValue | undefined =>
  key === 'sku'
    ? record.sku || undefined
    : key === 'category'
      ? textsOf(record.values.category).at(-1)
      : record.values[key];

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
    const texts = new Set(records.map((record) => cellText(shownValue(record, key))));
    const standings = facts.map((fact) => standingOf(fact, key, decisions, setup));
    return [
      key,
      {
        text: [...texts][0]!.slice(0, 300),
        different: texts.size,
        from: standings.some(({ from }) => from === 'here') ? 'here' : 'file',
        contested: standings.some(({ contested }) => contested),
      },
    ];
  });
  return {
    id: variant ?? first!.familyId,
    product: first!.familyId,
    variant,
    title: firstText(first!.values.title),
    picture: firstText(first!.values.picture) || null,
    variants: records.length,
    isSoldOut: records.every(({ values }) => values[availability.key] === availability.soldOut),
    cells: Object.fromEntries(cells),
  };
}
