import { z } from 'zod';
import { named, own } from '../base/named.ts';
import { definitionOf, type SetupPart, setupParts } from './registry.ts';
import { entrySchema, mostEntries, type Setup, setupVersion } from './schema.ts';
import { type SetupDocument, upgradeSetup } from './upgradeSetup.ts';

/** An entry that is kept but cannot be read: written by a newer version, or damaged. */
export interface SetAside {
  readonly part: string;
  readonly key: string;
  /** As it was written; a text where it is no JSON. */
  readonly value: unknown;
  readonly reason: string;
}

/** A setup with what could not be read of it; where that is a fixed entry, the setup has the usual one instead. */
export interface ReadSetup {
  readonly setup: Setup;
  readonly setAside: readonly SetAside[];
}

type Parts = Record<SetupPart, Record<string, unknown>>;
const isPart = (name: string): name is SetupPart => (setupParts as readonly string[]).includes(name);

/** The setup of nothing but fixed entries, each as it is until somebody decides. */
function emptyParts(): Parts {
  const usualOf = (part: SetupPart): [string, unknown][] => {
    const definition = definitionOf(part);
    return definition.isFixed ? Object.entries(definition.entries).map(([key, { usual }]) => [key, usual]) : [];
  };
  return Object.fromEntries(setupParts.map((part) => [part, named(usualOf(part))])) as Parts;
}

/** What a fixed entry is until somebody decides; null where entries of the part come and go. */
export function usualEntry(part: string, key: string): unknown {
  const definition = isPart(part) ? definitionOf(part) : null;
  return (definition?.isFixed && own(definition.entries, key)?.usual) || null;
}

/** What an entry is read as, or why it is not read. */
export function readEntry(part: string, key: string, value: unknown): { value: unknown } | { reason: string } {
  const schema = isPart(part) ? entrySchema(part, key) : null;
  if (!schema) return { reason: `This version has no entry “${key.slice(0, 80)}” in ${part.slice(0, 40)}.` };
  const parsed = schema.safeParse(value);
  if (parsed.success) return { value: parsed.data };
  const issue = parsed.error.issues[0]!;
  return { reason: [issue.path.join('.'), issue.message].filter(Boolean).join(': ') };
}

/**
 * Puts entries together as a setup, whatever they hold: each is held to the schema it was written by, and what does not
 * fit is set aside. Never throws. Cost: one validation an entry, about 4 µs for a decision about a product.
 */
export function readEntries(
  entries: Iterable<{ readonly part: string; readonly key: string; readonly value: unknown }>,
): ReadSetup {
  const parts = emptyParts();
  const counts = new Map<string, number>();
  const setAside: SetAside[] = [];
  for (const { part, key, value } of entries) {
    const read = readEntry(part, key, value);
    const count = (counts.get(part) ?? 0) + 1;
    if ('reason' in read) setAside.push({ part, key, value, reason: read.reason });
    else if (count > mostEntries(part as SetupPart))
      setAside.push({ part, key, value, reason: `There are more than ${mostEntries(part as SetupPart)} entries.` });
    else {
      parts[part as SetupPart][key] = read.value;
      counts.set(part, count);
    }
  }
  return { setup: { format: 'clever-shelf-setup', version: setupVersion, ...parts } as unknown as Setup, setAside };
}

const documentSchema = z.looseObject({ format: z.literal('clever-shelf-setup'), version: z.number().int().min(1) });

/** The entries of a document of any format, upgraded to today's; of what is no setup at all, none. */
export function entriesIn(document: unknown): { part: string; key: string; value: unknown }[] {
  const parsed = documentSchema.safeParse(document);
  if (!parsed.success) return [];
  const { format: _, version: __, ...parts } = upgradeSetup(parsed.data as SetupDocument);
  return Object.entries(parts).flatMap(([part, entries]) =>
    typeof entries === 'object' && entries !== null
      ? Object.entries(entries).map(([key, value]) => ({ part, key, value }))
      : [{ part, key: '', value: entries }],
  );
}

/** Reads a whole document: a release, or a file. */
export const readSetup = (document: unknown): ReadSetup => readEntries(entriesIn(document));
