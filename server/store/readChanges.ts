import type { EntryChange } from '../../core/setup/entries.ts';
import { upgradeEntry } from '../../core/setup/upgradeEntry.ts';

/** Changes as the journal and releases note them; those of an earlier format are read as today's say them. */
export const readChanges = (text: string): EntryChange[] =>
  (JSON.parse(text) as EntryChange[]).map((change) => ({
    ...change,
    before: upgradeEntry(change.part, change.before),
    after: upgradeEntry(change.part, change.after),
  }));
