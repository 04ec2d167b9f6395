import { named, own } from '../base/named.ts';

/** What one attribute of one record holds: a text, an amount, or several texts (tags, the levels of a category). */
export type AttributeValue = string | number | readonly string[];

/** One row of a catalog: one variant. Records sharing `familyId` are the variants of one product. */
export interface CatalogRecord {
  readonly id: string;
  readonly familyId: string;
  readonly sku: string;
  /** By attribute key; an attribute the record does not have is absent, never an empty text. */
  readonly values: Readonly<Record<string, AttributeValue>>;
}

/** The texts an attribute value is read as, one for each value. A number is read as it is written plainly. */
export function textsOf(value: AttributeValue | undefined): readonly string[] {
  if (value === undefined) return [];
  if (typeof value === 'number') return [String(value)];
  return typeof value === 'string' ? [value] : value;
}

/** The first text of a value, or the fallback: for places that show just one. */
export function firstText(value: AttributeValue | undefined, fallback = ''): string {
  return textsOf(value)[0] ?? fallback;
}

/** Values in order of their keys, so that equal records are written alike. */
export function inKeyOrder(values: Readonly<Record<string, AttributeValue>>): Record<string, AttributeValue> {
  const ordered = named<AttributeValue>();
  // Without a comparison of its own, sorting compares UTF-16 units, and every import sorts every record's.
  for (const key of Object.keys(values).sort()) ordered[key] = values[key]!;
  return ordered;
}

/** What a record holds under a key, which may be the name of something every object has. */
export const heldBy = ({ values }: Pick<CatalogRecord, 'values'>, key: string): AttributeValue | undefined =>
  own(values, key);
