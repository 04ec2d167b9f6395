import { toJsonLd } from './jsonLd.ts';
import { type AttributeValue, type CatalogRecord, textsOf } from './record.ts';
import { availability } from './standardColumns.ts';
import { csvLine } from './writeCsv.ts';

export const exportFormats = ['csv', 'jsonl', 'jsonld'] as const;
export type ExportFormat = (typeof exportFormats)[number];

/** A file is written piece by piece: what comes before the records, each record, and what comes after. */
export interface CatalogWriter {
  readonly begin: string;
  record(record: CatalogRecord, index: number): string;
  readonly end: string;
}

/** What a reader computes again from the rest. */
const computed = new Set([availability.key, 'contains']);

const asText = (key: string, value: AttributeValue | undefined): string => {
  if (key === 'category') return textsOf(value).at(-1) ?? '';
  // A hidden record says so in a word that is read as yes.
  return key === 'hidden' && value !== undefined ? 'yes' : textsOf(value).join('|');
};

const asJson = (key: string, value: AttributeValue): unknown =>
  key === 'category' || key === 'hidden' ? asText(key, value) : typeof value === 'object' ? [...value] : value;

/**
 * Writes a catalog so that bringing it in again gives the same records. `keys` are the attributes that any record has.
 * In CSV lists are joined by "|" and cells that a spreadsheet would take for a formula are neutralised.
 */
export function catalogWriter(format: ExportFormat, keys: readonly string[], currency: string): CatalogWriter {
  const columns = keys.filter((key) => !computed.has(key) && key !== 'sku');
  switch (format) {
    case 'csv':
      return {
        begin: `\uFEFF${csvLine(['id', 'family', 'sku', ...columns])}`,
        record: ({ id, familyId, sku, values }) =>
          csvLine([id, familyId, sku, ...columns.map((key) => asText(key, values[key]))]),
        end: '',
      };
    case 'jsonl':
      return {
        begin: '',
        record: ({ id, familyId, sku, values }) => {
          const own = Object.entries(values).filter(([key]) => !computed.has(key));
          const item = { id, family: familyId, ...(sku && { sku }) };
          return `${JSON.stringify({ ...item, ...Object.fromEntries(own.map(([key, value]) => [key, asJson(key, value)])) })}\n`;
        },
        end: '',
      };
    case 'jsonld':
      return {
        begin: '{"@context":"https://schema.org","@graph":[\n',
        record: (record, index) => `${index > 0 ? ',\n' : ''}${JSON.stringify(toJsonLd(record, currency))}`,
        end: '\n]}\n',
      };
  }
}
