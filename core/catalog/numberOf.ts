import { readAmount, readDate } from './readAmount.ts';
import type { AttributeValue } from './record.ts';
import type { AttributeKind } from './standardColumns.ts';

/** A value as the number columns hold it: an amount, days since 1970 for a date, NaN where there is none. */
export function numberOf(value: AttributeValue | undefined, kind: AttributeKind): number {
  if (typeof value === 'number') return value;
  if (typeof value !== 'string') return Number.NaN;
  return (kind === 'date' ? readDate(value) : readAmount(value)) ?? Number.NaN;
}
