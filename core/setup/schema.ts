import { z } from 'zod';
import { own } from '../base/named.ts';
import { contentKinds } from '../content/contentKinds.ts';
import {
  filterLayoutSchema,
  filterSettingSchema,
  storefrontLanguagesSchema,
  valueGroupsSchema,
} from './filterSchema.ts';
import { usualLayout } from './filterTerms.ts';
import { shopSchema, usualShop } from './shop.ts';
import { key, productId, searchText, sentence } from './texts.ts';
import { usualSpelling } from './usualSpelling.ts';

/** Longest key of any entry. */
const longestKey = 700;
/** Number of the format that setups are written in; `upgradeSetup` brings earlier ones to it. */
export const setupVersion = 2;

/** What the merchandiser decided about one attribute. An attribute without an entry is not searched and not shown. */
export const attributeSettingSchema = z.strictObject({
  searchable: z.boolean(),
  /** How much finding a word here counts, 0 to 100; only its proportion to the heaviest weight matters. */
  weight: z.number().min(0).max(100),
  onCard: z.boolean(),
  /** Whether early words count more than late ones; absent: no. */
  early: z.boolean().optional(),
  /** Whether other forms of a word, its beginning, and corrections are found here; absent: yes. Codes have no forms and no corrections. */
  forms: z.boolean().optional(),
  prefixes: z.boolean().optional(),
  corrections: z.boolean().optional(),
  /** Whether a find counts only where the search has the whole value; absent: no. */
  whole: z.boolean().optional(),
  /** Which value counts where the file and a decision made here both have one; absent: the decision. */
  wins: z.enum(['here', 'file']).optional(),
});
export type AttributeSetting = z.infer<typeof attributeSettingSchema>;

/** What spelling may do; all but `tolerance` may be left out and is then as in `usualSpelling`. */
const spellingSchema = z
  .strictObject({
    tolerance: z.boolean(),
    /** Letters from which a word may be one edit, or two, away from what it is taken for. */
    oneEditFrom: z.number().int().min(3).max(20).optional(),
    twoEditsFrom: z.number().int().min(5).max(20).optional(),
    /** Whether a search that finds nothing as it is typed is corrected without asking. */
    atOnce: z.boolean().optional(),
    /** Other ways of reading a misspelt search that are offered, at most. */
    offers: z.number().int().min(0).max(5).optional(),
  })
  .refine(
    ({ oneEditFrom = usualSpelling.oneEditFrom, twoEditsFrom = usualSpelling.twoEditsFrom }) =>
      oneEditFrom <= twoEditsFrom,
    { message: 'must allow one typo no later than two' },
  );
/** Width in points of the score, 0 to 100: 0 lets only equal scores tie. */
const closeCallSchema = z.strictObject({ width: z.number().min(0).max(100) });
/**
 * One business signal with its direction. `attribute` is a number, price or date attribute, `availability`, or `margin`
 * (the share of the price that its cost leaves). The others are optional:
 *
 * - `pulledBy`: for ratings, as many ratings at the shop's mean are added to the product's own;
 * - `halfLife`: for dates, newness in whole percent, halved with every so many days;
 * - `lowBelow`: for stock, only whether there are at least so many.
 */
export const tieBreakerSchema = z.strictObject({
  attribute: key,
  direction: z.enum(['high', 'low']),
  pulledBy: z.number().min(0).max(10_000).optional(),
  halfLife: z.number().min(1).max(10_000).optional(),
  lowBelow: z.number().min(1).max(1_000_000).optional(),
});
export type TieBreaker = z.infer<typeof tieBreakerSchema>;
const tieBreakersSchema = z.strictObject({ signals: z.array(tieBreakerSchema).max(12) });

