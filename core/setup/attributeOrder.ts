/** Weights run from 0 to 100 in tenths. */
const tenth = (weight: number): number => Math.round(weight * 10) / 10;

/**
 * The weight that puts an attribute at a place in the order of importance: midway between its new neighbours, or one
 * above (below) the first (last). `others` are the other weights, heaviest first; `place` counts from 0. Neighbours
 * that are equal leave no room between them, and the attribute then counts the same as they do.
 */
export function weightForPlace(others: readonly number[], place: number): number {
  const above = others[place - 1];
  const below = others[place];
  if (above === undefined && below === undefined) return 10;
  if (above === undefined) return Math.min(100, tenth(below! + 1));
  if (below === undefined) return tenth(above > 1 ? above - 1 : above / 2);
  return tenth((above + below) / 2);
}
