import { z } from 'zod';
import { isTimeZone } from '../../base/localTime.ts';
import { longest } from './limits.ts';

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
  address: z
    .string()
    .trim()
    .max(longest.webAddress)
    .regex(/^https?:\/\/[^\s/]+/, 'A web address begins with http:// or https://.')
    .optional()
    .describe('Where shoppers know it from.'),
  country: z
    .string()
    .regex(/^[A-Z]{2}$/, 'A country is two capital letters, as DE.')
    .optional()
    .describe('Where it sells, by ISO 3166-1: whose stock and prices it takes of a file that has several.'),
  /** Whether its prices have the tax in them, and at which rate in percent; absent: nothing is said of tax. */
  tax: z.strictObject({ included: z.boolean(), rate: z.number().min(0).max(100) }).optional(),
  timeZone: z
    .string()
    .max(60)
    .refine(isTimeZone, 'There is no such time zone.')
    .optional()
    .describe('In which its days begin and end; absent: UTC.'),
});
export type Shop = z.infer<typeof shopSchema>;

export const usualShop: Shop = { name: 'Your shop', currency: 'GBP' };
