import type { Condition } from '../setup/terms/condition.ts';

/** What is in a collection: products that meet a condition, or those chosen by hand where it is null. */
export interface Members {
  readonly condition: Condition | null;
  readonly products: readonly string[];
  /** What it is called, where that is known. */
  readonly title?: string;
}
/** By id, the collections that a setup has; whatever their dates are, and whether or not their pages are shown. */
export type Collections = ReadonlyMap<string, Members>;
export const noCollections: Collections = new Map();

/** What a condition is held to besides a catalog. */
export interface Asked {
  /** In days since 1970. */
  readonly today: number;
  readonly collections: Collections;
}

/** A day on which collections are not asked about: a collection's own condition names none. */
export const onDay = (today: number): Asked => ({ today, collections: noCollections });
