import { copyNamed } from '../base/named.ts';
import type { SetupPart } from './registry.ts';
import type { Setup } from './schema.ts';

/** One change to one entry of the setup; `value` null removes the entry. */
export interface EntryEdit {
  readonly part: SetupPart;
  readonly key: string;
  readonly value: unknown;
}

/** The setup with entries set or removed; the one passed in is left as it was. Cost: a copy of each part touched. */
export function withEntries(setup: Setup, edits: Iterable<EntryEdit>): Setup {
  const touched = new Map<SetupPart, Record<string, unknown>>();
  for (const { part, key, value } of edits) {
    let entries = touched.get(part);
    if (!entries) {
      entries = copyNamed<unknown>(setup[part]);
      touched.set(part, entries);
    }
    if (value === null) delete entries[key];
    else entries[key] = value;
  }
  return touched.size === 0 ? setup : ({ ...setup, ...Object.fromEntries(touched) } as Setup);
}

/** The setup with one entry set or removed. */
export const withEntry = (setup: Setup, edit: EntryEdit): Setup => withEntries(setup, [edit]);
