import { z } from 'zod';
import { safeLink } from '../../catalog/safeLink.ts';
import { asksAboutCollections, conditionSchema } from '../terms/condition.ts';
import { conditionInWords } from '../terms/conditionInWords.ts';
import { contentKinds, longestContent, mostContent } from '../terms/contentTerms.ts';
import { anOrder, aSet, fieldsOf } from '../terms/inside.ts';
import { most } from '../terms/limits.ts';
import { inOrder, spanClash, spanFields } from '../terms/moments.ts';
import { type NamesForChanges, openPart } from '../terms/part.ts';
import { spanInWords } from '../terms/span.ts';
import { decisionKeyText, key, productId, weightSchema } from '../terms/texts.ts';

const title = z.string().trim().min(1, 'It needs a title.').max(longestContent.title).optional();
/** Empty for none. */
const address = z
  .string()
  .trim()
  .max(longestContent.link)
  .refine((text) => text === '' || safeLink(text) !== '', 'An address begins with https:// or with a slash.')
  .optional();

/** A collection made here, or what is decided about an imported one: a field that is absent is as it was imported. */
const madeCollection = z
  .strictObject({
    what: z.literal('collection'),
    id: productId,
    title,
    text: z.string().max(longestContent.collectionText).optional(),
    picture: address,
    parent: z.string().max(longestContent.id).optional(),
    /** By rule, or by hand in this order: one or neither. */
    condition: conditionSchema.optional(),
    products: z.array(productId).max(mostContent.products).optional(),
    /** Of a rule: products that stand first. */
    first: z.array(productId).max(most.first).optional(),
    /** Null for the shop's own order. */
    sort: z
      .strictObject({ attribute: key, direction: z.enum(['high', 'low']) })
      .nullable()
      .optional(),
    ...spanFields,
  })
  .refine(({ condition, products }) => condition === undefined || products === undefined, {
    message: 'A collection is made by a rule or by hand, not both.',
    path: ['products'],
  })
  .refine(({ condition }) => !condition || !asksAboutCollections(condition), {
    message: 'What a collection is made of cannot depend on collections.',
    path: ['condition'],
  })
  .refine(({ id, parent }) => parent !== id, {
    message: 'A collection does not stand below itself.',
    path: ['parent'],
  })
  .refine(inOrder.test, inOrder.says);
/** The same of an article. Its text may be marked up; it is made safe where it is shown. */
const madeArticle = z.strictObject({
  what: z.literal('article'),
  id: productId,
  title,
  text: z.string().max(longestContent.articleText).optional(),
  link: address,
  picture: address,
  tags: z.array(z.string().trim().min(1).max(longestContent.tag)).max(mostContent.tags).optional(),
});
export type MadeCollection = z.infer<typeof madeCollection>;
export type MadeArticle = z.infer<typeof madeArticle>;

/** What is decided about articles and collections: how a kind is found, that one item is left out, or what one is. */
const contentEntrySchema = z.discriminatedUnion('what', [
  z.strictObject({
    what: z.literal('kind'),
    /** Whether search may find it. */
    found: z.boolean(),
    weights: z.record(key, weightSchema),
  }),
  z.strictObject({ what: z.literal('leftOut'), kind: z.enum(contentKinds), id: productId }),
  madeCollection,
  madeArticle,
]);
type ContentEntry = z.infer<typeof contentEntrySchema>;

const fieldTexts: Readonly<Record<string, string>> = {
  title: 'title',
  text: 'text',
  picture: 'picture',
  link: 'link',
  tags: 'tags',
  parent: 'place below another',
  sort: 'order',
};