/** Where shoppers meet products that may be sold out: results, the search box while they type, collection pages. */
export const stockPlaces = ['results', 'box', 'collections'] as const;
export type StockPlace = (typeof stockPlaces)[number];
export const soldOutWays = ['asItIs', 'last', 'notAtAll'] as const;
export type SoldOutWay = (typeof soldOutWays)[number];
const soldOutWay = z.enum(soldOutWays);
const soldOutSchema = z.strictObject({ results: soldOutWay, box: soldOutWay, collections: soldOutWay });
/** Whether a search that is exactly one part number leads straight to its product. */
const partNumbersSchema = z.strictObject({ lead: z.boolean() });

/** One entry of the shopper's sorting menu; without signals it is the order of relevance. */
export const orderSchema = z.strictObject({
  key: key,
  label: z.string().trim().min(1).max(60),
  signals: z.array(tieBreakerSchema).max(3),
});
export type SortingOrder = z.infer<typeof orderSchema>;
/** The shopper's sorting menu, in order; one entry stands for relevance, which is what a search begins with. */
const sortingSchema = z.strictObject({
  orders: z
    .array(orderSchema)
    .min(1)
    .max(12)
    .refine((orders) => orders.filter(({ signals }) => signals.length === 0).length === 1, {
      message: 'must have one order by relevance, which names no signal',
    })
    .refine((orders) => new Set(orders.map(({ key: own }) => own)).size === orders.length, {
      message: 'must not have the same key twice',
    }),
});
const byRelevance: SortingOrder = { key: 'relevance', label: 'Best match', signals: [] };

const pullSchema = z.number().min(0.1).max(10);
export const shelfPlanSchema = z.strictObject({
  name: z.string().trim().min(1).max(120),
  on: z.boolean(),
  /** The searches it holds for, compared folded and word by word. */
  searches: z.array(searchText).max(200),
  /** Products at fixed places, counted from 1. */
  pins: z.array(z.strictObject({ product: productId, place: z.number().int().min(1).max(500) })).max(200),
  /** Factors on products' scores: above 1 boosts, below 1 lowers. */
  pulls: z.array(z.strictObject({ product: productId, pull: pullSchema })).max(500),
});
export type ShelfPlan = z.infer<typeof shelfPlanSchema>;

/** Where products show, and can be hidden from. */
export const places = ['results', 'collections', 'emptyShelf'] as const;
export type Place = (typeof places)[number];
/** The places it is hidden from; absent: everywhere. */
const from = z.array(z.enum(places)).min(1).max(places.length).optional();
export const hidingSchema = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('product'), product: productId, from }),
  z.strictObject({ what: z.literal('tag'), tag: z.string().min(1).max(200), from }),
]);
export type Hiding = z.infer<typeof hidingSchema>;

const shortText = z.string().min(1).max(200);
const about = {
  product: productId,
  /** The variant's id, or null where it holds for the whole product. */
  variant: productId.nullable(),
  attribute: key,
};
/** What a merchandiser decided about one attribute of one product; it outlives every import. */
export const decisionSchema = z.discriminatedUnion('act', [
  z.strictObject({
    ...about,
    act: z.literal('set'),
    value: z.union([z.string().min(1).max(32_000), z.number(), z.array(shortText).min(1).max(200)]),
  }),
  z.strictObject({ ...about, act: z.literal('clear') }),
  z.strictObject({
    ...about,
    act: z.literal('tags'),
    attribute: z.literal('tags'),
    add: z.array(shortText).max(100),
    remove: z.array(shortText).max(100),
  }),
]);
export type Decision = z.infer<typeof decisionSchema>;

export const emptyShelfSchema = z.strictObject({
  /** Shown above the rest; `{search}` stands for what the shopper typed. */
  message: sentence,
  searches: z.array(searchText).max(20),
  products: z.array(productId).max(24),
});
export type EmptyShelf = z.infer<typeof emptyShelfSchema>;

/** What is decided about articles and collections: how a kind is found, or that one item is left out. */
export const contentEntrySchema = z.discriminatedUnion('what', [
  z.strictObject({
    what: z.literal('kind'),
    /** Whether search may find it. */
    found: z.boolean(),
    weights: z.record(key, z.number().min(0).max(100)),
  }),
  z.strictObject({ what: z.literal('leftOut'), kind: z.enum(contentKinds), id: productId }),
]);
export type ContentEntry = z.infer<typeof contentEntrySchema>;

