import { z } from 'zod';
import { fixedEntry } from '../../terms/part.ts';

/** Whether a search that is exactly one part number leads straight to its product. */
export const partNumbers = fixedEntry({
  value: z.strictObject({ lead: z.boolean() }),
  usual: { lead: true },
  describe: ({ after }) => [
    (after?.lead ?? true)
      ? 'A part number leads straight to its product'
      : 'A part number is searched for like any word',
  ],
});
