import { z } from 'zod';
import { cardSchema, resultSchema, searchAnswerSchema } from '../core/answer/answer.ts';
import { shownArticleSchema } from '../core/content/shownArticle.ts';
import { productDetailSchema } from '../core/product/productDetail.ts';
import { longestQuery } from '../core/query/readUnits.ts';
import { setupParts } from '../core/setup/registry.ts';
import { rungs } from '../core/setup/terms/ladderTerms.ts';
import { momentText } from '../core/setup/terms/moments.ts';
import { decisionKeyText, productId } from '../core/setup/terms/texts.ts';
import { boxAnswerSchema } from '../core/suggest/boxAnswer.ts';
import { catalogEndpoints } from './catalogEndpoints.ts';
import { companionEndpoints } from './companionEndpoints.ts';
import { contentEndpoints } from './contentEndpoints.ts';
import { deadEndEndpoints } from './deadEndEndpoints.ts';
import { demandEndpoints } from './demandEndpoints.ts';
import { effectEndpoints } from './effectEndpoints.ts';
import { endpoint } from './endpoint.ts';
import { filterEndpoints } from './filterEndpoints.ts';
import { followingEndpoints } from './followingEndpoints.ts';
import { historyEndpoints } from './historyEndpoints.ts';
import { longestNote, mostEdits, mostStorefronts } from './limits.ts';
import { paths } from './paths.ts';
import { previewEndpoints } from './previewEndpoints.ts';
import { productEndpoints } from './productEndpoints.ts';
import { proposalEndpoints } from './proposalEndpoints.ts';
import { ruleEndpoints } from './ruleEndpoints.ts';
import {
  deskSearchQuery,
  deskSuggestQuery,
  flag,
  sayings,
  setupName,
  shopKey,
  shopSearchQuery,
  shopSuggestQuery,
} from './searchQuery.ts';
import { shopKeyEndpoints } from './shopKeyEndpoints.ts';
import { deskStateSchema } from './stateSchema.ts';
import { storefrontEndpoints } from './storefrontEndpoints.ts';
import { vocabularyEndpoints } from './vocabularyEndpoints.ts';
import { explainedWordSchema } from './wordSchema.ts';

const none = z.object({});
const revision = z.number().int().min(0).describe('The draft revision the writer saw.');

export const attributeSchema = z.object({
  key: z.string(),
  label: z.string(),
  kind: z.enum(['text', 'list', 'path', 'number', 'price', 'date', 'code', 'link']),
  coverage: z.number(),
  values: z.number().int(),
  samples: z.array(z.string()),
  averageWords: z.number(),
  variesWithin: z.number().describe('Of the products with several variants, the share whose variants differ in it.'),
  canSearch: z.boolean(),
  canFilter: z.boolean(),
  isNumeric: z.boolean(),
  canDecide: z.boolean().describe('Whether its value can be set by hand.'),
  wins: z.enum(['here', 'file']).optional(),
  advice: z.array(z.object({ code: z.string(), text: z.string(), where: z.enum(['reading', 'products', 'here']) })),
  searchable: z.boolean(),
  weight: z.number(),
  onCard: z.boolean(),
});
export type AttributeRow = z.infer<typeof attributeSchema>;

export const releaseSchema = z.object({
  number: z.number().int(),
  at: z.string(),
  who: z.string(),
  note: z.string(),
  sentences: z.array(z.string()).describe('What it changed against the release before it.'),
  live: z.boolean(),
});
export type ReleaseRow = z.infer<typeof releaseSchema>;

const lettersNeededSchema = z.object({
  looked: z.number().int().describe('Searches looked at: those made most.'),
  sooner: z.number().int().describe('Those that the box has before they are typed to the end.'),
  letters: z.number().describe('Letters typed until then, on average by how often they are made.'),
  ofLetters: z.number().describe('Letters of the searches themselves, likewise.'),
});

const ladderTrialSchema = z.object({
  looked: z.number().int().describe('Different searches tried: those made most.'),
  times: z.number().int().describe('How often they were made.'),
  steps: z.array(
    z.object({
      reached: z
        .enum(['itself', 'nowhere', ...rungs])
        .describe('Found as it was typed, by the step that was needed last, or not at all.'),
      searches: z.number().int(),
      times: z.number().int(),
      clicked: z.number().int().describe('Of the times it was made, those that led to a click.'),
      examples: z.array(z.object({ search: z.string(), times: z.number().int(), instead: z.string().nullable() })),
    }),
  ),
});

