import { z } from 'zod';

const count = z.number().int();

/** Why a product stands beside another one. */
export const companionWhySchema = z.discriminatedUnion('is', [
  z.object({ is: z.literal('byHand') }),
  z.object({
    is: z.literal('together').describe('Shoppers took or opened both.'),
    both: count.describe('Visits with both.'),
    of: count.describe('Visits with the product whose companions these are, and with anything else.'),
    byChance: z.number().describe('Visits that would have both if the two had nothing to do with one another.'),
    score: z.number().describe('G²: how surprising that is; 10.83 is met by chance once in a thousand pairs.'),
  }),
  z.object({
    is: z.literal('kind').describe('Shoppers took or opened it with others of the kind.'),
    kind: z.string(),
    both: count,
    of: count,
    byChance: z.number(),
    score: z.number(),
  }),
  z.object({
    is: z.literal('catalog').describe('What the catalog says of both.'),
    words: z.array(z.string()),
    values: z.array(z.object({ key: z.string(), value: z.string() })),
    likeness: z.number().min(0).max(1),
  }),
]);
export type CompanionWhy = z.infer<typeof companionWhySchema>;

/** Why a product that was chosen by hand does not show. */
export const notShownWhys = ['gone', 'hidden', 'soldOut'] as const;
export type NotShownWhy = (typeof notShownWhys)[number];
