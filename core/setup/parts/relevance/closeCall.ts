import { z } from 'zod';
import { most } from '../../terms/limits.ts';
import { fixedEntry } from '../../terms/part.ts';

/** Width in points of the score, 0 to 100: 0 lets only equal scores tie. */
export const closeCall = fixedEntry({
  value: z.strictObject({ width: z.number().min(0).max(most.closeCall) }),
  usual: { width: 3 },
  describe: ({ before, after }) => [
    `Close calls are ${after?.width ?? 0} points wide instead of ${before?.width ?? 0}`,
  ],
});
