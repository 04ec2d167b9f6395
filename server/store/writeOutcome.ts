import type { EditRefusal, EntryChange } from '../../core/setup/entries.ts';
import type { FollowablePart } from '../../core/setup/terms/followable.ts';

/** Someone else changed the same entries (or the draft) since the writer looked. */
export interface StaleWrite {
  readonly code: 'stale-write';
  readonly revision: number;
  readonly changes: readonly EntryChange[];
  /** Who made them, each once. */
  readonly who: readonly string[];
}
/** The writer names a revision that is not there yet: it looked at another folder, or at one before it was put back. */
export interface UnknownRevision {
  readonly code: 'unknown-revision';
  readonly revision: number;
}
/** Others changed entries of a step since it was made: what each would become, and what it is. */
export interface ChangedAgain {
  readonly code: 'changed-since';
  readonly changes: readonly EntryChange[];
  readonly who: readonly string[];
}
/** A part follows another storefront's, so nothing of one's own can be in it. */
export interface FollowedPart {
  readonly code: 'followed';
  readonly follows: FollowablePart;
  readonly storefront: string;
}
/** Storefronts that follow a part of this one, which therefore cannot follow yet another one's. */
export interface IsFollowed {
  readonly code: 'is-followed';
  readonly follows: FollowablePart;
  readonly storefront: string;
}
export interface NothingToDo {
  readonly code:
    | 'nothing-to-undo'
    | 'nothing-to-redo'
    | 'nothing-to-publish'
    | 'unknown-release'
    | 'unknown-draft'
    | 'behind'
    | 'conflicts'
    | 'unknown-step'
    | 'nothing-to-take-back';
}
export type Refusal =
  | EditRefusal
  | StaleWrite
  | UnknownRevision
  | ChangedAgain
  | FollowedPart
  | IsFollowed
  | NothingToDo;
/** What a write of a draft comes to: the revision it leaves, or why it was refused. */
export type WriteOutcome =
  | {
      readonly revision: number;
      /** Of a release: the other storefronts in which it renewed what they follow. */
      readonly reached?: readonly string[];
    }
  | { readonly refusal: Refusal };

/** What becomes of entries of a step that others changed since. */
export type ChangedSince = 'ask' | 'keep' | 'take';
