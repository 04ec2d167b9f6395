import { own } from '../base/named.ts';
import { normalEntry, tidyEntry } from './normalEntry.ts';
import { type SetupPart, setupParts } from './registry.ts';
import { entrySchema, isFixedEntry, type Setup } from './schema.ts';
import { canonical } from './terms/canonical.ts';
import type { EntryEdit } from './withEntry.ts';

/** An entry as it was and as it is; null where it did not or does not exist. */
export interface EntryChange {
  readonly part: SetupPart;
  readonly key: string;
  readonly before: unknown;
  readonly after: unknown;
}

/** Why an edit was refused, and which entry and field to point at. */
export interface EditRefusal {
  readonly code: 'unknown-entry' | 'invalid-key' | 'invalid-entry' | 'fixed-entry' | 'too-many-entries';
  readonly part: SetupPart;
  readonly key: string;
  readonly field: string;
  readonly message: string;
}

type Part = Readonly<Record<string, unknown>>;
/** The entries of a part, whatever they are. */
export const partOf = (setup: Setup, part: SetupPart): Part => setup[part];

/** Holds an edit to its entry's schema: the parsed edit in its normal form, or the refusal with the field that is wrong. */
export function checkEdit(edit: EntryEdit): { edit: EntryEdit } | { refusal: EditRefusal } {
  const refuse = (code: EditRefusal['code'], field: string, message: string) => ({
    refusal: { code, part: edit.part, key: edit.key, field, message },
  });
  const schema = entrySchema(edit.part, edit.key);
  if (!schema && !isFixedEntry(edit.part))
    return refuse('invalid-key', '', `The key “${edit.key.slice(0, 80)}” is empty or too long.`);
  if (!schema) return refuse('unknown-entry', '', `The part ${edit.part} has no entry "${edit.key.slice(0, 80)}".`);
  if (edit.value === null) {
    if (isFixedEntry(edit.part)) return refuse('fixed-entry', '', `The entry "${edit.key}" cannot be removed.`);
    return { edit };
  }
  const parsed = schema.safeParse(edit.value);
  if (parsed.success) return { edit: { ...edit, value: tidyEntry(edit.part, edit.key, parsed.data) } };
  const issue = parsed.error.issues[0]!;
  return refuse('invalid-entry', issue.path.join('.'), issue.message);
}

/** What changed between two setups, entry by entry, in the order of parts and then of keys. */
export function changesBetween(from: Setup, to: Setup): EntryChange[] {
  return setupParts.flatMap((part) => {
    const before = partOf(from, part);
    const after = partOf(to, part);
    const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])].sort();
    return keys
      .map((key): EntryChange => ({ part, key, before: own(before, key) ?? null, after: own(after, key) ?? null }))
      .filter(isChange);
  });
}

/** Whether an entry means something else after than before. */
export const isChange = ({ part, key, before, after }: EntryChange): boolean =>
  before !== after && canonical(normalEntry(part, key, before)) !== canonical(normalEntry(part, key, after));

/** The setup's entries as rows, for a store that keeps them one by one. */
export function entriesOf(setup: Setup): EntryEdit[] {
  return setupParts.flatMap((part) =>
    Object.entries(partOf(setup, part)).map(([key, value]): EntryEdit => ({ part, key, value })),
  );
}
