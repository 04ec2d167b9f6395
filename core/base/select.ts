/** Negative where the first item stands before the second; never 0 for different items. */
export type Compare = (a: number, b: number) => number;

/** Of some items, in the order given, those that are not known to stand behind `last`: a quick look before comparing. */
export type Sieve = (items: Uint32Array, last: number) => Uint32Array;

/** Items from which on a sieve is worth it, and how many are compared first to find what the others must stand before. */
const manyItems = 4096;
const comparedFirst = 1024;

/**
 * The first `wanted` of the items in order. Cost: O(n log wanted) comparisons at most, and close to n where few items
 * displace what is kept, by a heap whose root is the last item kept. `sieve` must agree with `compare`.
 */
export function selectFirst(items: Uint32Array, wanted: number, compare: Compare, sieve?: Sieve): Uint32Array {
  if (items.length <= wanted * 2) return items.slice().sort(compare).subarray(0, wanted);
  const heap = items.slice(0, wanted);
  const sink = (from: number): void => {
    let at = from;
    for (;;) {
      let last = at;
      for (const child of [2 * at + 1, 2 * at + 2])
        if (child < wanted && compare(heap[child]!, heap[last]!) > 0) last = child;
      if (last === at) return;
      [heap[at], heap[last]] = [heap[last]!, heap[at]!];
      at = last;
    }
  };
  for (let at = (wanted >> 1) - 1; at >= 0; at--) sink(at);
  const offer = (others: Uint32Array): void => {
    for (let at = 0; at < others.length; at++) {
      if (compare(others[at]!, heap[0]!) >= 0) continue;
      heap[0] = others[at]!;
      sink(0);
    }
  };
  if (sieve && items.length >= manyItems && wanted < comparedFirst) {
    offer(items.subarray(wanted, comparedFirst));
    offer(sieve(items.subarray(comparedFirst), heap[0]!));
  } else offer(items.subarray(wanted));
  return heap.sort(compare);
}

const bits = 10;
const lowMask = (1 << bits) - 1;

/** The k-th largest of scores from 0 to 2^20 - 1, k from 1 to n; two counting passes over the scores. */
export function kthLargest(scores: Int32Array, k: number): number {
  const pass = (wantedHigh: number, rank: number): readonly [number, number] => {
    const counts = new Uint32Array(lowMask + 1);
    for (let at = 0; at < scores.length; at++) {
      const score = scores[at]!;
      if (wantedHigh < 0) counts[score >> bits]!++;
      else if (score >> bits === wantedHigh) counts[score & lowMask]!++;
    }
    let left = rank;
    let bucket = lowMask;
    while (left > counts[bucket]!) left -= counts[bucket--]!;
    return [bucket, left];
  };
  const [high, left] = pass(-1, k);
  return (high << bits) | pass(high, left)[0];
}