const word = z.string().trim().min(1).max(40);
/** One side of a synonym: a word, or up to four that belong together. */
const saying = z
  .string()
  .trim()
  .min(1)
  .max(120)
  .refine((text) => text.split(/\s+/).length <= 4, { message: 'must have at most four words' });
/** How a recognised value counts: as found in the best way there is, or as a filter. */
const recognisedWays = ['strong', 'filter'] as const;
/** What a saying such as "new" or "sale" stands for. */
export const conditionSchema = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('value'), attribute: key, value: z.string().min(1).max(200) }),
  /** Both ends included; null where it is open. */
  z.strictObject({ what: z.literal('number'), attribute: key, from: z.number().nullable(), to: z.number().nullable() }),
  /** Not older than so many days. */
  z.strictObject({ what: z.literal('newer'), attribute: key, days: z.number().int().min(1).max(10_000) }),
  /** Cheaper than it was. */
  z.strictObject({ what: z.literal('reduced') }),
]);
export type Condition = z.infer<typeof conditionSchema>;
const entryName = z.string().trim().min(1).max(80).optional();
/**
 * What is decided about words: those that are passed over, sets that mean the same, words that lead to others one way
 * (`aquarelle` finds watercolour, not the reverse), and what spelling may and may not do.
 */
export const vocabularyEntrySchema = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('stopWords'), words: z.array(word).max(500) }),
  z.strictObject({
    what: z.literal('synonyms'),
    name: entryName,
    words: z.array(saying).min(2).max(20),
    on: z.boolean(),
  }),
  z.strictObject({
    what: z.literal('oneWay'),
    name: entryName,
    from: z.array(saying).min(1).max(20),
    to: z.array(saying).min(1).max(20),
    on: z.boolean(),
  }),
  z.strictObject({ what: z.literal('corrections'), pairs: z.array(z.strictObject({ from: word, to: word })).max(500) }),
  z.strictObject({ what: z.literal('neverCorrected'), words: z.array(word).max(500) }),
  z.strictObject({ what: z.literal('neverOffered'), words: z.array(word).max(500) }),
  /** Words shoppers search for, the commonest first: of equally near corrections these come first. */
  z.strictObject({ what: z.literal('spoken'), words: z.array(word).max(500) }),
  /** Words that belong together: found side by side before apart. */
  z.strictObject({
    what: z.literal('phrases'),
    phrases: z.array(saying.refine((text) => /\s/.test(text), { message: 'must have at least two words' })).max(500),
  }),
  /**
   * What is recognised in a search besides words: limits of price, values of attributes (counted as strong matches, or
   * turned into filters), and sayings that stand for a condition.
   */
  z.strictObject({
    what: z.literal('recognised'),
    price: z.boolean(),
    attributes: z.record(key, z.enum(recognisedWays)).optional(),
    conditions: z
      .array(z.strictObject({ words: saying, condition: conditionSchema }))
      .max(50)
      .optional(),
  }),
]);
export type VocabularyEntry = z.infer<typeof vocabularyEntrySchema>;

const noSoldOutRule = { results: 'asItIs', box: 'asItIs', collections: 'asItIs' } as const;

/** A part that holds any number of entries: what their keys and values are held to, and how many there may be. */
interface OpenPart<Value extends z.ZodType> {
  readonly key: z.ZodString;
  readonly value: Value;
  readonly most: number;
}
const openPart = <Value extends z.ZodType>(part: OpenPart<Value>): OpenPart<Value> => part;
const decisionKeyText = z.string().min(1).max(longestKey);

