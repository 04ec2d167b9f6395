/** Where a number stands among ascending ones, or where it would: the first place of one that is not less. Bisection. */
export function placeAmong(sorted: Uint32Array, number: number): number {
  let low = 0;
  let high = sorted.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (sorted[middle]! < number) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The place of a number among ascending ones, or -1. */
export function indexAmong(sorted: Uint32Array, number: number): number {
  const place = placeAmong(sorted, number);
  return sorted[place] === number ? place : -1;
}

/** Ascending numbers with some others put among them, each once. The same array where there are none. Cost: one pass. */
export function withMore(sorted: Uint32Array, more: readonly number[]): Uint32Array {
  const others = [...new Set(more)].filter((number) => indexAmong(sorted, number) < 0).sort((a, b) => a - b);
  if (others.length === 0) return sorted;
  const all = new Uint32Array(sorted.length + others.length);
  let from = 0;
  let to = 0;
  for (const number of others) {
    const place = placeAmong(sorted, number);
    all.set(sorted.subarray(from, place), to);
    to += place - from;
    all[to++] = number;
    from = place;
  }
  all.set(sorted.subarray(from), to);
  return all;
}
