import type { EditRefusal, EntryChange } from '../../core/setup/entries.ts';
import { followedPartIn, followedParts } from '../../core/setup/following.ts';
import { leaderOf } from '../../core/setup/leaderOf.ts';
import type { Setup } from '../../core/setup/schema.ts';
import { type FollowablePart, isFollowable } from '../../core/setup/terms/followable.ts';
import type { ReleaseReader } from './releaseReader.ts';
import type { FollowedPart, IsFollowed } from './writeOutcome.ts';

type ReleasesOf = (storefront: string) => ReleaseReader;

/** Why a part cannot follow a storefront, in a sentence; null where it can. */
function whyNotFollow(releasesOf: ReleasesOf, storefront: string, part: FollowablePart, leader: string): string | null {
  if (leader === storefront) return 'A storefront cannot follow itself.';
  const live = releasesOf(leader).live();
  if (!live) return `Nothing is live in “${leader}” yet, so there is nothing to follow.`;
  const further = leaderOf(live.setup, part);
  return further === null ? null : `“${leader}” follows “${further}” in this itself. Follow “${further}”.`;
}

const notToFollow = (part: FollowablePart, message: string): EditRefusal => ({
  ...{ code: 'invalid-entry', part: 'following', key: part, field: 'storefront' },
  message,
});

/** Why changes of a draft are not made: one is in a part that follows another storefront's, or begins to follow what cannot be followed. */
export function refusedByFollowing(
  releasesOf: ReleasesOf,
  storefront: string,
  changes: readonly EntryChange[],
  stored: Setup,
): FollowedPart | EditRefusal | null {
  const follows = followedPartIn(changes, stored);
  if (follows !== null) return { code: 'followed', follows, storefront: leaderOf(stored, follows)! };
  for (const { part, key, after } of changes) {
    if (part !== 'following' || after === null || !isFollowable(key)) continue;
    const reason = whyNotFollow(releasesOf, storefront, key, (after as { readonly storefront: string }).storefront);
    if (reason) return notToFollow(key, reason);
  }
  return null;
}

/**
 * Why a setup is not published: it follows what cannot be followed by now, or begins to follow in a part in which others
 * follow it. So nobody ever follows through somebody else, and no two follow each other.
 */
export function refusedAsChain(
  releasesOf: ReleasesOf,
  storefront: string,
  setup: Setup,
  followerIn: (storefront: string, part: FollowablePart) => string | null,
): IsFollowed | EditRefusal | null {
  for (const [part, leader] of followedParts(setup)) {
    const reason = whyNotFollow(releasesOf, storefront, part, leader);
    if (reason) return notToFollow(part, reason);
    const follower = followerIn(storefront, part);
    if (follower !== null) return { code: 'is-followed', follows: part, storefront: follower };
  }
  return null;
}
