import { z } from 'zod';
import { cardSchema } from '../core/answer/answer.ts';
import { besideSchema } from '../core/answer/beside.ts';
import { companionWhySchema, notShownWhys } from '../core/companions/companion.ts';
import { productId } from '../core/setup/terms/texts.ts';
import { endpoint } from './endpoint.ts';
import { mostBeside } from './limits.ts';
import { paths } from './paths.ts';
import { setupName, shopKey } from './searchQuery.ts';

const none = z.object({});
const whole = z.number().int();
const besideQuery = z.object({
  of: z
    .union([productId, z.array(productId).max(mostBeside)])
    .default([])
    .describe('Variants, or products, that are in the basket or were looked at; absent: none.'),
  at: z.enum(['basket', 'emptyShelf']).describe('Where it is shown, which decides how many there are.'),
});
export type BesideQuery = z.infer<typeof besideQuery>;

const list = z.object({
  shown: z
    .array(z.object({ card: cardSchema, why: companionWhySchema }))
    .describe('As shoppers see them, and some more.'),
  notShown: z
    .array(z.object({ product: z.string(), why: z.enum(notShownWhys) }))
    .describe('Those chosen by hand that do not show now.'),
});

/** What stands beside products. */
export const companionEndpoints = {
  shopBeside: endpoint({
    ...paths.shopBeside,
    summary: 'What some products are now, for a basket, and what goes with them, by the published setup.',
    query: besideQuery.extend({ key: shopKey }),
    body: none,
    answer: besideSchema,
  }),
  deskBeside: endpoint({
    ...paths.deskBeside,
    summary: 'The same under the draft or the published setup.',
    query: besideQuery.extend({ from: setupName.optional() }),
    body: none,
    answer: besideSchema,
  }),
  previewBeside: endpoint({
    ...paths.previewBeside,
    summary: 'The same as it would be under the draft of a preview.',
    query: besideQuery,
    body: none,
    answer: besideSchema,
  }),
  companions: endpoint({
    ...paths.companions,
    summary: 'What stands beside one product under the draft, each with why.',
    query: z.object({ product: productId }),
    body: none,
    answer: z.object({
      kind: z.string().describe('What kind of thing it is; empty where the catalog does not say.'),
      visits: whole.describe('Visits of the log that were looked at; 0 where it has not been counted yet.'),
      companions: list,
      alternatives: list,
    }),
  }),
};
