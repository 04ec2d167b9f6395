import type { Snapshot } from '../index/snapshot.ts';
import type { PriceLimits } from '../query/priceLimits.ts';

/** The records whose price a limit allows; one without a price is not known to be allowed. */
export function affordable({ numbers }: Snapshot, records: Uint32Array, { from, to }: PriceLimits): Uint32Array {
  const prices = numbers.get('price');
  if (!prices) return records;
  return records.filter((record) => {
    const price = prices.ofRecord(record);
    return (from === null || price >= from) && (to === null || price <= to) && !Number.isNaN(price);
  });
}
