import { asList, listIn } from '../base/listCell.ts';
import { copyNamed, named, own } from '../base/named.ts';
import { writeCsv } from '../catalog/writeCsv.ts';
import type { Setup } from './schema.ts';
import { usualPriority } from './terms/suggestionTerms.ts';

/** The parts that go out to files and come in from them, one entry a row. */
export const ruleParts = ['plans', 'houseRules', 'hiding', 'suggestedSearches', 'companions', 'redirects'] as const;
export type RulePart = (typeof ruleParts)[number];

/** The part of the setup that some entries are of: redirects are plans that send shoppers elsewhere. */
export const partOfRules = (part: RulePart): Exclude<RulePart, 'redirects'> => (part === 'redirects' ? 'plans' : part);

/** The entries that go out as a part. */
export function rulesOf(
  part: RulePart,
  setup: Pick<Setup, Exclude<RulePart, 'redirects'>>,
): Readonly<Record<string, Readonly<Record<string, unknown>>>> {
  const all = setup[partOfRules(part)] as Readonly<Record<string, Readonly<Record<string, unknown>>>>;
  if (part !== 'redirects') return all;
  return named(Object.entries(all).filter(([, { redirect }]) => redirect !== undefined));
}

/** How a field is written in a cell. */
type CellKind =
  | 'text'
  | 'number'
  /** `on` or `off`. */
  | 'switch'
  /** Texts with a bar between them. */
  | 'list'
  /** `p12@3 | p7@4`: products at places. */
  | 'pins'
  /** `p12*1.5 | p7*0.5`: factors on products. */
  | 'pulls'
  /** `11-15..12-24`. */
  | 'yearly'
  /** `boost*1.4`, `lower*0.5`, `hide`, `show only`. */
  | 'does'
  /** As JSON, like every condition. */
  | 'json';

const span = { from: 'text', until: 'text', yearly: 'yearly' } as const;
const about = { note: 'text', owner: 'text', since: 'text', lookAgain: 'text' } as const;

/** The fields of each part's entries, in the order of the columns. A field that a row leaves empty is not set. */
export const ruleFields: Readonly<Record<RulePart, Readonly<Record<string, CellKind>>>> = {
  plans: {
    ...{ name: 'text', on: 'switch', rank: 'number', how: 'text', searches: 'list', collections: 'list' },
    ...span,
    ...{ whenChosen: 'json', devices: 'list', first: 'list', only: 'switch', pins: 'pins', pinsWait: 'switch' },
    ...{ pulls: 'pulls', bringIn: 'list', hides: 'list', conditionPulls: 'json', conditionHides: 'json' },
    ...{
      sort: 'json',
      wordsOut: 'list',
      scope: 'json',
      filters: 'list',
      banners: 'json',
      redirect: 'text',
      treatAs: 'text',
    },
    ...about,
  },
  houseRules: { ...{ name: 'text', on: 'switch', does: 'does', condition: 'json', places: 'list' }, ...span, ...about },
  hiding: {
    ...{ what: 'text', product: 'text', tag: 'text', places: 'list' },
    ...span,
    whileSoldOut: 'switch',
    notIndexed: 'switch',
    ...about,
  },
  /** The key is the product they stand beside. */
  companions: { companions: 'list', alternatives: 'list', never: 'list' },
  redirects: { on: 'switch', searches: 'list', how: 'text', redirect: 'text', ...span },
  suggestedSearches: {
    ...{ what: 'text', text: 'text', on: 'switch', priority: 'number', always: 'switch', alone: 'switch' },
    ...span,
  },
};

/** Fields that an entry must have: what they are where a row says nothing of them. */
const needed: Readonly<Record<RulePart, Readonly<Record<string, unknown>>>> = {
  plans: { on: true, searches: [], pins: [], pulls: [] },
  houseRules: { on: true },
  hiding: {},
  companions: { companions: [], alternatives: [], never: [] },
  redirects: { on: true },
  suggestedSearches: { what: 'offer' },
};

/** A value as a cell; empty where there is none. */
function cellOf(kind: CellKind, value: unknown): string {
  if (value === undefined) return '';
  switch (kind) {
    case 'text':
    case 'number':
      return String(value);
    case 'switch':
      return value ? 'on' : 'off';
    case 'list':
      return asList(value as string[]);
    case 'pins':
      return asList((value as { product: string; place: number }[]).map(({ product, place }) => `${product}@${place}`));
    case 'pulls':
      return asList((value as { product: string; pull: number }[]).map(({ product, pull }) => `${product}*${pull}`));
    case 'yearly': {
      const { from, until } = value as { from: string; until: string };
      return `${from}..${until}`;
    }
    case 'does': {
      const { what, pull = 1 } = value as { what: string; pull?: number };
      if (what === 'pull') return `${pull >= 1 ? 'boost' : 'lower'}*${pull}`;
      return what === 'only' ? 'show only' : what;
    }
    case 'json':
      return JSON.stringify(value);
  }
}

