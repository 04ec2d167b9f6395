import { z } from 'zod';
import { endpoint } from './endpoint.ts';
import { paths } from './paths.ts';

const whole = z.number().int();

export const moveSchema = z.object({
  search: z.string(),
  searches: whole.describe('How often the search is made.'),
  product: z.string(),
  title: z.string(),
  from: whole.nullable().describe('Place under what is published; null: not among the first ones.'),
  to: whole.nullable().describe('Place under the draft; null: not among the first ones.'),
});
export type DescribedMove = z.infer<typeof moveSchema>;

/** What the draft changes, in shopper's terms. */
export const effectEndpoints = {
  effect: endpoint({
    ...paths.effect,
    summary: 'What the draft changes on the first pages of the searches made most, and what its tie-breakers decide.',
    query: z.object({}),
    body: z.object({}),
    answer: z.object({
      revision: whole,
      looked: whole,
      changed: whole,
      times: whole.describe('How often the searches that change are made.'),
      ofTimes: whole,
      moves: z.array(moveSchema),
      fewer: whole.describe('Searches that find fewer products.'),
      more: whole.describe('Searches that find more.'),
      found: z
        .array(z.object({ search: z.string(), searches: whole, from: whole, to: whole }))
        .describe('Searches whose number of products changes most.'),
      beside: z
        .object({ banners: whole, elsewhere: whole, filters: whole })
        .describe('Searches that show other banners, send shoppers elsewhere or show other filters by a plan.'),
      decides: z
        .array(whole)
        .describe('By tie-breaker in order: searches with a place on the first page that it decides.'),
    }),
  }),
} as const;
