import type { Candidates } from './groupFamilies.ts';
import { type Compare, kthLargest, selectFirst } from './select.ts';
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
  let size = 0;
  for (let at = 0; at < scores.length; at++) if (scores[at]! >= least) size++;
  const members = new Uint32Array(size);
  for (let at = 0, next = 0; next < size; at++) if (scores[at]! >= least) members[next++] = at;
  return { leader, members };
}

/**
 * Puts candidates in order: groups of close calls are formed from the highest score down, a group being everything
 * within `width` of its first member; inside a group the tie-breakers decide. Only the first `wanted` are put in order.
 *
 * `scores` are thousandths of a point after pulls, 0 to 1,000,000. `compare` decides inside a group and must be total.
 * Cost: a few passes over the scores, and sorting of what can reach the first `wanted` places.
 */
export function orderCandidates(scores: Int32Array, width: number, wanted: number, compare: Compare): Ordered {
  const count = Math.min(wanted, scores.length);
  if (count === 0) return { order: new Uint32Array(0), leaders: new Int32Array(0) };
  const close = firstGroup(scores, width);
  // Searches of common words find thousands that match alike: then the first group has all that is wanted.
  if (close.members.length >= count)
    return { order: selectFirst(close.members, count, compare), leaders: new Int32Array(count).fill(close.leader) };
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
    place(selectFirst(group.subarray(0, size), Math.min(size, count - placed), compare), leader);
  }
  return { order, leaders };
}