/** The one definition of what may be written into a part of many entries, and so of what is read from it. */
export const openParts = {
  attributes: openPart({ key, value: attributeSettingSchema, most: 1000 }),
  filters: openPart({ key, value: filterSettingSchema, most: 1000 }),
  plans: openPart({ key, value: shelfPlanSchema, most: 10_000 }),
  hiding: openPart({ key: z.string().min(1).max(220), value: hidingSchema, most: 100_000 }),
  products: openPart({ key: decisionKeyText, value: decisionSchema, most: 200_000 }),
  content: openPart({ key: decisionKeyText, value: contentEntrySchema, most: 100_000 }),
  vocabulary: openPart({ key, value: vocabularyEntrySchema, most: 20_000 }),
  valueGroups: openPart({ key, value: valueGroupsSchema, most: 1000 }),
} as const;

/** Parts whose entries are always there: the schema of each, and what it is until somebody decides. */
export const fixedParts = {
  relevance: {
    spelling: { value: spellingSchema, usual: { tolerance: true } },
    closeCall: { value: closeCallSchema, usual: { width: 3 } },
    tieBreakers: { value: tieBreakersSchema, usual: { signals: [] } },
    soldOut: { value: soldOutSchema, usual: noSoldOutRule },
    partNumbers: { value: partNumbersSchema, usual: { lead: true } },
    sorting: { value: sortingSchema, usual: { orders: [byRelevance] } },
  },
  emptyShelf: {
    content: { value: emptyShelfSchema, usual: { message: '', searches: [], products: [] } },
  },
  storefront: {
    filters: { value: filterLayoutSchema, usual: usualLayout },
    languages: { value: storefrontLanguagesSchema, usual: { list: [] } },
    shop: { value: shopSchema, usual: usualShop },
  },
} as const;

type OpenPartName = keyof typeof openParts;
const isOpenPart = (part: SetupPart): part is OpenPartName => Object.hasOwn(openParts, part);

const openShape = <Name extends OpenPartName>(
  name: Name,
): z.ZodRecord<z.ZodString, (typeof openParts)[Name]['value']> =>
  z.record(openParts[name].key, openParts[name].value) as never;

/**
 * Everything a merchandiser has decided for one storefront. The draft, every release and every file are this. Read one
 * with `readSetup`, which also takes what earlier versions wrote.
 */
export const setupSchema = z.strictObject({
  format: z.literal('clever-shelf-setup'),
  version: z.literal(setupVersion),
  attributes: openShape('attributes'),
  relevance: z.strictObject({
    spelling: spellingSchema,
    closeCall: closeCallSchema,
    tieBreakers: tieBreakersSchema,
    soldOut: soldOutSchema,
    partNumbers: partNumbersSchema,
    sorting: sortingSchema,
  }),
  filters: openShape('filters'),
  plans: openShape('plans'),
  hiding: openShape('hiding'),
  emptyShelf: z.strictObject({ content: emptyShelfSchema }),
  products: openShape('products'),
  content: openShape('content'),
  vocabulary: openShape('vocabulary'),
  valueGroups: openShape('valueGroups'),
  storefront: z.strictObject({
    filters: filterLayoutSchema,
    languages: storefrontLanguagesSchema,
    shop: shopSchema,
  }),
});
export type Setup = z.infer<typeof setupSchema>;

export const setupParts = [
  'attributes',
  'relevance',
  'filters',
  'plans',
  'hiding',
  'emptyShelf',
  'products',
  'content',
  'vocabulary',
  'valueGroups',
  'storefront',
] as const;
export type SetupPart = (typeof setupParts)[number];

/** The schema one entry of a part is held to, or null where the part has no such entry: one for writing and reading. */
export function entrySchema(part: SetupPart, entry: string): z.ZodType | null {
  if (isOpenPart(part)) return openParts[part].key.safeParse(entry).success ? openParts[part].value : null;
  const entries: Readonly<Record<string, { readonly value: z.ZodType }>> = fixedParts[part];
  return own(entries, entry)?.value ?? null;
}

/** Most entries a part may hold. */
export const mostEntries = (part: SetupPart): number =>
  isOpenPart(part) ? openParts[part].most : Object.keys(fixedParts[part]).length;

/** Entries that must always be there: they can be changed but not removed. */
export function isFixedEntry(part: SetupPart): boolean {
  return !isOpenPart(part);
}
