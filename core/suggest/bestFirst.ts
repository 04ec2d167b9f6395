/** Entries of one block, of which the best is kept beside. */
const blockSize = 64;

/** The best score of each block of entries. Cost: a pass. */
export function blockBests(scores: Float64Array): Float64Array {
  const bests = new Float64Array(Math.ceil(scores.length / blockSize)).fill(Number.NEGATIVE_INFINITY);
  for (let at = 0; at < scores.length; at++) {
    const block = Math.floor(at / blockSize);
    if (scores[at]! > bests[block]!) bests[block] = scores[at]!;
  }
  return bests;
}

/** Entries [from, to) of an index. */
export type EntryRange = readonly [from: number, to: number];

/** How many entries are sorted out at first; each further round sorts out so many times as many. */
const firstRound = 64;
const growth = 4;

/**
 * Entries of some ranges, those with the highest score first, of equal ones in their order: as many as are asked for. Cost:
 * a look at each block's best, and at the entries of blocks that hold one of the best; lazily, so that whoever takes the
 * first few pays for these. A range may lie within another; its entries then come twice.
 */
export function* bestFirst(
  ranges: readonly EntryRange[],
  scores: Float64Array,
  bests: Float64Array,
): Generator<number, void, undefined> {
  const size = ranges.reduce((sum, [from, to]) => sum + to - from, 0);
  for (let wanted = firstRound, given = 0; given < size; wanted *= growth) {
    const found = best(ranges, scores, bests, Math.min(wanted, size));
    for (; given < found.length; given++) yield found[given]!;
  }
}

/** The first `wanted` of all in order. */
function best(ranges: readonly EntryRange[], scores: Float64Array, bests: Float64Array, wanted: number): Uint32Array {
  const kept = new Uint32Array(wanted);
  let size = 0;
  const isBefore = (one: number, other: number): boolean =>
    scores[one]! > scores[other]! || (scores[one] === scores[other] && one < other);
  const offer = (entry: number): void => {
    if (size === wanted && !isBefore(entry, kept[size - 1]!)) return;
    let [low, high] = [0, size];
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (isBefore(entry, kept[middle]!)) high = middle;
      else low = middle + 1;
    }
    kept.copyWithin(low + 1, low, Math.min(size, wanted - 1));
    kept[low] = entry;
    if (size < wanted) size++;
  };
  for (const [from, to] of ranges)
    for (let at = from; at < to; ) {
      const block = Math.floor(at / blockSize);
      const end = Math.min(to, (block + 1) * blockSize);
      const canHold = size < wanted || bests[block]! >= scores[kept[size - 1]!]!;
      if (canHold) for (; at < end; at++) offer(at);
      else at = end;
    }
  return kept.subarray(0, size);
}
