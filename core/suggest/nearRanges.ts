import type { EntryRange } from './bestFirst.ts';

/** Texts in ascending order, each a stretch of units: entry `n` is `units[at[n]]` up to `units[endOf(n)]`, exclusive. */
export interface SortedEntries {
  readonly units: Uint16Array;
  readonly at: Uint32Array;
  endOf(entry: number): number;
}

const ended = -1;

/**
 * Ranges of the entries of which some beginning differs from a text by at most so many mistakes (`editDistance`: a letter
 * more, fewer, another, or two swapped), the first letter being right; without any mistake it is the one range of those
 * that begin so. Ranges may lie within each other. Cost: without mistakes two bisections; with one, about as many
 * bisections as the text has letters times those that may follow.
 */
export function nearRanges({ units, at, endOf }: SortedEntries, sought: string, mistakes: number): EntryRange[] {
  if (sought === '') return [];
  const letterAt = (entry: number, depth: number): number => {
    const unit = at[entry]! + depth;
    return unit < endOf(entry) ? units[unit]! : ended;
  };
  /** The first entry of a range, alike up to `depth`, whose letter there is above `letter`. */
  const beyond = (letter: number, depth: number, from: number, to: number): number => {
    let [low, high] = [from, to];
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (letterAt(middle, depth) <= letter) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  const letters = Array.from({ length: sought.length }, (_, index) => sought.charCodeAt(index));
  const withLetter = (letter: number, depth: number, [from, to]: EntryRange): EntryRange => {
    const begin = beyond(letter - 1, depth, from, to);
    return [begin, beyond(letter, depth, begin, to)];
  };
  if (mistakes === 0) {
    let range: EntryRange = [0, at.length];
    for (let depth = 0; depth < letters.length && range[0] < range[1]; depth++)
      range = withLetter(letters[depth]!, depth, range);
    return range[0] < range[1] ? [range] : [];
  }
  const found: EntryRange[] = [];
  const size = letters.length;
  /** By depth, the mistakes of the text so far against each beginning of what is sought: nothing is made anew a step. */
  const rows = Array.from({ length: size + mistakes + 2 }, () => new Int32Array(size + 1));
  for (let column = 0; column <= size; column++) rows[0]![column] = column;
  /** Follows every letter that goes on from a range whose texts are alike up to `depth`. */
  const follow = ([from, to]: EntryRange, depth: number): void => {
    const row = rows[depth]!;
    const next = rows[depth + 1]!;
    for (let begin = beyond(ended, depth, from, to); begin < to; ) {
      const letter = letterAt(begin, depth);
      const range: EntryRange = [begin, beyond(letter, depth, begin, to)];
      begin = range[1];
      if (depth === 0 && letter !== letters[0]) continue;
      const last = depth > 0 ? letterAt(range[0], depth - 1) : ended;
      let least = depth + 1;
      next[0] = least;
      for (let column = 1; column <= size; column++) {
        const other = letters[column - 1]!;
        let edits = Math.min(row[column]! + 1, next[column - 1]! + 1, row[column - 1]! + (letter === other ? 0 : 1));
        if (depth > 0 && column > 1 && letter === letters[column - 2] && last === other)
          edits = Math.min(edits, rows[depth - 1]![column - 2]! + 1);
        next[column] = edits;
        if (edits < least) least = edits;
      }
      // However the text goes on, it stays within the mistakes.
      if (next[size]! <= mistakes) found.push(range);
      else if (least <= mistakes) follow(range, depth + 1);
    }
  };
  follow([0, at.length], 0);
  return found;
}
