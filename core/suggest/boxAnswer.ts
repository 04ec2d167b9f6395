import { z } from 'zod';
import { resultSchema } from '../answer/answer.ts';
import { shopSaid } from '../answer/shopSaid.ts';
import { boxWidths, linePieces } from '../setup/terms/boxTerms.ts';

const block = {
  title: z.string().describe('Its heading, in the shopper’s language; empty for none.'),
  column: z.number().int().describe('The column it stands in, from 1; blocks of one column stand in their order.'),
};
const suggestionSchema = z.object({
  text: z.string(),
  /** Why it is offered. */
  why: z.object({
    from: z.enum(['log', 'catalog', 'setup']),
    searches: z.number().int().describe('How often shoppers made it.'),
    products: z.number().int().describe('Products whose titles or values hold it, as far as they were counted.'),
    mistakes: z.number().int().describe('Letters in which it differs from what was typed.'),
  }),
});
export type Suggestion = z.infer<typeof suggestionSchema>;

/** One block of the box; one that would be empty is left out, but for `recent`, which only the browser knows. */
export const boxBlockSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('recent'), ...block, most: z.number().int() }),
  z.object({ kind: z.literal('suggestions'), ...block, items: z.array(suggestionSchema) }),
  z.object({ kind: z.literal('popular'), ...block, items: z.array(suggestionSchema) }),
  z.object({
    kind: z.literal('lookIn'),
    ...block,
    items: z.array(
      z.object({
        filter: z.string(),
        value: z.string().describe('What choosing it says.'),
        label: z.string().describe('What shoppers read; of a path its last level.'),
        of: z.string().describe('What the filter is called.'),
      }),
    ),
  }),
  z.object({
    kind: z.literal('products'),
    ...block,
    inRow: z.number().int().describe('Products side by side; 1 is a list.'),
    items: z.array(resultSchema),
  }),
  z.object({
    kind: z.literal('collections'),
    ...block,
    items: z.array(z.object({ id: z.string(), title: z.string(), picture: z.string().nullable() })),
  }),
  z.object({
    kind: z.literal('articles'),
    ...block,
    items: z.array(z.object({ id: z.string(), title: z.string(), link: z.string() })),
  }),
  z.object({ kind: z.literal('message'), ...block, text: z.string() }),
]);
export type BoxBlockAnswer = z.infer<typeof boxBlockSchema>;

/** Everything that hangs under the search box at one moment. */
export const boxAnswerSchema = z.object({
  typed: z.string(),
  moment: z.enum(['before', 'typing', 'nothing']),
  blocks: z.array(boxBlockSchema),
  total: z.number().int().describe('Products that what is typed so far finds; 0 before anything is typed.'),
  wide: z.enum(boxWidths),
  pixels: z.number().int().describe('How wide what hangs under the box is, where it is set freely; CSS pixels.'),
  letters: z.number().int().describe('Letters typed before anything is suggested.'),
  line: z.array(z.enum(linePieces)),
  marks: z.boolean(),
  allResults: z.boolean(),
  dictation: z.boolean().describe('Whether a search can be spoken, where the browser takes dictation.'),
  ...shopSaid,
});
export type BoxAnswer = z.infer<typeof boxAnswerSchema>;
