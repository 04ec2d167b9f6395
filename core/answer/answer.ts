import { z } from 'zod';
import { nearSources } from '../query/nearTexts.ts';
import { cardArrangementSchema } from '../setup/parts/resultsPage/card.ts';
import { layoutSchema } from '../setup/parts/resultsPage.ts';
import { filterLayoutSchema } from '../setup/parts/storefront.ts';
import { badgePlaces } from '../setup/terms/badgeTerms.ts';
import { besideKinds, besidePlaces, blockPlaces } from '../setup/terms/besidesTerms.ts';
import { conditionSchema } from '../setup/terms/condition.ts';
import { filterKinds } from '../setup/terms/filterTerms.ts';
import { pagePieces } from '../setup/terms/pageTerms.ts';
import { shopSaid } from './shopSaid.ts';
import { points, sourceSchema, whySchema } from './why.ts';

/**
 * The one shape in which results are reported: by the shop's interface, the desk's preview and the terminal.
 */
const namedSchema = z.object({ id: z.string(), title: z.string() });

export const filterValueSchema = z.object({
  value: z.string().describe('What choosing it says.'),
  label: z.string().describe('What shoppers read, in their language; of a path its last level.'),
  count: z
    .number()
    .int()
    .describe(
      'Products, families counted once, that choosing this value would show; of a filter that wants all, choosing it as well.',
    ),
  chosen: z.boolean(),
  depth: z.number().int().optional().describe('Of a tree: levels above it.'),
  from: z.number().nullable().optional().describe('Of ranges and ratings: from this amount …'),
  to: z.number().nullable().optional().describe('… up to below that one; null where open.'),
  days: z.number().optional().describe('Of dates: not older than so many days.'),
  colour: z.string().optional(),
  picture: z.string().optional(),
});
export const filterAnswerSchema = z.object({
  key: z.string(),
  label: z.string(),
  kind: z.enum(filterKinds),
  counts: z.boolean().describe('Whether shoppers see the counts.'),
  help: z.string().optional(),
  allOf: z.boolean().optional().describe('Of several chosen values, products must have all; otherwise any.'),
  oneOf: z.boolean().optional().describe('At most one value is chosen, though its kind would take several.'),
  anyEntry: z.boolean().optional().describe('Whether an entry takes the choice back.'),
  selectAll: z.boolean().optional(),
  closed: z.boolean().optional().describe('Collapsed until it is opened.'),
  showFirst: z.number().int().describe('Values shown before the shopper asks for more.'),
  search: z.boolean().optional().describe('Whether its values can be looked through; where absent, if they are many.'),
  isMoney: z.boolean().describe('Whether its amounts are money.'),
  currency: z.string().optional().describe('Of money: what its amounts are in, by ISO 4217.'),
  preselected: z
    .array(z.string())
    .optional()
    .describe('What is chosen as long as the shopper says nothing of this filter.'),
  values: z.array(filterValueSchema),
  more: z.number().int().describe('Values left out beyond the limit; `like` looks through them.'),
  range: z
    .object({
      least: z.number(),
      most: z.number(),
      chosen: z.string().nullable(),
      histogram: z.array(z.number().int()).optional().describe('Products in equal parts from least to most.'),
    })
    .optional()
    .describe('Ends over the results with the other filters applied, and what is chosen.'),
});
export type FilterValue = z.infer<typeof filterValueSchema>;
export type FilterAnswer = z.infer<typeof filterAnswerSchema>;

export const marksSchema = z.object({
  pin: sourceSchema.optional(),
  first: sourceSchema.optional(),
  broughtIn: z.boolean().optional(),
  pull: z.number().optional(),
  exactSku: z.boolean().optional(),
  moved: z
    .number()
    .int()
    .nullable()
    .optional()
    .describe('Places gained since what is published; null: it was not among the first ones there.'),
});
export type Marks = z.infer<typeof marksSchema>;

const badgeAnswerSchema = z.object({
  text: z.string(),
  place: z.enum(badgePlaces),
  colour: z.string().describe('Its ground, as #rrggbb; its text is black or white, whichever is read better on it.'),
});
export type BadgeAnswer = z.infer<typeof badgeAnswerSchema>;

