import { z } from 'zod';
import { safeLink } from '../catalog/safeLink.ts';
import { longestContent, mostContent } from '../setup/terms/contentTerms.ts';

const id = z.string().min(1).max(longestContent.id);
const title = z.string().min(1).max(longestContent.title);
const address = z.string().max(longestContent.link).default('').transform(safeLink);

/** Something to read: found by search beside the products. Its text may be marked up. */
export const importedArticle = z.strictObject({
  id,
  title,
  text: z.string().max(longestContent.articleText).default(''),
  link: address,
  picture: address,
  tags: z.array(z.string().max(longestContent.tag)).max(mostContent.tags).default([]),
});

/** Products that belong together: by a rule over one attribute, or by hand in the order given. */
export const importedCollection = z
  .strictObject({
    id,
    title,
    text: z.string().max(longestContent.collectionText).default(''),
    picture: address,
    /** The collection it stands below, by id. */
    parent: z.string().max(longestContent.id).default(''),
    attribute: z.string().max(80).default(''),
    values: z.array(z.string().max(500)).max(1000).default([]),
    products: z.array(id).max(mostContent.products).default([]),
    /** The attribute its page is ordered by, where it is not by hand; empty for the shop's own order. */
    sort: z.string().max(80).default(''),
    direction: z.enum(['high', 'low']).default('high'),
  })
  .refine(({ attribute, values, products }) => products.length > 0 || (attribute !== '' && values.length > 0), {
    message: 'names neither products nor an attribute with values',
    path: ['products'],
  });

/** Articles and collections as files brought them. */
export interface ImportedContent {
  readonly articles: readonly z.infer<typeof importedArticle>[];
  readonly collections: readonly z.infer<typeof importedCollection>[];
}
