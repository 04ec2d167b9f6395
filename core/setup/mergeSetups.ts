import { own } from '../base/named.ts';
import { changesBetween, checkEdit, type EntryChange, isChange, partOf } from './entries.ts';
import { leaderOf } from './leaderOf.ts';
import { mergeFollowing } from './mergeFollowing.ts';
import { type MergeSide, mergeValues, type Sides } from './mergeValues.ts';
import { definitionOf, type SetupPart, setupParts } from './registry.ts';
import { entryKind, mostEntries, type Setup } from './schema.ts';
import { type EntryEdit, withEntries } from './withEntry.ts';

/** Something both sides changed and neither way of changing it contains the other. */
export interface MergeConflict extends Sides {
  /** Names it among the conflicts of a merge. */
  readonly id: string;
  readonly part: SetupPart;
  readonly key: string;
  /** Leads to it within the entry; empty for the whole of it. */
  readonly path: readonly string[];
  /** The entry as it was, and as each side has it. */
  readonly entry: Sides;
  /** Why what each side has cannot stand together, where it is that; null where both changed the same. */
  readonly reason: string | null;
}

export interface Merged {
  /** What the merge changes in ours; only of use where every conflict is answered. */
  readonly changes: readonly EntryChange[];
  readonly conflicts: readonly MergeConflict[];
  /** Entries of theirs that are in ours by it without a question. */
  readonly taken: number;
}

/** Which side holds, by conflict. */
export type MergeAnswers = ReadonlyMap<string, MergeSide>;

/**
 * Merges what `theirs` changed since `base` into `ours`, entry by entry and, where both changed one, inside it, as the
 * part's file declares. Nothing is lost in silence: what cannot be put together is a conflict, and so is what only both
 * together break (an entry its schema refuses, a part with too many entries). With `answers`, conflicts that are answered
 * are settled by them, and those that are left are told. Cost: a comparison of two setups, and the entries both changed.
 */
export function mergeSetups(
  setups: { readonly base: Setup; readonly ours: Setup; readonly theirs: Setup },
  answers: MergeAnswers = new Map(),
): Merged {
  const { base, ours, theirs } = setups;
  const conflicts: MergeConflict[] = [];
  const edits: EntryEdit[] = [];
  let taken = 0;
  const entryOf = (setup: Setup, part: SetupPart, key: string): unknown => own(partOf(setup, part), key) ?? null;

  const settleIn =
    (part: SetupPart, key: string, entry: Sides) =>
    (path: readonly string[], sides: Sides, reason: string | null): MergeSide => {
      const id = JSON.stringify([part, key, ...path]);
      const answer = answers.get(id);
      if (answer === undefined) conflicts.push({ id, part, key, path, ...sides, entry, reason });
      return answer ?? 'ours';
    };

  // Of a part that follows another storefront there is nothing to merge: it is what that one has.
  const followed = new Set<SetupPart>();
  const following = mergeFollowing(setups, (part, reason) => {
    const at = (setup: Setup): unknown => entryOf(setup, 'following', part);
    const entry: Sides = { base: at(base), ours: at(ours), theirs: at(theirs) };
    return settleIn('following', part, entry)([], entry, reason);
  });
  for (const { part, leader } of following) {
    if (leader !== null) followed.add(part);
    if (leader === leaderOf(ours, part)) continue;
    edits.push({ part: 'following', key: part, value: leader === null ? null : { storefront: leader } });
    taken++;
  }
  for (const { part, key, before, after } of changesBetween(base, theirs)) {
    if (part === 'following' || followed.has(part)) continue;
    const mine = entryOf(ours, part, key);
    if (!isChange({ part, key, before: mine, after })) continue;
    const entry: Sides = { base: before, ours: mine, theirs: after };
    const settle = settleIn(part, key, entry);
    if (!isChange({ part, key, before, after: mine })) {
      edits.push({ part, key, value: after });
      taken++;
      continue;
    }
    const left = conflicts.length;
    const kind = entryKind(part, key);
    let merged = mergeValues(kind?.inside, entry, (path, sides) => settle(path, sides, null));
    const clash = conflicts.length === left && merged ? kind?.clash?.(merged) : null;
    if (clash) {
      const at = (side: unknown): unknown => own((side ?? {}) as Readonly<Record<string, unknown>>, clash.field);
      const sides: Sides = { base: at(entry.base), ours: at(entry.ours), theirs: at(entry.theirs) };
      const side = settle([clash.field], sides, clash.reason);
      merged = { ...(merged as object), [clash.field]: sides[side] };
    }
    const checked = checkEdit({ part, key, value: merged ?? null });
    if (conflicts.length > left) continue;
    if ('edit' in checked) edits.push(checked.edit);
    else {
      const side = settle([], entry, checked.refusal.message);
      if (side === 'theirs') edits.push({ part, key, value: after });
    }
    taken++;
  }
  refuseTooMany(ours, edits, conflicts);
  const changes = edits
    .map(({ part, key, value }): EntryChange => ({ part, key, before: entryOf(ours, part, key), after: value }))
    .filter(isChange);
  return { changes, conflicts, taken };
}

/**
 * An edit of an entry that somebody else changed since it was looked at, with what they changed in it; null where both
 * changed the same of it. `base` is the entry as it was looked at, `now` as it is.
 */
export function mergeEntry(edit: EntryEdit, base: unknown, now: unknown): EntryEdit | null {
  const { part, key, value } = edit;
  const kind = entryKind(part, key);
  let isAsked = false;
  const merged = mergeValues(kind?.inside, { base, ours: now, theirs: value }, () => {
    isAsked = true;
    return 'ours';
  });
  if (isAsked || (merged && kind?.clash?.(merged))) return null;
  const checked = checkEdit({ part, key, value: merged ?? null });
  return 'edit' in checked ? checked.edit : null;
}

/** A part that both sides together fill beyond what it holds: nothing can be chosen, one side has to give something up first. */
function refuseTooMany(ours: Setup, edits: readonly EntryEdit[], conflicts: MergeConflict[]): void {
  const merged = withEntries(ours, edits);
  for (const part of setupParts) {
    if (definitionOf(part).isFixed || Object.keys(partOf(merged, part)).length <= mostEntries(part)) continue;
    const sides: Sides = { base: null, ours: null, theirs: null };
    const reason = `Together these are more than the ${mostEntries(part)} entries there can be.`;
    conflicts.push({ id: JSON.stringify([part]), part, key: '', path: [], ...sides, entry: sides, reason });
  }
}
