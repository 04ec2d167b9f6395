import { own } from '../../core/base/named.ts';
import { describeChange } from '../../core/setup/describeChange.ts';
import type { EntryChange } from '../../core/setup/entries.ts';
import type { DraftRef, SetupRef } from '../../core/setup/setupRef.ts';
import type { Workbench } from '../searching/workbench.ts';
import { mergedInto } from '../store/draftWrites.ts';
import { describeChanges } from './describeChanges.ts';

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** An entry as it was but for the field that a conflict is about, so that nothing else is told of it; all of it where it is about all. */
function inField(base: unknown, side: unknown, [field]: readonly string[]): unknown {
  if (field === undefined || !isObject(base) || !isObject(side)) return side;
  const { [field]: _, ...others } = base;
  const value = own(side, field);
  return value === undefined ? others : { ...others, [field]: value };
}

/** What drafts hold, and what merging one into another would do. */
export function mergeQuestions({ db, setups, names: namesUnder }: Workbench) {
  return {
    /** How many changes each of some drafts of the storefront has. */
    countChanges: ({ storefront }: SetupRef, drafts: readonly string[]): number[] =>
      drafts.map((draft) => setups.draft({ storefront, draft }).changes().length),
    mergePreview(ref: DraftRef, from: SetupRef) {
      const names = namesUnder(setups.draft(ref).draft());
      const revision = setups.draft(ref).revision();
      const { changes, conflicts } = mergedInto(db, setups, ref, from);
      const told = (change: EntryChange): string[] =>
        change.before === null && change.after === null ? [] : describeChange(change, names);
      return {
        revision,
        changes: describeChanges(changes, names),
        conflicts: conflicts.map(({ id, part, key, path, reason, entry }) => ({
          ...{ id, part, key, path: [...path], reason },
          ours: told({ part, key, before: entry.base, after: inField(entry.base, entry.ours, path) }),
          theirs: told({ part, key, before: entry.base, after: inField(entry.base, entry.theirs, path) }),
        })),
      };
    },
  };
}
