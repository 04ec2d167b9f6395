import { own } from '../base/named.ts';
import type { SetupPart } from './registry.ts';
import { entryKind } from './schema.ts';
import { canonical } from './terms/canonical.ts';

/** An entry in its one way of being written: fields that say what holds anyway are left out; null where it decides nothing. */
export function tidyEntry(part: SetupPart, key: string, value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  const kind = entryKind(part, key);
  if (kind?.isNothing?.(value)) return null;
  const usual = kind?.usualFields;
  if (!usual) return value;
  return Object.fromEntries(
    Object.entries(value).filter(([field, each]) => {
      const left = own(usual, field);
      return each !== undefined && (left === undefined || canonical(left) !== canonical(each));
    }),
  );
}

/** What an entry means: two mean the same just where this is equal, so that a value set back to what it was is no change. */
export function normalEntry(part: SetupPart, key: string, value: unknown): unknown {
  const said = tidyEntry(part, key, value);
  return said !== null && entryKind(part, key)?.meansNone?.(said) ? null : said;
}
