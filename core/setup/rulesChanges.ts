import { own } from '../base/named.ts';
import { describeChange } from './describeChange.ts';
import { checkEdit, isChange, partOf } from './entries.ts';
import { freeKey } from './freeKey.ts';
import { hidingKey } from './hidingKey.ts';
import { idFor } from './idFor.ts';
import type { Hiding } from './parts/hiding.ts';
import type { SuggestedSearch } from './parts/suggestedSearches.ts';
import type { SetupPart } from './registry.ts';
import type { ReadRule } from './rulesCsv.ts';
import type { Setup } from './schema.ts';
import { suggestionKey } from './suggestionKey.ts';
import type { NamesForChanges } from './terms/part.ts';
import type { EntryEdit } from './withEntry.ts';

/** What bringing entries in would do to a part. */
export interface RulesChanges {
  /** What is new or other, with what that means. */
  readonly changes: readonly {
    readonly edit: EntryEdit;
    readonly isNew: boolean;
    readonly sentences: readonly string[];
  }[];
  readonly unchanged: number;
  readonly refused: readonly { readonly line: number; readonly reason: string }[];
}

/** The key an entry stands under: its own, or one made of what it is called. */
function keyFor(part: SetupPart, key: string, value: Readonly<Record<string, unknown>>, taken: object): string {
  if (part === 'hiding') return hidingKey(value as Hiding);
  if (part === 'suggestedSearches')
    return suggestionKey({ ...(value as SuggestedSearch), text: String(value.text ?? '') });
  // Companions stand under the product they are of: a row that names none is refused.
  if (key !== '' || part === 'companions') return key;
  return freeKey(
    taken,
    idFor(String(value.name ?? ''), () => false),
  );
}

/**
 * Holds entries that were read from a file to their schema and says what they would change; entries that the file does not
 * name are left alone. Of two with one key the later holds. Pure.
 */
export function rulesChanges(
  setup: Setup,
  part: SetupPart,
  rows: readonly { readonly line: number; readonly read: ReadRule }[],
  names: NamesForChanges,
): RulesChanges {
  const before = partOf(setup, part);
  const edits = new Map<string, EntryEdit>();
  const refused: { line: number; reason: string }[] = [];
  for (const { line, read } of rows) {
    if ('refusal' in read) {
      refused.push({ line, reason: read.refusal });
      continue;
    }
    const key = keyFor(part, read.key, read.value, { ...before, ...Object.fromEntries(edits) });
    const checked = checkEdit({ part, key, value: read.value });
    if ('refusal' in checked)
      refused.push({ line, reason: [checked.refusal.field, checked.refusal.message].filter(Boolean).join(': ') });
    else edits.set(key, checked.edit);
  }
  let unchanged = 0;
  const changes = [...edits].flatMap(([key, edit]) => {
    const change = { part, key, before: own(before, key) ?? null, after: edit.value };
    if (!isChange(change)) {
      unchanged++;
      return [];
    }
    return [{ edit, isNew: change.before === null, sentences: describeChange(change, names) }];
  });
  return { changes, unchanged, refused };
}
