import { z } from 'zod';
import { cardSchema } from '../answer/answer.ts';

const line = z.object({ key: z.string(), label: z.string(), value: z.string() });
const amount = z.number().nullable();

/** One product as its own page shows it. */
export const productDetailSchema = z.object({
  id: z.string(),
  title: z.string(),
  brand: z.string().nullable(),
  description: z.string(),
  descriptionMarkup: z
    .string()
    .nullable()
    .describe('The description as the catalog has it marked up, safe to show as HTML; null where it is plain text.'),
  picture: z.string().nullable(),
  pictures: z.array(z.string()).describe('Those of all its variants, in their order, none twice.'),
  link: z.string().nullable(),
  currency: z.string().describe('What its prices are in, by ISO 4217.'),
  lowest: amount.describe('The lowest price of its variants.'),
  highest: amount,
  available: z.boolean().describe('Whether at least one variant is in stock.'),
  details: z.array(line).describe('Attributes that all variants share.'),
  notIndexed: z.boolean().describe('Whether search engines are told to leave its page out.'),
  path: z.array(z.string()).describe('The levels of its category, the highest first; none where it has none.'),
  pathFilter: z.string().nullable().describe('The filter by which all products of a level are found; null for none.'),
  options: z
    .array(z.object({ key: z.string(), label: z.string(), values: z.array(z.string()) }))
    .describe('What a variant is chosen by, each with its values; none where variants are chosen from a list.'),
  companions: z.array(cardSchema).describe('What goes with it.'),
  alternatives: z.array(cardSchema).describe('What stands in for it.'),
  variants: z.array(
    z.object({
      id: z.string(),
      sku: z.string(),
      name: z
        .string()
        .describe('What it differs in, or its part number where it differs in nothing shoppers are shown.'),
      chosen: z.array(z.string()).describe('Its values of the options, in their order.'),
      details: z.array(line).describe('What it differs in besides.'),
      price: amount,
      formerPrice: amount,
      available: z.boolean(),
      stock: amount,
      picture: z.string().nullable(),
      pictures: z.array(z.string()).describe('Its own.'),
    }),
  ),
});
export type ProductDetail = z.infer<typeof productDetailSchema>;
