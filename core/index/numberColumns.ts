import { indexAmong } from '../base/sorted.ts';
import { type AttributeProfile, isNumeric } from '../catalog/profileAttributes.ts';
import { standardColumn } from '../catalog/standardColumns.ts';
import type { Selection } from './familyCounts.ts';
import type { SectionArray, Sections } from './sections.ts';

/**
 * The amounts of one attribute: `numbers.KEY` by record and `familyNumbers.KEY` by family, NaN where there is none.
 */
export interface NumberColumn {
  ofRecord(record: number): number;
  ofFamily(family: number): number;
  /** Least and most over records that count as in `ValueColumn.countFamilies`, or null where none has an amount. */
  range(records: Uint32Array, failing: Uint32Array | null, ownBit: number): { least: number; most: number } | null;
  /**
   * How many families have an amount in each of `bars` equal parts from `least` to `most`, over records that count as
   * in `range`; a family counts once in each part it has a variant in. Cost: a pass over the records.
   */
  histogram(selection: Selection, ownBit: number, ends: { least: number; most: number }, bars: number): Uint32Array;
}

/** Where at least one in so many records is found, the ends are looked for from the ends of the whole catalog. */
const oneIn = 50;
/** Records looked at so, at each end, before all that are found are gone through after all. */
const mostTries = 1000;

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

/** Orders by the buffer their amounts stand in and where: what patches left as it is shares them. */
const orders = new WeakMap<ArrayBufferLike, Map<number, Uint32Array>>();
/** The records that have an amount, least first. Made when first asked for: a sort of them all. */
function orderOf(byRecord: Float64Array): Uint32Array {
  const known = orders.get(byRecord.buffer) ?? new Map<number, Uint32Array>();
  orders.set(byRecord.buffer, known);
  const order =
    known.get(byRecord.byteOffset) ??
    Uint32Array.from(byRecord.keys())
      .filter((record) => !Number.isNaN(byRecord[record]!))
      .sort((a, b) => byRecord[a]! - byRecord[b]!);
  known.set(byRecord.byteOffset, order);
  return order;
}

export function openNumberColumns(
  sections: Sections,
  attributes: readonly AttributeProfile[],
  recordFamily: Uint32Array,
): Map<string, NumberColumn> {
  const columns = new Map<string, NumberColumn>();
  for (const { key } of attributes.filter(isNumeric)) {
    const byRecord = sections.f64(`numbers.${key}`);
    const byFamily = sections.f64(`familyNumbers.${key}`);
    const inOrder = (): Uint32Array => orderOf(byRecord);
    /** The first record that counts, from the end that `step` leaves; -1 where it is not among the first looked at. */
    const firstOf = (counts: (record: number) => boolean, step: 1 | -1): number => {
      const order = inOrder();
      let at = step === 1 ? 0 : order.length - 1;
      for (let tries = 0; tries < mostTries && at >= 0 && at < order.length; tries++, at += step)
        if (counts(order[at]!)) return order[at]!;
      return -1;
    };
    columns.set(key, {
      ofRecord: (record) => byRecord[record]!,
      ofFamily: (family) => byFamily[family]!,
      range(records, failing, ownBit) {
        if (records.length * oneIn > byRecord.length) {
          const counts = (record: number): boolean =>
            (failing === null || (failing[record]! & ~ownBit) === 0) && indexAmong(records, record) >= 0;
          const first = firstOf(counts, 1);
          const last = first < 0 ? -1 : firstOf(counts, -1);
          if (last >= 0) return { least: byRecord[first]!, most: byRecord[last]! };
        }
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
      histogram({ records, failing }, ownBit, { least, most }, bars) {
        const counts = new Uint32Array(bars);
        const lastFamily = new Uint32Array(bars).fill(0xffffffff);
        const scale = most > least ? bars / (most - least) : 0;
        for (let at = 0; at < records.length; at++) {
          const record = records[at]!;
          if (failing !== null && (failing[record]! & ~ownBit) !== 0) continue;
          const amount = byRecord[record]!;
          if (!(amount >= least && amount <= most)) continue;
          const bar = Math.min(bars - 1, Math.floor((amount - least) * scale));
          const family = recordFamily[record]!;
          if (lastFamily[bar] === family) continue;
          lastFamily[bar] = family;
          counts[bar]!++;
        }
        return counts;
      },
    });
  }
  return columns;
}
