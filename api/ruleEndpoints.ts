import { z } from 'zod';
import { cardSchema } from '../core/answer/answer.ts';
import { setupParts } from '../core/setup/registry.ts';
import { ruleParts } from '../core/setup/rulesCsv.ts';
import { conditionSchema } from '../core/setup/terms/condition.ts';
import { longest, most } from '../core/setup/terms/limits.ts';
import { key, productId, searchText } from '../core/setup/terms/texts.ts';
import { endpoint } from './endpoint.ts';
import { mostPagesAsked, pageFoundSchema } from './pageFound.ts';
import { paths } from './paths.ts';

const whole = z.number().int();
/** Products whose amounts are asked for at once. */
const mostAmounts = 500;
const none = z.object({});

export const ruleEndpoints = {
  conditionMet: endpoint({
    ...paths.conditionMet,
    summary: 'How many products of the draft’s catalog meet a condition, and some of them. Changes nothing.',
    query: none,
    body: z.strictObject({ condition: conditionSchema }),
    answer: z.object({
      products: whole,
      ofProducts: whole,
      variants: whole.describe('Those of them that meet it; a product does where one of its variants does.'),
      missing: z
        .array(z.string())
        .describe('Attributes it asks about that the catalog has nothing of, and collections that there are none of.'),
      examples: z.array(cardSchema),
    }),
  }),
  pullFor: endpoint({
    ...paths.pullFor,
    summary:
      'The least strength with which a plan or house rule of the draft brings products among the first of a search. Changes nothing.',
    query: none,
    body: z.strictObject({
      pulled: z
        .discriminatedUnion('of', [
          z.strictObject({ of: z.literal('product'), plan: key, product: productId }),
          z.strictObject({ of: z.literal('condition'), plan: key, at: whole.max(most.planConditions - 1) }),
          z.strictObject({ of: z.literal('rule'), rule: key }),
        ])
        .describe('What is boosted: a product or a condition of a plan, or a house rule.'),
      search: searchText,
      first: whole.min(1).max(most.place),
      many: whole.min(1).max(most.place).describe('How many of the products are wanted there.'),
    }),
    answer: z.object({
      pull: z.number().nullable().describe('Null where no strength brings it there.'),
      place: whole.nullable().describe('Where it then stands; where the strongest brings it, if none is enough.'),
    }),
  }),
  redirects: endpoint({
    ...paths.redirects,
    summary: 'Where the draft sends shoppers instead of results: whether that is there, and whom it caught by the log.',
    query: none,
    body: none,
    answer: z.object({
      redirects: z.array(
        z.object({
          of: z.enum(['plan', 'page']).describe('A shelf plan, or a special page of the empty shelf.'),
          id: z.string(),
          target: z.enum(['product', 'article', 'collection', 'search', 'page', 'elsewhere']),
          isThere: z.boolean().nullable().describe('Null where it is no page of this shop, and is not asked for.'),
          times: whole.describe('How often searches were made that it catches.'),
          searches: z.array(z.string()).describe('Those made most.'),
        }),
      ),
    }),
  }),
  askPages: endpoint({
    ...paths.askPages,
    summary: 'Asks whether pages that the draft’s redirects lead to are there, of the own site and elsewhere.',
    query: none,
    body: z.strictObject({ links: z.array(z.string().max(longest.link)).min(1).max(mostPagesAsked) }),
    answer: z.object({ pages: z.array(z.object({ link: z.string(), found: pageFoundSchema })) }),
  }),
  ruleUse: endpoint({
    ...paths.ruleUse,
    summary:
      'What the shopper log says of the draft’s plans and house rules: how often they hold, and what they work against.',
    query: none,
    body: none,
    answer: z.object({
      searches: whole.describe('Searches made, all told.'),
      plans: z.array(
        z.object({
          id: z.string(),
          times: whole.describe('How often searches were made that it holds for.'),
          isIdle: z
            .boolean()
            .nullable()
            .describe('Whether those made most show the same without it; null where that was not looked at.'),
          against: z
            .array(z.object({ product: z.string(), bought: whole, of: whole }))
            .describe('Products bought after its searches that it lowers or hides.'),
        }),
      ),
      rules: z.array(z.object({ id: z.string(), bought: whole, of: whole })),
    }),
  }),
  readRules: endpoint({
    ...paths.readRules,
    mostBytes: 20_000_000,
    summary:
      'Reads plans, house rules or hidings from CSV or from JSON and says what bringing them in would change; nothing is changed.',
    query: none,
    body: z.strictObject({ part: z.enum(ruleParts), text: z.string().max(5_000_000) }),
    answer: z.object({
      changes: z.array(
        z.object({ key: z.string(), value: z.unknown(), isNew: z.boolean(), sentences: z.array(z.string()) }),
      ),
      unchanged: whole,
      refused: z
        .array(z.object({ line: whole, reason: z.string() }))
        .describe('The first ones; by line, or 0 in JSON.'),
      refusedInAll: whole,
    }),
  }),
  amounts: endpoint({
    ...paths.amounts,
    summary: 'The amounts of some products in one attribute, such as a price or units sold. Changes nothing.',
    query: none,
    body: z.strictObject({ attribute: key, products: z.array(productId).max(mostAmounts) }),
    answer: z.object({
      amounts: z.array(z.object({ product: z.string(), amount: z.number().nullable() })),
    }),
  }),
  ruleFigures: endpoint({
    ...paths.ruleFigures,
    summary: 'What the draft’s house rules and hidings are about now.',
    query: none,
    body: none,
    answer: z.object({
      rules: z.array(
        z.object({
          id: z.string(),
          products: whole,
          missing: z.array(z.string()),
          state: z.enum(['holds', 'early', 'over', 'outOfSeason']),
        }),
      ),
      hidings: z.array(
        z.object({
          key: z.string(),
          products: whole,
          state: z.enum(['holds', 'early', 'over', 'outOfSeason']),
        }),
      ),
    }),
  }),
  ruleEffect: endpoint({
    ...paths.ruleEffect,
    summary:
      'What an entry would move in the searches made most, against the draft without it. Changes nothing; the entry need not be saved.',
    query: none,
    body: z.strictObject({ part: z.enum(setupParts), key: z.string().max(300), value: z.unknown() }),
    answer: z.object({
      looked: whole.describe('Searches looked at.'),
      areMadeUp: z.boolean().describe('Whether they were made up from the catalog.'),
      changed: whole.describe('Of them, those in which anything it is about moves.'),
      up: whole.describe('Products that stand higher in any of them.'),
      down: whole,
      places: z.number().describe('Places moved on average.'),
    }),
  }),
} as const;
