import { changesBetween } from '../../core/setup/entries.ts';
import { renewed } from '../../core/setup/following.ts';
import type { Setup } from '../../core/setup/schema.ts';
import { canonical } from '../../core/setup/terms/canonical.ts';
import { followable } from '../../core/setup/terms/followable.ts';
import type { Db } from './database.ts';
import type { FollowersReader } from './followers.ts';
import { oncePerDatabase } from './oncePerDatabase.ts';
import type { ReleaseReader } from './releaseReader.ts';

/** Who made a release, when, and what is noted about it. */
export interface Publishing {
  readonly who: string;
  readonly note: string;
  readonly at: number;
}

/** Makes releases of storefronts. Its writes stand in somebody else's transaction. */
export interface ReleaseWrites {
  /** Makes a setup the storefront's next release, which is live at once; answers its number. */
  insert(storefront: string, setup: Setup, publishing: Publishing): number;
  /**
   * Renews what other storefronts follow of this one's live setup, each by a release of its own, but for those held back;
   * answers which. Drafts there that were up to what was live stay so where all that is renewed is followed in them too.
   */
  renewFollowers(storefront: string, heldBack: ReadonlySet<string>, publishing: Publishing): string[];
}

const statementsOf = oncePerDatabase((db) => {
  const lastRelease = db
    .prepare<[string], number | null>('SELECT max(number) FROM release WHERE storefront = ?')
    .pluck();
  const add = db.prepare(
    `INSERT INTO release (storefront, number, at, who, note, document, changes)
     VALUES (@storefront, @number, @at, @who, @note, @document, @changes)`,
  );
  const setLive = db.prepare('UPDATE storefront SET release = @number WHERE id = @storefront');
  // What a draft shows of what it follows is other now: whoever keeps it by its revision looks anew.
  const bumpFollowing = db.prepare(
    `UPDATE draft SET revision = revision + 1 WHERE (storefront, id) IN (
       SELECT storefront, draft FROM setup_entry WHERE part = 'following' AND json_extract(value, '$.storefront') = ?)`,
  );
  const moveBase = db.prepare(
    `UPDATE draft SET base_release = @now WHERE storefront = @storefront AND base_release = @before
       AND (SELECT count(*) FROM setup_entry e WHERE e.storefront = draft.storefront AND e.draft = draft.id
              AND e.part = 'following' AND json_extract(e.value, '$.storefront') = @leader
              AND e.key IN (SELECT value FROM json_each(@parts))) = @count`,
  );
  return { lastRelease, add, setLive, bumpFollowing, moveBase };
});

export function openReleaseWrites(
  db: Db,
  releasesOf: (storefront: string) => ReleaseReader,
  { reach }: FollowersReader,
): ReleaseWrites {
  const { lastRelease, add, setLive, bumpFollowing, moveBase } = statementsOf(db);
  const insert = (storefront: string, setup: Setup, { who, note, at }: Publishing): number => {
    const last = lastRelease.get(storefront) ?? 0;
    const against = releasesOf(storefront).release(last)?.setup;
    const changes = against ? JSON.stringify(changesBetween(against, setup)) : null;
    add.run({ storefront, number: last + 1, at, who, note, document: canonical(setup), changes });
    setLive.run({ storefront, number: last + 1 });
    return last + 1;
  };
  return {
    insert,
    renewFollowers(leader, heldBack, { who, at }) {
      const live = releasesOf(leader).live()!;
      const reached = reach(leader, live.setup).filter(({ storefront }) => !heldBack.has(storefront));
      for (const { storefront, parts } of reached) {
        const before = releasesOf(storefront).live()!;
        const what = parts.map((part) => followable[part].toLowerCase()).join(', ');
        const note = `As release ${live.number} of “${leader}” has them: ${what}`;
        const now = insert(storefront, renewed(before.setup, parts, live.setup), { who, at, note });
        const moved = { storefront, now, before: before.number, leader };
        moveBase.run({ ...moved, parts: JSON.stringify(parts), count: parts.length });
      }
      bumpFollowing.run(leader);
      return reached.map(({ storefront }) => storefront);
    },
  };
}
