import { named, own } from '../base/named.ts';
import { setupVersion } from './schema.ts';
import { upgradeEntry } from './upgradeEntry.ts';

/** A setup as it was written, in whatever format: parts by name, each with its entries. */
export type SetupDocument = Readonly<Record<string, unknown>>;

const isObject = (value: unknown): value is SetupDocument =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const partIn = (document: SetupDocument, part: string): SetupDocument => {
  const found = own(document, part);
  return isObject(found) ? found : {};
};

/** Format 2 has every part and every fixed entry; format 1 left out those that had come later. */
function fromFirst(document: SetupDocument): SetupDocument {
  const soldOut = { results: 'asItIs', box: 'asItIs', collections: 'asItIs' };
  const sorting = { orders: [{ key: 'relevance', label: 'Best match', signals: [] }] };
  return {
    ...document,
    relevance: { soldOut, partNumbers: { lead: true }, sorting, ...partIn(document, 'relevance') },
    products: partIn(document, 'products'),
    content: partIn(document, 'content'),
    vocabulary: partIn(document, 'vocabulary'),
    valueGroups: partIn(document, 'valueGroups'),
    storefront: {
      filters: { wide: 'left', middle: 'above', narrow: 'drawer', keep: false },
      languages: { list: [] },
      shop: { name: 'Your shop', currency: 'GBP' },
      ...partIn(document, 'storefront'),
    },
    version: 2,
  };
}

/** In format 3 pictures and former prices are on cards only where it is said; before they were on all of them. */
function fromSecond(document: SetupDocument): SetupDocument {
  const attributes = partIn(document, 'attributes');
  const shown = (key: string): readonly [string, SetupDocument] => {
    const setting = own(attributes, key);
    return [key, { searchable: false, weight: 1, ...(isObject(setting) ? setting : {}), onCard: true }];
  };
  return {
    ...document,
    attributes: { ...attributes, ...Object.fromEntries([shown('picture'), shown('former_price')]) },
    version: 3,
  };
}

/** Format 4 may fill up searches with few results; what a shop showed before it goes on showing. */
const fromThird = (document: SetupDocument): SetupDocument => ({
  ...document,
  relevance: { fillUp: { on: false }, ...partIn(document, 'relevance') },
  version: 4,
});

/**
 * In format 5 conditions are the same everywhere, there are house rules, and the search box is a place of its own: what was
 * hidden from results was hidden there too. Where something is hidden from is called places, as in rules.
 */
const fromFourth = (document: SetupDocument): SetupDocument => ({
  ...document,
  ...Object.fromEntries(
    ['vocabulary', 'hiding'].map((part) => [
      part,
      named(Object.entries(partIn(document, part)).map(([key, entry]) => [key, upgradeEntry(part, entry)])),
    ]),
  ),
  houseRules: partIn(document, 'houseRules'),
  version: 5,
});

/** What a rule that takes products away from the results takes away from what stands beside a product as well. */
function alsoBeside(rule: unknown): unknown {
  if (!isObject(rule) || !Array.isArray(rule.places)) return rule;
  const { places } = rule as { places: readonly unknown[] };
  return places.includes('results') ? { ...rule, places: [...new Set([...places, 'companions'])] } : rule;
}

/**
 * In format 6 companions are a place of their own. What stood beside a product before was looked for like results, so what
 * was kept out of those was kept out there too.
 */
function fromFifth(document: SetupDocument): SetupDocument {
  const takesAway = (rule: unknown): boolean => isObject(rule) && isObject(rule.does) && rule.does.what !== 'pull';
  const each = (part: string, of: (rule: unknown) => unknown): SetupDocument =>
    named(Object.entries(partIn(document, part)).map(([key, rule]) => [key, of(rule)]));
  return {
    ...document,
    hiding: each('hiding', alsoBeside),
    houseRules: each('houseRules', (rule) => (takesAway(rule) ? alsoBeside(rule) : rule)),
    version: 6,
  };
}

/** In format 7 a filter belongs where most of what is found meets a condition, instead of having a value. */
const fromSixth = (document: SetupDocument): SetupDocument => ({
  ...document,
  filters: named(
    Object.entries(partIn(document, 'filters')).map(([key, entry]) => [key, upgradeEntry('filters', entry)]),
  ),
  version: 7,
});

/** One step for each format there was, the first being from format 1 to 2. A step never changes once it has shipped. */
const steps: readonly ((document: SetupDocument) => SetupDocument)[] = [
  fromFirst,
  fromSecond,
  fromThird,
  fromFourth,
  fromFifth,
  fromSixth,
];

/**
 * Brings a setup of an earlier format to today's; a document of today's format, or of none that is known, is answered
 * as it is. Drafts, releases and files all go through here.
 */
export function upgradeSetup(document: SetupDocument): SetupDocument {
  const { version } = document;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) return document;
  return steps.slice(version - 1, setupVersion - 1).reduce((upgraded, step) => step(upgraded), document);
}
