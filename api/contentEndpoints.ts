import { z } from 'zod';
import { contentKinds } from '../core/content/contentKinds.ts';
import { endpoint } from './endpoint.ts';
import { paths } from './paths.ts';

const none = z.object({});
const whole = z.number().int();

/** Articles and collections. */
export const contentEndpoints = {
  content: endpoint({
    ...paths.content,
    summary: 'The articles and collections, with what the draft decides about them.',
    query: none,
    body: none,
    answer: z.object({
      articles: z.array(
        z.object({ id: z.string(), title: z.string(), link: z.string(), words: whole, isLeftOut: z.boolean() }),
      ),
      collections: z.array(
        z.object({
          id: z.string(),
          title: z.string(),
          rule: z.string().describe('What makes a product belong to it, in words.'),
          products: whole,
          isLeftOut: z.boolean(),
        }),
      ),
      settings: z.record(
        z.enum(contentKinds),
        z.object({ found: z.boolean(), weights: z.record(z.string(), z.number()) }),
      ),
    }),
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
