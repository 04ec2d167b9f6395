import { z } from 'zod';
import { safeLink } from '../catalog/safeLink.ts';

const id = z.string().min(1).max(200);
const title = z.string().min(1).max(500);

/** Something to read: found by search beside the products. */
export const articleSchema = z.strictObject({
  id,
  title,
  text: z.string().max(100_000).default(''),
  link: z.string().max(2000).default('').transform(safeLink),
  picture: z.string().max(2000).default('').transform(safeLink),
  tags: z.array(z.string().max(200)).max(100).default([]),
});
export type Article = z.infer<typeof articleSchema>;

/** Products that belong together: by a rule over one attribute, or by hand in the order given. */
export const collectionSchema = z
  .strictObject({
    id,
    title,
    text: z.string().max(10_000).default(''),
    picture: z.string().max(2000).default('').transform(safeLink),
    attribute: z.string().max(80).default(''),
    values: z.array(z.string().max(500)).max(1000).default([]),
    products: z.array(id).max(5000).default([]),
    /** The attribute its page is ordered by, where it is not by hand; empty for the shop's own order. */
    sort: z.string().max(80).default(''),
    direction: z.enum(['high', 'low']).default('high'),
  })
  .refine(({ attribute, values, products }) => products.length > 0 || (attribute !== '' && values.length > 0), {
    message: 'names neither products nor an attribute with values',
    path: ['products'],
  });
export type Collection = z.infer<typeof collectionSchema>;

export interface Content {
  readonly articles: readonly Article[];
  readonly collections: readonly Collection[];
}
