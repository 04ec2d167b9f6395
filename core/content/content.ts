import { z } from 'zod';
import { safeLink } from '../catalog/safeLink.ts';
import { asksAboutCollections, conditionSchema } from '../setup/terms/condition.ts';
import { longestContent, mostContent } from '../setup/terms/contentTerms.ts';
import { most } from '../setup/terms/limits.ts';
import { inOrder, spanFields } from '../setup/terms/moments.ts';

/** The value a cell writes as JSON; the cell itself where it is none, so that it is refused as what it is. */
function readJson(cell: unknown): unknown {
  if (typeof cell !== 'string') return cell;
  try {
    return JSON.parse(cell);
  } catch {
    return cell;
  }
}
function readYearly(cell: unknown): unknown {
  if (typeof cell !== 'string') return cell;
  const [from = '', until = ''] = cell.split('..');
  return { from: from.trim(), until: until.trim() };
}

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
    /** Any other condition, as JSON. */
    condition: z.preprocess(readJson, conditionSchema.optional()),
    products: z.array(id).max(mostContent.products).default([]),
    /** Products of a rule or a condition that stand first. */
    first: z.array(id).max(most.first).default([]),
    /** The attribute its page is ordered by, where it is not by hand; empty for the shop's own order. */
    sort: z.string().max(80).default(''),
    direction: z.enum(['high', 'low']).default('high'),
    ...spanFields,
    /** In a cell as `11-15..12-24`. */
    yearly: z.preprocess(readYearly, spanFields.yearly),
  })
  .refine(
    ({ attribute, values, condition, products }) =>
      products.length > 0 || condition !== undefined || (attribute !== '' && values.length > 0),
    { message: 'names neither products nor an attribute with values', path: ['products'] },
  )
  .refine(({ condition }) => !condition || !asksAboutCollections(condition), {
    message: 'What a collection is made of cannot depend on collections.',
    path: ['condition'],
  })
  .refine(inOrder.test, inOrder.says);

/** Articles and collections as files brought them. */
export interface ImportedContent {
  readonly articles: readonly z.infer<typeof importedArticle>[];
  readonly collections: readonly z.infer<typeof importedCollection>[];
}
