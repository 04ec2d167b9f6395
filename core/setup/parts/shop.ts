import { z } from 'zod';
import { longest } from '../terms/limits.ts';

/** What shoppers read at the head of the shop, and what its prices are in. */
export const shopSchema = z.strictObject({
  name: z
    .string()
    .trim()
    .min(1, 'A shop has a name.')
    .max(longest.shopName, `A shop’s name has at most ${longest.shopName} letters.`)
    .describe('At the head of the shop.'),
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/, 'A currency is three capital letters, as EUR.')
    .describe('By ISO 4217.'),
});
export type Shop = z.infer<typeof shopSchema>;

export const usualShop: Shop = { name: 'Your shop', currency: 'GBP' };
