import { describeChange } from '../../core/setup/describeChange.ts';
import type { EntryChange } from '../../core/setup/entries.ts';
import type { DraftRef, SetupRef } from '../../core/setup/setupRef.ts';
import { namesOf } from '../catalog/namesOf.ts';
import type { Workbench } from '../searching/workbench.ts';
import { mergedInto } from '../store/draftWrites.ts';
import { describeChanges } from './describeChanges.ts';

/** What drafts hold, and what merging one into another would do. */
export function mergeQuestions({ db, setups, current }: Workbench) {
  return {
    /** How many changes each of some drafts of the storefront has. */
    countChanges: ({ storefront }: SetupRef, drafts: readonly string[]): number[] =>
      drafts.map((draft) => setups.draft({ storefront, draft }).changes().length),
    mergePreview(ref: DraftRef, from: SetupRef) {
      const names = namesOf(current.reader);
      const revision = setups.draft(ref).revision();
      const { changes, conflicts } = mergedInto(db, setups, ref, from);
      const told = (change: EntryChange): string[] =>
        change.before === null && change.after === null ? [] : describeChange(change, names);
      return {
        revision,
        changes: describeChanges(changes, names),
        conflicts: conflicts.map(({ id, part, key, path, reason, entry }) => ({
          ...{ id, part, key, path: [...path], reason },
          ours: told({ part, key, before: entry.base, after: entry.ours }),
          theirs: told({ part, key, before: entry.base, after: entry.theirs }),
        })),
      };
    },
  };
}
