import type { CatalogRecord } from './record.ts';
import { type Twins, twinFinder } from './twins.ts';

/** What is known of a catalog once all its records were looked at. */
export interface SeenCatalog {
  readonly records: number;
  readonly twins: readonly Twins[];
}

/** Finds a catalog's twins in one reading, in catalog order, as far as it has one. Cost: that of the twins, and a name a family. */
export function catalogLooker(): {
  add(record: CatalogRecord): void;
  /** Whether the records of each family came one after another so far. */
  isTogether(): boolean;
  /** Null where they did not: nothing can be said of them in this order. */
  finish(): SeenCatalog | null;
} {
  const twins = twinFinder();
  const closed = new Set<string>();
  let records = 0;
  let family: string | null = null;
  let isApart = false;
  return {
    add(record) {
      if (isApart) return;
      if (record.familyId !== family) {
        if (family !== null) closed.add(family);
        family = record.familyId;
        isApart = closed.has(family);
        if (isApart) return;
      }
      records++;
      twins.add(record);
    },
    isTogether: () => !isApart,
    finish: () => (isApart ? null : { records, twins: twins.finish() }),
  };
}
