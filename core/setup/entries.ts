import {
  entrySchema,
  isFixedEntry,
  longestKey,
  type Setup,
  type SetupPart,
  setupParts,
  setupSchema,
} from './schema.ts';
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
  readonly code: 'unknown-entry' | 'invalid-entry' | 'fixed-entry';
  readonly part: SetupPart;
  readonly key: string;
  readonly field: string;
  readonly message: string;
}

type Part = Readonly<Record<string, unknown>>;
const partOf = (setup: Setup, part: SetupPart): Part => setup[part] as Part;

/** Canonical text of a value: equal values give equal texts whatever the order of their keys. */
export function canonical(value: unknown): string {
  return JSON.stringify(value, (_, inner: unknown) =>
    inner && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );
}

/** Holds an edit to its entry's schema: the parsed edit, or the refusal with the field that is wrong. */
export function checkEdit(edit: EntryEdit): { edit: EntryEdit } | { refusal: EditRefusal } {
  const refuse = (code: EditRefusal['code'], field: string, message: string) => ({
    refusal: { code, part: edit.part, key: edit.key, field, message },
  });
  const schema = entrySchema(edit.part, edit.key);
  if (!schema || edit.key.length === 0 || edit.key.length > longestKey)
    return refuse('unknown-entry', '', `The part ${edit.part} has no entry "${edit.key.slice(0, 80)}".`);
  if (edit.value === null) {
    if (isFixedEntry(edit.part)) return refuse('fixed-entry', '', `The entry "${edit.key}" cannot be removed.`);
    return { edit };
  }
  const parsed = schema.safeParse(edit.value);
  if (parsed.success) return { edit: { ...edit, value: parsed.data } };
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
      .map((key): EntryChange => ({ part, key, before: before[key] ?? null, after: after[key] ?? null }))
      .filter((change) => canonical(change.before) !== canonical(change.after));
  });
}

/** The setup's entries as rows, for a store that keeps them one by one. */
export function entriesOf(setup: Setup): EntryEdit[] {
  return setupParts.flatMap((part) =>
    Object.entries(partOf(setup, part)).map(([key, value]): EntryEdit => ({ part, key, value })),
  );
}

/** Puts rows together again. Throws where they make no valid setup: rows are only written through `checkEdit`. */
export function setupFromEntries(entries: readonly EntryEdit[]): Setup {
  const parts: Record<string, Record<string, unknown>> = Object.fromEntries(setupParts.map((part) => [part, {}]));
  for (const { part, key, value } of entries) parts[part]![key] = value;
  // Decisions about products may be ten thousands; each was held to its schema when it was written.
  const { products, ...others } = parts;
  return {
    ...setupSchema.parse({ format: 'clever-shelf-setup', version: 1, ...others }),
    products: products as Setup['products'],
  };
}
