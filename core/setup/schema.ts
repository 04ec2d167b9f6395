import { z } from 'zod';
import { own } from '../base/named.ts';
import { definitionOf, type registry, type SetupPart, setupParts } from './registry.ts';
import type { FixedEntry, OpenPart } from './terms/part.ts';

/** Number of the format that setups are written in; `upgradeSetup` brings earlier ones to it. */
export const setupVersion = 7;

const shape = Object.fromEntries(setupParts.map((part) => [part, definitionOf(part).schema]));

/**
 * Everything a merchandiser has decided for one storefront. The draft, every release and every file are this. Read one
 * with `readSetup`, which also takes what earlier versions wrote.
 */
export const setupSchema = z.strictObject({
  format: z.literal('clever-shelf-setup'),
  version: z.literal(setupVersion),
  ...(shape as { [Part in SetupPart]: (typeof registry)[Part]['schema'] }),
});
export type Setup = z.infer<typeof setupSchema>;

/** What holds for one entry of a part, or null where the part has no such entry. */
export function entryKind(part: SetupPart, key: string): FixedEntry | OpenPart | null {
  const definition = definitionOf(part);
  if (definition.isFixed) return own(definition.entries, key) ?? null;
  return definition.key.safeParse(key).success ? definition : null;
}

/** The schema one entry of a part is held to, or null where the part has no such entry: one for writing and reading. */
export const entrySchema = (part: SetupPart, key: string): z.ZodType | null => entryKind(part, key)?.value ?? null;

/** Most entries a part may hold. */
export function mostEntries(part: SetupPart): number {
  const definition = definitionOf(part);
  return definition.isFixed ? Object.keys(definition.entries).length : definition.most;
}

/** Entries that must always be there: they can be changed but not removed. */
export const isFixedEntry = (part: SetupPart): boolean => definitionOf(part).isFixed;