export const cardSchema = z.object({
  id: z.string(),
  familyId: z.string(),
  sku: z.string(),
  title: z.string(),
  brand: z.string().nullable(),
  price: z.number().nullable(),
  currency: z.string().describe('What its prices are in, by ISO 4217.'),
  formerPrice: z.number().nullable(),
  rating: z.number().nullable(),
  ratings: z.number().optional().describe('How many ratings it has, where cards tell it.'),
  available: z.boolean().describe('Whether at least one variant is in stock.'),
  variantAvailable: z.boolean().describe('Whether the variant shown is in stock.'),
  showsPicture: z.boolean().describe('Whether cards have pictures; one that is missing is drawn.'),
  picture: z.string().nullable(),
  second: z.string().optional().describe('Another picture, where cards show one when pointed at.'),
  link: z.string().nullable(),
  variants: z.number().int().describe('Variants of the family in the catalog.'),
  details: z.array(z.object({ key: z.string(), label: z.string(), value: z.string() })),
  text: z.string().optional().describe('The beginning of its description, where cards have it.'),
  choices: z
    .object({
      label: z.string().describe('The attribute that tells the variants apart.'),
      more: z.number().int().describe('Values that are not among these.'),
      of: z.array(
        z.object({
          id: z.string(),
          sku: z.string(),
          label: z.string(),
          colour: z.string().optional(),
          price: z.number().nullable(),
          formerPrice: z.number().nullable(),
          available: z.boolean(),
          picture: z.string().nullable(),
          badges: z.array(badgeAnswerSchema),
        }),
      ),
    })
    .optional()
    .describe('One variant of each value, where cards have them and there are several.'),
  badges: z.array(badgeAnswerSchema).describe('Those of the variant shown, in their order; none at the desk.'),
  ownCard: z.string().optional().describe('The key of the card of its own that it has; absent: the usual one.'),
});
export type Card = z.infer<typeof cardSchema>;

export const resultSchema = cardSchema.extend({
  place: z.number().int(),
  score: points.describe('After pulls; 0 where no words were looked for or the product is only pinned.'),
  marks: marksSchema.optional(),
  why: whySchema.optional(),
});
export type Result = z.infer<typeof resultSchema>;

/** A product that lacks one word of the search. */
export const closeResultSchema = cardSchema.extend({
  score: points.describe('What the other words give, less the share of the missing one.'),
  without: z.string().describe('The word it lacks.'),
});
export type CloseResult = z.infer<typeof closeResultSchema>;

/** Why a pinned product is not there. */
const gapReasons = ['waits', 'soldOut', 'hidden', 'notAmongOnly', 'elsewhere', 'filtered', 'gone'] as const;
const gapSchema = z.object({
  product: z.string(),
  title: z.string(),
  place: z.number().int(),
  why: z.enum(gapReasons),
  plan: z.object({ id: z.string(), name: z.string() }),
});
export type Gap = z.infer<typeof gapSchema>;

