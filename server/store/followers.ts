import { type Reached, reachedBy } from '../../core/setup/following.ts';
import { leaderOf } from '../../core/setup/leaderOf.ts';
import type { Setup } from '../../core/setup/schema.ts';
import type { FollowablePart } from '../../core/setup/terms/followable.ts';
import type { Db } from './database.ts';
import { oncePerDatabase } from './oncePerDatabase.ts';
import type { ReleaseReader } from './releaseReader.ts';

/** Which storefronts follow others, by what is live in them. */
export interface FollowersReader {
  /** Storefronts whose live setup follows any part of this one, oldest first. */
  followers(storefront: string): string[];
  /** A storefront whose live setup follows a part of this one; null where there is none. */
  followerIn(storefront: string, part: FollowablePart): string | null;
  /** Storefronts in which a part that follows this one would be other if `setup` were live here. */
  reach(storefront: string, setup: Setup): Reached[];
}

const statementsOf = oncePerDatabase((db) => {
  const followersOf = db
    .prepare<[string, string], string>(
      `SELECT s.id FROM storefront s JOIN release r ON r.storefront = s.id AND r.number = s.release
       WHERE s.id <> ? AND EXISTS (
         SELECT 1 FROM json_each(r.document, '$.following') f WHERE json_extract(f.value, '$.storefront') = ?)
       ORDER BY s.made_at, s.id`,
    )
    .pluck();
  return { followersOf };
});

export function openFollowersReader(db: Db, releasesOf: (storefront: string) => ReleaseReader): FollowersReader {
  const { followersOf } = statementsOf(db);
  const followers = (leader: string): string[] => followersOf.all(leader, leader);
  const liveIn = (storefront: string): Setup => releasesOf(storefront).live()!.setup;
  return {
    followers,
    followerIn: (leader, part) =>
      followers(leader).find((storefront) => leaderOf(liveIn(storefront), part) === leader) ?? null,
    reach: (leader, setup) =>
      reachedBy(
        leader,
        setup,
        followers(leader).map((storefront) => ({ storefront, live: liveIn(storefront) })),
      ),
  };
}
