import { z } from 'zod';
import type { AttributeProfile } from '../../catalog/profileAttributes.ts';
import type { Inside } from './inside.ts';
import type { Shop } from './shop.ts';

/** Names for what a change refers to by key; a missing name is shown as its key. */
export interface NamesForChanges {
  attribute(key: string): string;
  product(id: string): string;
  collection(id: string): string;
}

/** An entry as it was and as it is; null where it did not or does not exist. */
export interface Change<Value> {
  readonly key: string;
  readonly before: Value | null;
  readonly after: Value | null;
}

/** What a setup begins with. */
export interface Beginning {
  readonly profiles: readonly AttributeProfile[];
  readonly shop: Shop;
}

/** What all entries that follow one schema have in common. */
interface EntryKind<Value extends z.ZodType> {
  readonly value: Value;
  /** Fields that mean the same where they are left out: what each then is. */
  readonly usualFields?: Readonly<Record<string, unknown>>;
  /** Whether an entry decides nothing, so that it is not kept. */
  isNothing?(value: z.infer<Value>): boolean;
  /** Whether an entry is kept but means what none means. */
  meansNone?(value: z.infer<Value>): boolean;
  /** How two people's changes of one entry are put together; absent: field by field, lists as a whole. */
  readonly inside?: Inside;
  /** The field in which a value says two things that cannot both be, with why; null where there is none. */
  clash?(value: z.infer<Value>): { readonly field: string; readonly reason: string } | null;
  /** What a change means, in plain sentences without a full stop; none where it means nothing. */
  describe(change: Change<z.infer<Value>>, names: NamesForChanges): string[];
}

/** A part that holds any number of entries: what their keys and values are held to, and how many there may be. */
export interface OpenPart<Value extends z.ZodType = z.ZodType> extends EntryKind<Value> {
  readonly isFixed: false;
  readonly key: z.ZodString;
  readonly most: number;
  /** The entries a setup begins with, where it begins with any. */
  begin?(beginning: Beginning): Readonly<Record<string, z.infer<Value>>>;
  readonly schema: z.ZodRecord<z.ZodString, Value>;
}

/** An entry that is always there. */
export interface FixedEntry<Value extends z.ZodType = z.ZodType> extends EntryKind<Value> {
  /** What it is until somebody decides. */
  readonly usual: z.infer<Value>;
  /** What it begins with, where that differs. */
  begin?(beginning: Beginning): z.infer<Value>;
}

/** A part whose entries are always there: they can be changed but not removed. */
export interface FixedPart<
  Entries extends Readonly<Record<string, FixedEntry>> = Readonly<Record<string, FixedEntry>>,
> {
  readonly isFixed: true;
  readonly entries: Entries;
  readonly schema: z.ZodObject<{ [Key in keyof Entries]: Entries[Key]['value'] }, z.core.$strict>;
}

export type PartDefinition = OpenPart | FixedPart;

export const openPart = <Value extends z.ZodType>(
  part: Omit<OpenPart<Value>, 'isFixed' | 'schema'>,
): OpenPart<Value> => ({ ...part, isFixed: false, schema: z.record(part.key, part.value) });

export const fixedEntry = <Value extends z.ZodType>(entry: FixedEntry<Value>): FixedEntry<Value> => entry;

export function fixedPart<Entries extends Readonly<Record<string, FixedEntry>>>(entries: Entries): FixedPart<Entries> {
  const shape = Object.fromEntries(Object.entries(entries).map(([key, { value }]) => [key, value]));
  return { isFixed: true, entries, schema: z.strictObject(shape as { [Key in keyof Entries]: Entries[Key]['value'] }) };
}

/** Names in a sentence. */
export const listed = (items: readonly string[]): string => (items.length === 0 ? 'none' : items.join(', '));