export const searchAnswerSchema = z.object({
  query: z.string(),
  scoped: sourceSchema
    .extend({
      wordsOut: z.array(z.string()).describe('Words of the search that are not looked for.'),
      within: conditionSchema.nullable().describe('What is looked at only; null for everything.'),
    })
    .nullable()
    .describe('What a plan takes out of the search, and where it looks.'),
  gaps: z.array(gapSchema).optional().describe('For the desk: pinned products that are not at their places, by place.'),
  takenFor: sourceSchema
    .extend({ search: z.string() })
    .nullable()
    .describe('The search that a plan takes this one for; null where it is taken as it is.'),
  banners: z
    .array(
      sourceSchema.extend({
        where: z.enum(['above', 'grid', 'below']),
        place: z.number().int().describe('Of one among the results: it stands before the product at this place.'),
        text: z.string(),
        link: z.string().nullable(),
        picture: z.string().nullable(),
      }),
    )
    .describe('What plans say to shoppers on this page, in the order in which it stands.'),
  redirect: sourceSchema
    .extend({ link: z.string() })
    .nullable()
    .describe('Where a plan sends the shopper instead. The results stand beside it: a shop may show them or go.'),
  total: z.number().int().describe('Products (families) found.'),
  page: z.number().int(),
  limit: z.number().int(),
  results: z
    .array(resultSchema)
    .describe('Those of the page; where the layout goes on below, those of all pages up to it.'),
  pieces: z.array(z.enum(pagePieces)).describe('What the page of results is made of, in order.'),
  layout: layoutSchema.describe('How the results stand.'),
  arrangement: cardArrangementSchema.describe('What their cards are made of, in order.'),
  ownCards: z
    .array(z.object({ key: z.string(), card: cardArrangementSchema }))
    .describe('Cards of their own, which some products have instead.'),
  close: z
    .array(closeResultSchema)
    .describe('Where the first page has room left: what lacks one word, the best first. Not part of `total`.'),
  filters: z.array(filterAnswerSchema),
  filtersNotShown: z
    .array(z.object({ key: z.string(), why: z.enum(['elsewhere', 'otherFilters', 'waiting', 'uniform', 'empty']) }))
    .describe('Filters of the shop that are not beside these results, and why.'),
  ...shopSaid,
  filterLayout: filterLayoutSchema,
  sorting: z
    .array(z.object({ key: z.string(), label: z.string(), chosen: z.boolean() }))
    .describe('The orders a shopper may choose from, as `sort`.'),
  understood: z
    .object({ text: z.string(), from: z.number().nullable(), to: z.number().nullable() })
    .nullable()
    .describe('A limit of price that was recognised in the search; `asWords` takes it as words.'),
  recognised: z
    .array(
      z.object({
        text: z.string(),
        as: z.enum(['strong', 'filter']),
        named: z.object({ attribute: z.string(), label: z.string(), value: z.string() }).nullable(),
      }),
    )
    .describe(
      'What words of the search were recognised as: a value, or a condition (null). `asWords` takes one as words.',
    ),
  leadsTo: z.string().nullable().describe('The product whose part number the search is, as a whole.'),
  corrections: z.array(z.object({ from: z.string(), to: z.string() })),
  offers: z
    .array(z.string())
    .describe('What a misspelt search may have been meant as: whole searches, likeliest first.'),
  dropped: z.array(z.string()).describe('Words left out, since nothing has all of them.'),
  loosened: z
    .array(z.string())
    .describe('What was recognised, and taken as plain words after all, since nothing would have been left.'),
  near: z
    .object({ search: z.string(), from: z.enum(nearSources) })
    .nullable()
    .describe('The search, near in meaning, that was looked for instead; null where this one was.'),
  outside: namedSchema
    .nullable()
    .describe('The collection it was asked in, where the whole shop was looked through instead.'),
  exactly: z.boolean().describe('Whether just what was typed was looked for, without another step.'),
  together: z.array(z.string()).describe('Phrases of the vocabulary: only what has their words side by side is shown.'),
  ignoredFilters: z.array(z.string()).describe('Chosen filters that this shop does not have.'),
  ignored: z
    .array(
      z.object({
        parameter: z.string(),
        value: z.string(),
        reason: z
          .enum(['unknown', 'not-here', 'no-range'])
          .describe('There is none of that name, it is not beside these results, or the value is no range.'),
      }),
    )
    .describe('What was asked for and not done: filters, ranges, a sorting or a collection.'),
  collection: z
    .object({
      id: z.string(),
      title: z.string(),
      text: z.string(),
      picture: z.string().nullable(),
      above: z.array(namedSchema).describe('Collections it stands below, the nearest last.'),
      below: z.array(namedSchema).describe('Collections right below it.'),
    })
    .nullable()
    .describe('The collection whose products these are, where one was asked for.'),
  collections: z.array(z.object({ id: z.string(), title: z.string(), picture: z.string().nullable() })),
  articles: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      link: z.string(),
      picture: z.string().nullable(),
      extract: z.string(),
    }),
  ),
  besides: z
    .object({
      after: z.number().int().describe('Products before what stands between them.'),
      show: z.enum(besideKinds).nullable().describe('What all of is shown, in place of the products.'),
      collections: z.object({ where: z.enum(besidePlaces), total: z.number().int() }),
      articles: z.object({ where: z.enum(besidePlaces), total: z.number().int() }),
    })
    .describe('Where articles and collections stand, and how many there are: at most 60 of each are looked for.'),
  blocks: z
    .array(
      z.object({
        collection: namedSchema,
        heading: z.string(),
        where: z.enum(blockPlaces),
        total: z.number().int(),
        cards: z.array(cardSchema),
      }),
    )
    .describe('What has all the words within some collections.'),
  emptyShelf: z
    .object({
      special: z.string().describe('The special page it is, by its key; empty for the usual one.'),
      message: z.string(),
      tips: z.array(z.string()),
      searches: z.array(z.string()),
      products: z.array(cardSchema).describe('Chosen ones.'),
      bestSellers: z.array(cardSchema),
      newest: z.array(cardSchema),
      collection: z.object({ id: z.string(), title: z.string(), picture: z.string().nullable() }).nullable(),
      articles: z.array(z.object({ id: z.string(), title: z.string(), link: z.string() })),
      link: z.string().nullable().describe('Where the shopper is sent instead.'),
      unavailable: z
        .object({ partNumber: z.string(), alternatives: z.array(cardSchema) })
        .nullable()
        .describe('The part number that the search is, where its product is not shown, and what may stand in for it.'),
    })
    .nullable()
    .describe('What stands there where nothing is found.'),
});
export type SearchAnswer = z.infer<typeof searchAnswerSchema>;