const stepBody = z.strictObject({
  revision,
  changedSince: z
    .enum(['ask', 'keep', 'take'])
    .default('ask')
    .describe('What becomes of entries that others changed since.'),
});

const ownEndpoints = {
  shopSearch: endpoint({
    ...paths.shopSearch,
    summary: 'What a shopper finds, by the published setup.',
    query: shopSearchQuery,
    body: none,
    answer: searchAnswerSchema,
  }),
  deskSearch: endpoint({
    ...paths.deskSearch,
    summary: 'The same under the draft or the published setup, with the marks only the desk sees.',
    query: deskSearchQuery,
    body: none,
    answer: searchAnswerSchema,
  }),
  previewSearch: endpoint({
    ...paths.previewSearch,
    summary: 'What a shopper would find under the draft that a link leads to.',
    query: shopSearchQuery,
    body: none,
    answer: searchAnswerSchema.extend({ preview: z.object({ name: z.string(), endsAt: z.string() }) }),
  }),
  shopSuggest: endpoint({
    ...paths.shopSuggest,
    summary: 'Everything that hangs under the search box, for what is typed so far, by the published setup.',
    query: shopSuggestQuery,
    body: none,
    answer: boxAnswerSchema,
  }),
  deskSuggest: endpoint({
    ...paths.deskSuggest,
    summary: 'The same under the draft or the published setup.',
    query: deskSuggestQuery,
    body: none,
    answer: boxAnswerSchema,
  }),
  lettersNeeded: endpoint({
    ...paths.lettersNeeded,
    summary:
      'After how many letters the search box has what shoppers search for most, under the draft and as published.',
    query: none,
    body: none,
    answer: z.object({ draft: lettersNeededSchema, live: lettersNeededSchema }),
  }),
  ladderTrial: endpoint({
    ...paths.ladderTrial,
    summary:
      'Which step of the ladder the searches made most need to find something, under the draft and as published.',
    query: none,
    body: none,
    answer: z.object({ draft: ladderTrialSchema, live: ladderTrialSchema }),
  }),
  previewSuggest: endpoint({
    ...paths.previewSuggest,
    summary: 'The same under the draft that a link leads to.',
    query: shopSuggestQuery,
    body: none,
    answer: boxAnswerSchema,
  }),
  previewProduct: endpoint({
    ...paths.previewProduct,
    summary: 'One product as its own page would show it under that draft.',
    query: z.object({ id: productId }),
    body: none,
    answer: productDetailSchema,
  }),
  previewArticle: endpoint({
    ...paths.previewArticle,
    summary: 'One article as its own page would show it under that draft.',
    query: z.object({ id: productId }),
    body: none,
    answer: shownArticleSchema,
  }),
  shopProduct: endpoint({
    ...paths.shopProduct,
    summary: 'One product as its own page shows it, by the published setup.',
    query: z.object({ id: productId, key: shopKey }),
    body: none,
    answer: productDetailSchema,
  }),
  deskShopProduct: endpoint({
    ...paths.deskShopProduct,
    summary: 'The same under the draft or the published setup.',
    query: z.object({ id: productId, from: setupName.optional() }),
    body: none,
    answer: productDetailSchema,
  }),
  shopArticle: endpoint({
    ...paths.shopArticle,
    summary: 'One article as its own page shows it, by the published setup.',
    query: z.object({ id: productId, key: shopKey }),
    body: none,
    answer: shownArticleSchema,
  }),
  deskShopArticle: endpoint({
    ...paths.deskShopArticle,
    summary: 'The same under the draft or the published setup.',
    query: z.object({ id: productId, from: setupName.optional() }),
    body: none,
    answer: shownArticleSchema,
  }),
  why: endpoint({
    ...paths.why,
    summary: 'One product of a search, with its arithmetic.',
    query: z
      .object({
        q: z.string().max(512).default(''),
        product: z.string().max(200),
        from: setupName.optional(),
        sort: z.string().max(80).default(''),
        collection: z.string().max(200).default(''),
        asWords: sayings,
        exactly: flag.default(false),
        at: momentText.optional().describe('The moment it is asked as of, on the storefront’s clock.'),
      })
      .catchall(z.unknown()),
    body: none,
    answer: z.object({ result: resultSchema.nullable(), total: z.number().int() }),
  }),
  words: endpoint({
    ...paths.words,
    summary: 'How each word of a search was taken, why not otherwise, and which products it would find are hidden.',
    query: z.object({
      q: z.string().max(longestQuery).default(''),
      from: setupName.optional(),
      asWords: sayings,
    }),
    body: none,
    answer: z.object({
      words: z.array(explainedWordSchema),
      hidden: z.array(z.object({ product: z.string(), title: z.string(), rules: z.array(z.string()) })),
    }),
  }),
  state: endpoint({
    ...paths.state,
    summary: 'The draft and how it differs from what is published.',
    query: none,
    body: none,
    answer: deskStateSchema,
  }),
  setAside: endpoint({
    ...paths.setAside,
    summary: 'Entries of the draft that this version cannot read, as they are kept.',
    query: none,
    body: none,
    answer: z.object({
      entries: z.array(z.object({ part: z.string(), key: z.string(), value: z.unknown(), reason: z.string() })),
    }),
  }),
  edit: endpoint({
    ...paths.edit,
    mostBytes: 16_000_000,
    summary: 'Changes entries of the draft, all or none.',
    query: none,
    body: z.strictObject({
      revision,
      edits: z
        .array(z.strictObject({ part: z.enum(setupParts), key: decisionKeyText, value: z.unknown() }))
        .min(1)
        .max(mostEdits),
    }),
    answer: deskStateSchema,
  }),
  undo: endpoint({
    ...paths.undo,
    summary: 'Takes one’s own last step in the draft back.',
    query: none,
    body: stepBody,
    answer: deskStateSchema,
  }),
  redo: endpoint({
    ...paths.redo,
    summary: 'Makes the last edit taken back again.',
    query: none,
    body: stepBody,
    answer: deskStateSchema,
  }),
  publish: endpoint({
    ...paths.publish,
    summary: 'Makes the draft what shoppers get, in one step.',
    query: none,
    body: z.strictObject({
      revision,
      note: z.string().max(longestNote).default(''),
      heldBack: z
        .array(z.string().max(80))
        .max(mostStorefronts)
        .default([])
        .describe('Storefronts that follow parts of this one and are to keep them as they are.'),
    }),
    answer: deskStateSchema,
  }),
  releases: endpoint({
    ...paths.releases,
    summary: 'What was published, newest first.',
    query: none,
    body: none,
    answer: z.object({ releases: z.array(releaseSchema) }),
  }),
  takeBack: endpoint({
    ...paths.takeBack,
    summary: 'Publishes an older release again; the draft is left as it is.',
    query: none,
    body: z.strictObject({ number: z.number().int().min(1) }),
    answer: deskStateSchema,
  }),
  attributes: endpoint({
    ...paths.attributes,
    summary: 'Every attribute of the catalog with what the draft decides about it.',
    query: none,
    body: none,
    answer: z.object({ attributes: z.array(attributeSchema) }),
  }),
  values: endpoint({
    ...paths.values,
    summary: 'The values of one attribute with their products, commonest first.',
    query: z.object({ attribute: z.string().max(80), contains: z.string().max(80).default('') }),
    body: none,
    answer: z.object({
      values: z.array(z.object({ value: z.string(), products: z.number().int() })),
      more: z.number().int(),
    }),
  }),
  products: endpoint({
    ...paths.products,
    summary: 'Products by id, for showing what plans and lists name; one that is gone is left out.',
    query: z.object({ id: z.union([z.string().max(200), z.array(z.string().max(200)).max(500)]) }),
    body: none,
    answer: z.object({ products: z.array(cardSchema) }),
  }),
} as const;

/** Every endpoint of the application. Its type is told by name, as it is too long to be written out. */
export const endpoints: typeof ownEndpoints &
  typeof catalogEndpoints &
  typeof productEndpoints &
  typeof storefrontEndpoints &
  typeof followingEndpoints &
  typeof historyEndpoints &
  typeof previewEndpoints &
  typeof shopKeyEndpoints &
  typeof demandEndpoints &
  typeof companionEndpoints &
  typeof contentEndpoints &
  typeof deadEndEndpoints &
  typeof proposalEndpoints &
  typeof ruleEndpoints &
  typeof effectEndpoints &
  typeof filterEndpoints &
  typeof vocabularyEndpoints = {
  ...ownEndpoints,
  ...catalogEndpoints,
  ...productEndpoints,
  ...storefrontEndpoints,
  ...followingEndpoints,
  ...historyEndpoints,
  ...previewEndpoints,
  ...shopKeyEndpoints,
  ...demandEndpoints,
  ...companionEndpoints,
  ...contentEndpoints,
  ...deadEndEndpoints,
  ...proposalEndpoints,
  ...ruleEndpoints,
  ...effectEndpoints,
  ...filterEndpoints,
  ...vocabularyEndpoints,
};
