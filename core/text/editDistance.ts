/** Three rows of distances, kept from call to call: made anew for each, they cost more than filling them. */
let rows = [0, 1, 2].map(() => new Int32Array(64));

/**
 * Edits between two words: insertions, deletions, substitutions and swaps of neighbours, each counting one (the
 * optimal string alignment distance). Answers `limit + 1` as soon as the distance is known to exceed `limit`.
 *
 * Cost: O(length of a × length of b), stopping early on the limit.
 */
export function editDistance(a: string, b: string, limit: number): number {
  if (Math.abs(a.length - b.length) > limit) return limit + 1;
  if (b.length >= rows[0]!.length) rows = rows.map(() => new Int32Array(b.length * 2));
  let [beforeLast, last, current] = rows as [Int32Array, Int32Array, Int32Array];
  for (let column = 0; column <= b.length; column++) last[column] = column;
  let letterBefore = -1;
  for (let row = 1; row <= a.length; row++) {
    const letter = a.charCodeAt(row - 1);
    let otherBefore = -1;
    let left = row;
    let least = row;
    current[0] = row;
    for (let column = 1; column <= b.length; column++) {
      const other = b.charCodeAt(column - 1);
      let edits = Math.min(last[column]! + 1, left + 1, last[column - 1]! + (letter === other ? 0 : 1));
      if (letter === otherBefore && letterBefore === other) edits = Math.min(edits, beforeLast[column - 2]! + 1);
      current[column] = edits;
      if (edits < least) least = edits;
      left = edits;
      otherBefore = other;
    }
    if (least > limit) return limit + 1;
    letterBefore = letter;
    [beforeLast, last, current] = [last, current, beforeLast];
  }
  return Math.min(last[b.length]!, limit + 1);
}