/** The entries of a part as CSV: one a row, its key first. */
export function writeRulesCsv(part: RulePart, setup: Pick<Setup, Exclude<RulePart, 'redirects'>>): string {
  const fields = Object.entries(ruleFields[part]);
  const entries = Object.entries(rulesOf(part, setup));
  return writeCsv(
    ['key', ...fields.map(([field]) => field)],
    entries
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, entry]) => [key, ...fields.map(([field, kind]) => cellOf(kind, entry[field]))]),
  );
}

/** What of a cell could not be read, in a sentence. */
class Unreadable extends Error {}

const isOff = /^(off|no|false|0|aus|non)$/i;
/** A product with its number behind the last of a sign, since ids may have the sign in them. */
function numbered(item: string, sign: string): readonly [string, number] {
  const at = item.lastIndexOf(sign);
  const number = at < 0 ? Number.NaN : Number(item.slice(at + 1));
  if (Number.isNaN(number) || at === 0)
    throw new Unreadable(`“${item.slice(0, 60)}” is written as product${sign}number.`);
  return [item.slice(0, at), number];
}

function valueIn(kind: CellKind, text: string): unknown {
  switch (kind) {
    case 'text':
      return text;
    case 'number':
      if (Number.isNaN(Number(text))) throw new Unreadable(`“${text.slice(0, 60)}” is no number.`);
      return Number(text);
    case 'switch':
      return !isOff.test(text);
    case 'list':
      return listIn(text);
    case 'pins':
      return listIn(text).map((item) => {
        const [product, place] = numbered(item, '@');
        return { product, place };
      });
    case 'pulls':
      return listIn(text).map((item) => {
        const [product, pull] = numbered(item, '*');
        return { product, pull };
      });
    case 'yearly': {
      const [from = '', until = ''] = text.split('..');
      return { from: from.trim(), until: until.trim() };
    }
    case 'does': {
      const [act = '', factor] = text.split('*').map((each) => each.trim());
      if (factor !== undefined) return { what: 'pull', pull: Number(factor) };
      return { what: act.toLowerCase() === 'show only' ? 'only' : act.toLowerCase() };
    }
    case 'json':
      return JSON.parse(text);
  }
}

/** What a row leaves out that its kind of entry has to say. */
const usualOf = (part: RulePart, { what }: Readonly<Record<string, unknown>>): Readonly<Record<string, unknown>> =>
  part === 'suggestedSearches' && what === 'offer' ? { on: true, priority: usualPriority } : {};

export type ReadRule =
  | { readonly key: string; readonly value: Readonly<Record<string, unknown>> }
  | { readonly refusal: string };

/** Reads one row of such a CSV as an entry that is still to be held to its schema; what cannot be read is said in a sentence. */
export function readRuleRow(part: RulePart, cells: Readonly<Record<string, string>>): ReadRule {
  const value = copyNamed<unknown>(needed[part]);
  for (const [field, kind] of Object.entries(ruleFields[part])) {
    const text = own(cells, field)?.trim() ?? '';
    if (text === '') continue;
    try {
      value[field] = valueIn(kind, text);
    } catch (error) {
      if (error instanceof Unreadable) return { refusal: `${field}: ${error.message}` };
      if (error instanceof SyntaxError) return { refusal: `${field}: this is not JSON.` };
      throw error;
    }
  }
  return { key: own(cells, 'key')?.trim() ?? '', value: { ...usualOf(part, value), ...value } };
}

/**
 * A row of redirects as the plan it is: the one of its key, or of its searches, with all that it does besides; else a new one
 * that is called by its first search.
 */
export function redirectAsPlan(plans: Setup['plans'], read: ReadRule): ReadRule {
  if ('refusal' in read) return read;
  const searches = (read.value.searches ?? []) as readonly string[];
  if (searches.length === 0) return { refusal: 'searches: Say which searches are sent elsewhere.' };
  if (read.value.redirect === undefined) return { refusal: 'redirect: Say where shoppers are sent.' };
  const same = (plan: Setup['plans'][string]): boolean =>
    plan.redirect !== undefined && [...plan.searches].sort().join('\n') === [...searches].sort().join('\n');
  const key = own(plans, read.key) ? read.key : (Object.entries(plans).find(([, plan]) => same(plan))?.[0] ?? read.key);
  const before = own(plans, key) ?? { name: searches[0], pins: [], pulls: [] };
  return { key, value: { ...before, ...read.value } };
}
