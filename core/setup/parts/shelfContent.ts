import { z } from 'zod';
import { longest, most } from '../terms/limits.ts';
import { listed, type NamesForChanges } from '../terms/part.ts';
import { mostLookedUp, mostShelfArticles, mostTips } from '../terms/shelfTerms.ts';
import { productId, searchText, sentence } from '../terms/texts.ts';

const itemId = z.string().min(1).max(longest.productId);

/** What stands where a search finds nothing, in this order; what is absent does not. */
export const shelfContentFields = {
  /** Above the rest; `{search}` stands for what the shopper typed, as in the tips. */
  message: sentence,
  /** What else may help, a line each. */
  tips: z.array(sentence.min(1)).max(mostTips).optional(),
  searches: z.array(searchText).max(most.suggestions),
  /** Chosen ones. */
  products: z.array(productId).max(most.products),
  /** Products that sold most, and that came last: so many of each. */
  bestSellers: z.number().int().min(0).max(mostLookedUp).optional(),
  newest: z.number().int().min(0).max(mostLookedUp).optional(),
  /** A collection's id. */
  collection: itemId.optional(),
  /** Ids of articles. */
  articles: z.array(itemId).max(mostShelfArticles).optional(),
};
export const shelfContent = z.strictObject(shelfContentFields);
export type ShelfContent = z.infer<typeof shelfContent>;

/** Fields that mean the same where they are left out. */
export const usualShelfFields = { tips: [], bestSellers: 0, newest: 0, articles: [] } as const;

/** What a change of content means; `shelf` is called so at the head of a sentence. */
export function describeShelf(shelf: string, was: ShelfContent, is: ShelfContent, names: NamesForChanges): string[] {
  const said: string[] = [];
  const lines = (texts: readonly string[] = []): string => texts.join('\n');
  const counted = (many: number, noun: string): string => `${many} ${noun}${many === 1 ? '' : 's'}`;
  if (was.message !== is.message) said.push(`${shelf} has a new message`);
  if (lines(was.tips) !== lines(is.tips)) said.push(`${shelf} has ${counted((is.tips ?? []).length, 'tip')}`);
  if (lines(was.searches) !== lines(is.searches)) said.push(`${shelf} suggests: ${listed(is.searches)}`);
  if (lines(was.products) !== lines(is.products))
    said.push(`${shelf} shows ${counted(is.products.length, 'chosen product')}`);
  for (const [field, name] of [
    ['bestSellers', 'best seller'],
    ['newest', 'newest product'],
  ] as const)
    if ((was[field] ?? 0) !== (is[field] ?? 0))
      said.push(`${shelf} shows ${is[field] ? counted(is[field], name) : `no ${name}s`}`);
  if (was.collection !== is.collection)
    said.push(
      `${shelf} shows ${is.collection ? `the collection ${names.collection(is.collection)}` : 'no collection'}`,
    );
  if (lines(was.articles) !== lines(is.articles))
    said.push(`${shelf} shows ${counted((is.articles ?? []).length, 'article')}`);
  return said;
}
