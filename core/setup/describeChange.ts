import { type EntryChange, isChange } from './entries.ts';
import { entryKind } from './schema.ts';
import type { NamesForChanges } from './terms/part.ts';

/** What a change means, in plain sentences without a full stop; none where it means nothing. */
export function describeChange(change: EntryChange, names: NamesForChanges): string[] {
  const { part, key } = change;
  const sentences = entryKind(part, key)?.describe(change, names) ?? [];
  return sentences.length > 0 || !isChange(change) ? sentences : [`“${key}” of ${part} is different`];
}
