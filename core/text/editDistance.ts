/**
 * Edits between two words: insertions, deletions, substitutions and swaps of neighbours, each counting one (the
 * optimal string alignment distance). Answers `limit + 1` as soon as the distance is known to exceed `limit`.
 *
 * Cost: O(length of a × length of b), stopping early on the limit.
 */
export function editDistance(a: string, b: string, limit: number): number {
  if (Math.abs(a.length - b.length) > limit) return limit + 1;
  let beforeLast: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, column) => column);
  for (let row = 1; row <= a.length; row++) {
    const current = [row];
    let least = row;
    for (let column = 1; column <= b.length; column++) {
      const same = a[row - 1] === b[column - 1];
      let edits = Math.min(last[column]! + 1, current[column - 1]! + 1, last[column - 1]! + (same ? 0 : 1));
      if (row > 1 && column > 1 && a[row - 1] === b[column - 2] && a[row - 2] === b[column - 1])
        edits = Math.min(edits, beforeLast[column - 2]! + 1);
      current.push(edits);
      if (edits < least) least = edits;
    }
    if (least > limit) return limit + 1;
    beforeLast = last;
    last = current;
  }
  return Math.min(last[b.length]!, limit + 1);
}

/** Edits allowed for a word of so many letters: none below 4, one below 7, two from there on. */
export function allowedEdits(length: number): 0 | 1 | 2 {
  if (length < 4) return 0;
  return length < 7 ? 1 : 2;
}
