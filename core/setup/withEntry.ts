import type { Setup, SetupPart } from './schema.ts';

/** One change to one entry of the setup; `value` null removes the entry. */
export interface EntryEdit {
  readonly part: SetupPart;
  readonly key: string;
  readonly value: unknown;
}

/** The setup with one entry set or removed; the setup passed in is left as it was. */
export function withEntry(setup: Setup, { part, key, value }: EntryEdit): Setup {
  const { [key]: _, ...others } = setup[part] as Readonly<Record<string, unknown>>;
  return { ...setup, [part]: value === null ? others : { ...others, [key]: value } } as Setup;
}
