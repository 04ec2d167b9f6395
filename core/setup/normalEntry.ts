import { own } from '../base/named.ts';
import { canonical } from './canonical.ts';
import { usualFilter } from './filterTerms.ts';
import type { AttributeSetting, SetupPart } from './schema.ts';
import { usualSpelling } from './usualSpelling.ts';

/** What an attribute without an entry is: not read, not shown, and as heavy as the lightest once it is switched on. */
export const unsetAttribute: AttributeSetting = { searchable: false, weight: 1, onCard: false };

/** Fields that mean the same where they are left out: what each then is. */
const usualFields: Partial<Record<SetupPart, Readonly<Record<string, unknown>>>> = {
  attributes: { early: false, whole: false, forms: true, prefixes: true, corrections: true, wins: 'here' },
  filters: {
    ...{ match: usualFilter.match, showFirst: usualFilter.showFirst, minimum: usualFilter.minimum },
    ...{ anyEntry: false, selectAll: false, closed: false, hideUndividing: false, greyEmpty: false, help: '' },
    ...{ byHand: [], first: [], hiddenValues: [], chosen: [], colours: {}, names: {} },
    where: { collections: [], searches: [], values: [] },
  },
  vocabulary: { attributes: {}, conditions: [] },
};

const fieldsOf = (part: SetupPart, key: string): Readonly<Record<string, unknown>> | undefined =>
  part === 'relevance' && key === 'spelling' ? usualSpelling : usualFields[part];

/** An entry in its one way of being written: fields that say what holds anyway are left out. */
export function tidyEntry(part: SetupPart, key: string, value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  const usual = fieldsOf(part, key);
  const entry = value as Readonly<Record<string, unknown>>;
  const said = usual
    ? Object.fromEntries(
        Object.entries(entry).filter(([field, each]) => {
          const left = own(usual, field);
          return each !== undefined && (left === undefined || canonical(left) !== canonical(each));
        }),
      )
    : entry;
  if (part === 'products' && said.act === 'tags' && isEmpty(said.add) && isEmpty(said.remove)) return null;
  return said;
}

/**
 * What an entry means: two mean the same just where this is equal, so that a value set back to what it was is no change.
 * An attribute that is not read means what none means; it is written all the same, since somebody decided it.
 */
export function normalEntry(part: SetupPart, key: string, value: unknown): unknown {
  const said = tidyEntry(part, key, value);
  return part === 'attributes' && said && canonical(said) === canonical(unsetAttribute) ? null : said;
}

const isEmpty = (list: unknown): boolean => Array.isArray(list) && list.length === 0;
