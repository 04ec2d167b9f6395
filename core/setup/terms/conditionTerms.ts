/**
 * How one test of a condition compares. A list of values holds where a product has any of them; `isNot` where it has none
 * of them, so also where it has no value at all. Of collections likewise. Days are written as 2026-12-01.
 */
export const comparisons = [
  'is',
  'isNot',
  'contains',
  'startsWith',
  'between',
  'before',
  'after',
  'lastDays',
  'hasValue',
  'hasNone',
  'inStock',
  'soldOut',
  'reduced',
  'inCollection',
  'notInCollection',
] as const;
export type Comparison = (typeof comparisons)[number];

/** Whether all tests of a group must hold, or one is enough. */
export const matches = ['all', 'any'] as const;
export type Match = (typeof matches)[number];

/** Comparisons that are about no attribute, and need nothing to compare with. */
export const withoutAttribute: ReadonlySet<Comparison> = new Set(['inStock', 'soldOut', 'reduced']);
/** Those that are about collections. */
export const ofCollections: ReadonlySet<Comparison> = new Set(['inCollection', 'notInCollection']);
