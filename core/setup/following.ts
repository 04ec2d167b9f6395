import { changesBetween, type EntryChange, partOf } from './entries.ts';
import { leaderOf } from './leaderOf.ts';
import type { SetupPart } from './registry.ts';
import type { Setup } from './schema.ts';
import { canonical } from './terms/canonical.ts';
import { type FollowablePart, followableParts } from './terms/followable.ts';
import { type EntryEdit, withEntries } from './withEntry.ts';

/** The parts of a setup that follow another storefront's, with that storefront. */
export const followedParts = (setup: Setup): (readonly [part: FollowablePart, storefront: string])[] =>
  followableParts.flatMap((part) => {
    const leader = leaderOf(setup, part);
    return leader === null ? [] : [[part, leader] as const];
  });

/**
 * A setup with the parts it follows as they are live in the storefronts they are followed from. What it holds in such
 * a part itself is not shown and not lost; of a storefront where nothing is live, it is what stands.
 */
export function withFollowed(setup: Setup, liveOf: (storefront: string) => Setup | null): Setup {
  const parts = followedParts(setup).flatMap(([part, storefront]) => {
    const live = liveOf(storefront);
    return live ? [[part, live[part]] as const] : [];
  });
  return parts.length === 0 ? setup : { ...setup, ...Object.fromEntries(parts) };
}

/** The edits that make a followed part the storefront's own, as it is shown. `stored` is what lies under it. */
export const makeOwn = (part: FollowablePart, shown: Setup, stored: Setup): EntryEdit[] => [
  { part: 'following', key: part, value: null },
  ...partEdits(part, stored, shown),
];

/** The edits that make one part of a setup that of another one. */
const partEdits = (part: SetupPart, from: Setup, to: Setup): EntryEdit[] =>
  changesBetween(from, { ...from, [part]: to[part] }).map(({ key, after }): EntryEdit => ({ part, key, value: after }));

/** What a change of a setup is made in: the part of the first change whose part is followed after it and was before. */
export function followedPartIn(changes: readonly EntryChange[], stored: Setup): FollowablePart | null {
  const after = withEntries(
    stored,
    changes.filter(({ part }) => part === 'following').map(({ part, key, after }) => ({ part, key, value: after })),
  );
  const isChosen = new Set(changes.filter(({ part }) => part === 'following').map(({ key }) => key));
  const found = followedParts(after).find(
    ([part]) => !isChosen.has(part) && changes.some((change) => change.part === part),
  );
  return found?.[0] ?? null;
}

/** A storefront that follows parts of another one, by what is live in it. */
export interface Follower {
  readonly storefront: string;
  readonly live: Setup;
}

/** What publishing a setup makes other in a storefront that follows parts of it. */
export interface Reached {
  readonly storefront: string;
  /** The parts that become other by it. */
  readonly parts: readonly FollowablePart[];
}

/** The followers in which a followed part would be other if this were live in the storefront they follow. Cost: writing each followed part once. */
export function reachedBy(leader: string, setup: Setup, followers: readonly Follower[]): Reached[] {
  return followers.flatMap(({ storefront, live }): Reached[] => {
    const parts = partsOf(live, leader).filter((part) => !isSamePart(live, setup, part));
    return parts.length === 0 ? [] : [{ storefront, parts }];
  });
}

/** The parts of a setup that follow one storefront. */
const partsOf = (setup: Setup, leader: string): FollowablePart[] =>
  followedParts(setup).flatMap(([part, storefront]) => (storefront === leader ? [part] : []));

const isSamePart = (one: Setup, other: Setup, part: FollowablePart): boolean =>
  one[part] === other[part] || canonical(partOf(one, part)) === canonical(partOf(other, part));

/** A setup with some parts as another one has them. */
export const renewed = (setup: Setup, parts: readonly FollowablePart[], from: Setup): Setup => ({
  ...setup,
  ...Object.fromEntries(parts.map((part) => [part, from[part]])),
});
