import { z } from 'zod';
import { fixedEntry } from '../../terms/part.ts';

/** Whether searches with few results are filled up with products that lack one word. */
export const fillUp = fixedEntry({
  value: z.strictObject({ on: z.boolean() }),
  usual: { on: true },
  describe: ({ after }) => [
    (after?.on ?? true)
      ? 'Searches with few results are filled up with products that lack one word'
      : 'Only products that have all words of a search are shown',
  ],
});
