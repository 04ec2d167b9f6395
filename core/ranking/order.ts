import { type Compare, kthLargest, type Sieve, selectFirst } from '../base/select.ts';
import type { Candidates } from './groupFamilies.ts';
import type { Signal } from './signals.ts';

/** Compares candidates by signals; one without a value stands last whatever the direction. 0 where all are equal. */
export function compareBySignals(signals: readonly Signal[], { families, representatives }: Candidates): Compare {
  const byEach = signals.map(({ keys, byRecord }): Compare => {
    const owner = byRecord ? representatives : families;
    return (a, b) => {
      const first = keys[owner[a]!]!;
      const other = keys[owner[b]!]!;
      return first < other ? -1 : first > other ? 1 : 0;
    };
  });
  // Nested and not in a loop: this is asked for every product of a close call, and a loop over lists of arrays was
  // measured to take half as long again.
  return byEach.reduceRight<Compare>(
    (rest, compare) => (a, b) => compare(a, b) || rest(a, b),
    () => 0,
  );
}

/**
 * Passes over candidates that the first two signals put behind another: one look at a typed array each, where comparing
 * costs a call for every signal. `list` says which candidate an item is, where it is not its own number.
 */
export function sieveBySignals(
  signals: readonly Signal[],
  { families, representatives }: Candidates,
  list: Uint32Array | null = null,
): Sieve | undefined {
  const [first, other = first] = signals;
  if (!first || !other) return undefined;
  const firstKeys = first.keys;
  const otherKeys = other.keys;
  const firstOwner = first.byRecord ? representatives : families;
  const otherOwner = other.byRecord ? representatives : families;
  return (items, last) => {
    const candidate = list ? list[last]! : last;
    const firstLimit = firstKeys[firstOwner[candidate]!]!;
    const otherLimit = otherKeys[otherOwner[candidate]!]!;
    const left = new Uint32Array(items.length);
    let count = 0;
    for (let at = 0; at < items.length; at++) {
      const item = list ? list[items[at]!]! : items[at]!;
      const key = firstKeys[firstOwner[item]!]!;
      if (key > firstLimit || (key === firstLimit && otherKeys[otherOwner[item]!]! > otherLimit)) continue;
      left[count++] = items[at]!;
    }
    return left.subarray(0, count);
  };
}

export interface Ordered {
  /** Numbers of the first candidates, in order. */
  readonly order: Uint32Array;
  /** For each of them the score of its close-call group's leader. */
  readonly leaders: Int32Array;
}

/** The first group of close calls, its members in no particular order. */
function firstGroup(scores: Int32Array, width: number): { readonly leader: number; readonly members: Uint32Array } {
  let leader = 0;
  for (let at = 0; at < scores.length; at++) if (scores[at]! > leader) leader = scores[at]!;
  const least = leader - width;
  const members = new Uint32Array(scores.length);
  let size = 0;
  for (let at = 0; at < scores.length; at++) {
    members[size] = at;
    // The sign bit of the difference, so that nothing need be guessed: half may be members, in no order.
    size += (least - 1 - scores[at]!) >>> 31;
  }
  return { leader, members: members.subarray(0, size) };
}

/**
 * Puts candidates in order: groups of close calls are formed from the highest score down, a group being everything
 * within `width` of its first member; inside a group the tie-breakers decide. Only the first `wanted` are put in order.
 *
 * `scores` are thousandths of a point after pulls, 0 to 1,000,000. `compare` decides inside a group and must be total;
 * `sieve` may spare it most of a large group.
 * Cost: a few passes over the scores, and sorting of what can reach the first `wanted` places.
 */
export function orderCandidates(
  scores: Int32Array,
  width: number,
  wanted: number,
  compare: Compare,
  sieve?: Sieve,
): Ordered {
  const count = Math.min(wanted, scores.length);
  if (count === 0) return { order: new Uint32Array(0), leaders: new Int32Array(0) };
  const close = firstGroup(scores, width);
  // Searches of common words find thousands that match alike: then the first group has all that is wanted.
  if (close.members.length >= count)
    return {
      order: selectFirst(close.members, count, compare, sieve),
      leaders: new Int32Array(count).fill(close.leader),
    };
  const order = new Uint32Array(count);
  const leaders = new Int32Array(count);
  const threshold = kthLargest(scores, count);
  const above: number[] = [];
  for (let at = 0; at < scores.length; at++) if (scores[at]! > threshold) above.push(at);
  above.sort((a, b) => scores[b]! - scores[a]! || a - b);
  let placed = 0;
  let next = 0;
  const place = (group: Uint32Array, leader: number): void => {
    order.set(group, placed);
    leaders.fill(leader, placed, placed + group.length);
    placed += group.length;
  };
  while (placed < count) {
    const leader = next < above.length ? scores[above[next]!]! : threshold;
    const least = leader - width;
    // Only the group that reaches down to the threshold can have members outside the list above it; it may be long.
    const reaches = least <= threshold;
    const group = new Uint32Array(reaches ? scores.length : above.length - next);
    let size = 0;
    while (next < above.length && scores[above[next]!]! >= least) group[size++] = above[next++]!;
    if (reaches)
      for (let at = 0; at < scores.length; at++) {
        const score = scores[at]!;
        if (score <= threshold && score >= least) group[size++] = at;
      }
    place(selectFirst(group.subarray(0, size), Math.min(size, count - placed), compare, sieve), leader);
  }
  return { order, leaders };
}
