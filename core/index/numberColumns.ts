import { type AttributeProfile, isNumeric } from '../catalog/profileAttributes.ts';
import { standardColumn } from '../catalog/standardColumns.ts';
import type { SectionArray, Sections } from './sections.ts';

/**
 * The amounts of one attribute: `numbers.KEY` by record and `familyNumbers.KEY` by family, NaN where there is none.
 */
export interface NumberColumn {
  ofRecord(record: number): number;
  ofFamily(family: number): number;
  /** Least and most over records that count as in `ValueColumn.countFamilies`, or null where none has an amount. */
  range(records: Uint32Array, failing: Uint32Array | null, ownBit: number): { least: number; most: number } | null;
}

/** One family's amount from its variants': the sum, the most or the least, as the standard column says (else the most). */
export function packNumbers(
  key: string,
  byRecord: Float64Array,
  recordFamily: Uint32Array,
  families: number,
): Record<string, SectionArray> {
  const how = standardColumn.get(key)?.ofFamily ?? 'most';
  const byFamily = new Float64Array(families).fill(Number.NaN);
  for (let record = 0; record < byRecord.length; record++) {
    const amount = byRecord[record]!;
    if (Number.isNaN(amount)) continue;
    const family = recordFamily[record]!;
    const before = byFamily[family]!;
    if (Number.isNaN(before)) byFamily[family] = amount;
    else if (how === 'sum') byFamily[family] = before + amount;
    else byFamily[family] = how === 'most' ? Math.max(before, amount) : Math.min(before, amount);
  }
  return { [`numbers.${key}`]: byRecord, [`familyNumbers.${key}`]: byFamily };
}

export function openNumberColumns(
  sections: Sections,
  attributes: readonly AttributeProfile[],
): Map<string, NumberColumn> {
  const columns = new Map<string, NumberColumn>();
  for (const { key } of attributes.filter(isNumeric)) {
    const byRecord = sections.f64(`numbers.${key}`);
    const byFamily = sections.f64(`familyNumbers.${key}`);
    columns.set(key, {
      ofRecord: (record) => byRecord[record]!,
      ofFamily: (family) => byFamily[family]!,
      range(records, failing, ownBit) {
        let least = Number.POSITIVE_INFINITY;
        let most = Number.NEGATIVE_INFINITY;
        for (let at = 0; at < records.length; at++) {
          const record = records[at]!;
          if (failing !== null && (failing[record]! & ~ownBit) !== 0) continue;
          const amount = byRecord[record]!;
          if (amount < least) least = amount;
          if (amount > most) most = amount;
        }
        return least <= most ? { least, most } : null;
      },
    });
  }
  return columns;
}
