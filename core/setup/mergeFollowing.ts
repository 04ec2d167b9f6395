import { changesBetween } from './entries.ts';
import { leaderOf } from './leaderOf.ts';
import type { MergeSide } from './mergeValues.ts';
import type { Setup } from './schema.ts';
import { type FollowablePart, followable, followableParts } from './terms/followable.ts';

/** What becomes of one part: which storefront it follows after a merge, and whether that is for somebody to say. */
interface MergedFollowing {
  readonly part: FollowablePart;
  readonly leader: string | null;
}

/**
 * Which parts follow which storefront after a merge. One side's change of that holds, but for two cases that are asked
 * about: both changed it otherwise, or one began to follow while the other changed the part's own entries, which
 * following would hide. `settle` answers which side holds; it notes the question where nobody has said yet.
 */
export function mergeFollowing(
  { base, ours, theirs }: { readonly base: Setup; readonly ours: Setup; readonly theirs: Setup },
  settle: (part: FollowablePart, reason: string | null) => MergeSide,
): MergedFollowing[] {
  return followableParts.map((part): MergedFollowing => {
    const [was, mine, other] = [leaderOf(base, part), leaderOf(ours, part), leaderOf(theirs, part)];
    const leaders = { base: was, ours: mine, theirs: other };
    const changedOwn = (setup: Setup, leader: string | null): boolean =>
      was === null && leader === null && changesBetween(base, { ...base, [part]: setup[part] }).length > 0;
    if (mine === other) return { part, leader: mine };
    const hides = `${followable[part]} were changed on one side and follow another storefront on the other, which hides those changes.`;
    if (was === other)
      return { part, leader: mine !== null && changedOwn(theirs, other) ? leaders[settle(part, hides)] : mine };
    if (was === mine)
      return { part, leader: other !== null && changedOwn(ours, mine) ? leaders[settle(part, hides)] : other };
    return { part, leader: leaders[settle(part, null)] };
  });
}
