import { z } from 'zod';
import { howSchema } from '../core/answer/why.ts';

const noteSchema = z.discriminatedUnion('code', [
  z.object({ code: z.literal('valueNotRecognised'), attribute: z.string(), value: z.string() }),
  z.object({ code: z.literal('partOfValue'), attribute: z.string(), value: z.string() }),
  z.object({ code: z.literal('bareNumber'), attribute: z.string() }),
  z.object({ code: z.enum(['correctionsOff', 'neverCorrected', 'numberLike', 'wordOfLanguage', 'nothingNear']) }),
  z.object({ code: z.literal('tooShort'), from: z.number().int() }),
  z.object({ code: z.literal('notRead'), attributes: z.array(z.string()) }),
  z.object({ code: z.literal('onlyHidden'), products: z.number().int() }),
]);
export type WordNote = z.infer<typeof noteSchema>;

/** How one word of a search was taken, and why not otherwise. */
export const explainedWordSchema = z.object({
  text: z.string(),
  as: z.enum(['word', 'corrected', 'recognised', 'stopWord', 'givenUp', 'notRead']),
  products: z.number().int().describe('Products, hidden ones too, that say the word just so where the search reads.'),
  means: z.array(z.object({ text: z.string(), how: howSchema })),
  value: z.object({ attribute: z.string(), value: z.string() }).nullable(),
  notes: z.array(noteSchema),
});
export type ExplainedWord = z.infer<typeof explainedWordSchema>;
