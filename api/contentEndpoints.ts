import { z } from 'zod';
import { conditionSchema } from '../core/setup/terms/condition.ts';
import { contentKinds, longestContent } from '../core/setup/terms/contentTerms.ts';
import { productId } from '../core/setup/terms/texts.ts';
import { endpoint } from './endpoint.ts';
import { paths } from './paths.ts';
import { styleFoundSchema } from './styleFound.ts';

const none = z.object({});
const whole = z.number().int();
const origin = z
  .enum(['imported', 'changed', 'here'])
  .describe('From a file, from a file with something decided here laid over it, or made here.');

const listedArticle = z.object({
  id: z.string(),
  origin,
  title: z.string(),
  link: z.string(),
  words: whole,
  isLeftOut: z.boolean(),
});
const listedCollection = z.object({
  id: z.string(),
  origin,
  title: z.string(),
  rule: z.string().describe('What makes a product belong to it, in words.'),
  parent: z.string().describe('The collection it stands below, by id; empty for none.'),
  products: whole,
  isLeftOut: z.boolean(),
  isThere: z.boolean().describe('Whether it is there now, by its dates.'),
});

/** Articles and collections. */
export const contentEndpoints = {
  content: endpoint({
    ...paths.content,
    summary:
      'The articles and collections, with what the draft decides about them. The same with .csv at the end of the path and `kind` is a CSV file that can be imported.',
    query: none,
    body: none,
    answer: z.object({
      articles: z.array(listedArticle),
      collections: z.array(listedCollection),
      settings: z.record(
        z.enum(contentKinds),
        z.object({ found: z.boolean(), weights: z.record(z.string(), z.number()) }),
      ),
    }),
  }),
  collection: endpoint({
    ...paths.collection,
    summary: 'One collection as the draft decides it, and its products as far as they stand by hand.',
    query: z.object({ id: productId }),
    body: none,
    answer: listedCollection.extend({
      text: z.string(),
      picture: z.string(),
      condition: conditionSchema.nullable().describe('Null where its products are chosen by hand.'),
      chosen: z.array(z.string()).describe('Its products in their order, where they are chosen by hand.'),
      first: z.array(z.string()),
      sort: z.string(),
      direction: z.enum(['high', 'low']),
    }),
  }),
  article: endpoint({
    ...paths.article,
    summary: 'One article as the draft decides it.',
    query: z.object({ id: productId }),
    body: none,
    answer: listedArticle.extend({
      text: z.string(),
      markup: z.string().nullable().describe('Its text marked up, safe to show; null where it has no markup.'),
      picture: z.string(),
      tags: z.array(z.string()),
    }),
  }),
  bringInPicture: endpoint({
    ...paths.bringInPicture,
    summary:
      'Keeps a picture (JPEG, PNG, GIF, WebP or AVIF as the request body) for banners, collections and articles to name.',
    query: none,
    body: none,
    answer: z.object({ address: z.string() }),
  }),
  askStyle: endpoint({
    ...paths.askStyle,
    summary: 'Asks a page of another host for its style, so that the shop can be coloured like it.',
    query: none,
    body: z.strictObject({ address: z.string().min(1).max(longestContent.link) }),
    answer: styleFoundSchema,
  }),
  bringInContent: endpoint({
    ...paths.bringInContent,
    summary:
      'Takes articles or collections in (CSV, JSON or JSON Lines as the request body) in place of the former ones.',
    query: z.object({ kind: z.enum(contentKinds) }),
    body: none,
    answer: z.object({
      items: whole,
      refused: z.array(z.object({ line: whole, column: z.string(), reason: z.string() })),
    }),
  }),
} as const;
