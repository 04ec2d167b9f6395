import { z } from 'zod';
import { cardSchema } from './answer.ts';

const amount = z.number().nullable();

/** What is in a basket, as it is now, and what goes with it. */
export const besideSchema = z.object({
  things: z
    .array(
      z.object({
        id: z.string().describe('The variant, or the product, that was asked about.'),
        product: z.string(),
        title: z.string(),
        variant: z.string().describe('What the variant differs in; empty where the product has no others.'),
        picture: z.string().nullable(),
        price: amount,
        available: z.boolean(),
      }),
    )
    .describe('Those asked about that the shop has, in their order.'),
  currency: z.string().describe('What prices are in, by ISO 4217.'),
  companions: z.array(cardSchema).describe('What goes with them and shows at that place.'),
});
export type Beside = z.infer<typeof besideSchema>;