/** What a change of an item means, told by its title. */
function itemChanges(
  before: MadeCollection | MadeArticle | undefined,
  after: MadeCollection | MadeArticle | undefined,
  names: NamesForChanges,
): string[] {
  const entry = (after ?? before)!;
  const called = `The ${entry.what} “${after?.title ?? before?.title ?? entry.id}”`;
  if (!after) return [`${called} is ${before!.title === undefined ? 'as it was imported again' : 'removed'}`];
  if (!before && after.title !== undefined && after.what === 'article') return [`${called} is written here`];
  const said: string[] = [];
  if (before?.title !== after.title && before?.title !== undefined && after.title !== undefined)
    said.push(`The ${entry.what} “${before.title}” is now called “${after.title}”`);
  const was = (before ?? {}) as Readonly<Record<string, unknown>>;
  const is = after as Readonly<Record<string, unknown>>;
  const differs = (field: string): boolean => JSON.stringify(was[field]) !== JSON.stringify(is[field]);
  const fields = Object.keys(fieldTexts).filter((field) => field !== 'title' && differs(field));
  if (fields.length > 0) said.push(`${called} has another ${fields.map((field) => fieldTexts[field]).join(', ')}`);
  if (after.what === 'collection') {
    const earlier = before?.what === 'collection' ? before : undefined;
    if (differs('condition') && after.condition)
      said.push(`${called} has what meets: ${conditionInWords(after.condition, names.attribute, names.collection)}`);
    if (differs('products') && after.products) {
      const [had, has] = [new Set(earlier?.products), new Set(after.products)];
      const added = after.products.filter((product) => !had.has(product));
      const gone = (earlier?.products ?? []).filter((product) => !has.has(product));
      if (added.length > 0) said.push(`${called} has ${few(added, names)} besides`);
      if (gone.length > 0) said.push(`${called} has ${few(gone, names)} no more`);
      if (added.length + gone.length === 0)
        said.push(earlier?.products ? `${called} stands in another order` : `${called} is chosen by hand`);
    }
    if (differs('first'))
      said.push(`${called} begins with ${after.first?.length ? few(after.first, names) : 'nothing in particular'}`);
    if (spanInWords(earlier ?? {}) !== spanInWords(after))
      said.push(`${called} is there ${spanInWords(after) || 'at any time'}`);
  }
  return said.length > 0 || before ? said : [`${called} is made here`];
}

const mostNamed = 5;
/** Products by name, the first few of many. */
function few(products: readonly string[], names: NamesForChanges): string {
  const named = products.slice(0, mostNamed).map((product) => names.product(product));
  const more = products.length - named.length;
  return more > 0 ? `${named.join(', ')} and ${more} more` : named.join(', ');
}

const isItem = (entry: ContentEntry | null): entry is MadeCollection | MadeArticle =>
  entry?.what === 'collection' || entry?.what === 'article';

export const content = openPart({
  key: decisionKeyText,
  value: contentEntrySchema,
  most: 100_000,
  inside: fieldsOf({ products: anOrder, first: anOrder, tags: aSet }),
  clash(entry) {
    if (entry.what !== 'collection') return null;
    if (entry.condition && entry.products)
      return { field: 'condition', reason: 'A collection is made by a rule or by hand, not both.' };
    return spanClash(entry);
  },
  describe({ key, before, after }, names) {
    const entry = (after ?? before)!;
    if (isItem(entry))
      return itemChanges(isItem(before) ? before : undefined, isItem(after) ? after : undefined, names);
    if (entry.what === 'leftOut')
      return [`The ${entry.kind} “${entry.id}” is ${after ? 'left out of the search' : 'found by the search again'}`];
    const kind = key === 'article' ? 'Articles' : 'Collections';
    const is = after?.what === 'kind' ? after : null;
    const was = before?.what === 'kind' ? before : null;
    const said: string[] = [];
    if ((is?.found ?? true) !== (was?.found ?? true))
      said.push(`${kind} are ${(is?.found ?? true) ? 'found by the search' : 'not found by the search any more'}`);
    for (const attribute of new Set([...Object.keys(is?.weights ?? {}), ...Object.keys(was?.weights ?? {})]))
      if (is?.weights[attribute] !== was?.weights[attribute])
        said.push(`${kind}: ${attribute} counts ${is?.weights[attribute] ?? 'as usual'}`);
    return said;
  },
});
