import { readAmount, readDate } from './readAmount.ts';
import type { AttributeValue, CatalogRecord } from './record.ts';
import { availability, namingColumns, standardColumn } from './standardColumns.ts';

/** Longest text kept of one value, in characters; a longer one is refused rather than cut unseen. */
export const longestValue = 32_000;
/** Most attributes of its own a catalog may bring; the index numbers attributes in one byte. */
export const mostAttributes = 200;

/** Why a row was not taken: the column to look at, and a sentence for the person who has the file. */
export interface RowRefusal {
  readonly column: string;
  readonly reason: string;
}

export type RowReading = { readonly record: CatalogRecord } | { readonly refusal: RowRefusal };

const refuse = (column: string, reason: string): RowReading => ({ refusal: { column, reason } });

/** The levels of a category path, each with those above it: `Paint > Gouache` gives `Paint` and `Paint > Gouache`. */
export function pathLevels(text: string): string[] {
  const names = text
    .split('>')
    .map((name) => name.trim())
    .filter(Boolean);
  return names.map((_, depth) => names.slice(0, depth + 1).join(' > '));
}

const splitList = (text: string): string[] => [
  ...new Set(
    text
      .split('|')
      .map((item) => item.trim())
      .filter(Boolean),
  ),
];

function readValue(column: string, text: string): AttributeValue | RowRefusal {
  const kind = standardColumn.get(column)?.kind;
  if (kind === 'number' || kind === 'price') {
    const amount = readAmount(text);
    return amount ?? { column, reason: `"${text.slice(0, 40)}" is not a number.` };
  }
  if (kind === 'date')
    return readDate(text) === null ? { column, reason: `"${text.slice(0, 40)}" is not a date.` } : text;
  if (kind === 'path') return pathLevels(text);
  if (kind === 'list') return splitList(text);
  return kind === undefined && text.includes('|') ? splitList(text) : text;
}

const isRefusal = (value: AttributeValue | RowRefusal): value is RowRefusal =>
  typeof value === 'object' && 'reason' in value;

/**
 * Reads one row, its cells by column name, as a record. A row without an id or a title, or with a figure that cannot
 * be read, is refused with the column and the reason; an empty cell just means the record lacks that attribute.
 */
export function readRow(cells: Readonly<Record<string, string>>): RowReading {
  const id = cells.id?.trim() ?? '';
  if (!id) return refuse('id', 'The row has no id.');
  const values: Record<string, AttributeValue> = {};
  for (const [column, raw] of Object.entries(cells)) {
    const text = raw.trim();
    if (!text || namingColumns.has(column)) continue;
    if (text.length > longestValue) return refuse(column, `The text is longer than ${longestValue} characters.`);
    const value = readValue(column, text);
    if (isRefusal(value)) return { refusal: value };
    if (Array.isArray(value) && value.length === 0) continue;
    values[column] = value;
  }
  if (!values.title) return refuse('title', 'The row has no title.');
  const stock = values.stock;
  values[availability.key] = typeof stock === 'number' && stock <= 0 ? availability.soldOut : availability.inStock;
  return {
    record: { id, familyId: cells.family?.trim() || id, sku: cells.sku?.trim() ?? '', values },
  };
}
