import { z } from 'zod';
import { most } from '../../terms/limits.ts';
import { fixedEntry } from '../../terms/part.ts';
import { usualSpelling } from '../../terms/usualValues.ts';

/** What spelling may do; all but `tolerance` may be left out and is then as in `usualSpelling`. */
const spellingSchema = z
  .strictObject({
    tolerance: z.boolean(),
    /** Letters from which a word may be one edit, or two, away from what it is taken for. */
    oneEditFrom: z.number().int().min(3).max(20).optional(),
    twoEditsFrom: z.number().int().min(5).max(20).optional(),
    /** Whether a search that finds nothing as it is typed is corrected without asking. */
    atOnce: z.boolean().optional(),
    /** Other ways of reading a misspelt search that are offered, at most. */
    offers: z.number().int().min(0).max(most.offers).optional(),
  })
  .refine(
    ({ oneEditFrom = usualSpelling.oneEditFrom, twoEditsFrom = usualSpelling.twoEditsFrom }) =>
      oneEditFrom <= twoEditsFrom,
    { message: 'must allow one typo no later than two' },
  );

export const spelling = fixedEntry({
  value: spellingSchema,
  usual: { tolerance: true },
  usualFields: usualSpelling,
  describe({ before, after }) {
    const was = { ...usualSpelling, tolerance: true, ...before };
    const is = { ...usualSpelling, tolerance: true, ...after };
    const said: string[] = [];
    if (before === null || was.tolerance !== is.tolerance)
      said.push(`Spelling tolerance is ${is.tolerance ? 'on' : 'off'}`);
    if (was.oneEditFrom !== is.oneEditFrom || was.twoEditsFrom !== is.twoEditsFrom)
      said.push(`Words may have one typo from ${is.oneEditFrom} letters, two from ${is.twoEditsFrom}`);
    if (was.atOnce !== is.atOnce)
      said.push(
        is.atOnce
          ? 'A misspelt search is corrected at once where it finds nothing'
          : 'A misspelt search is not corrected, but told what may be meant',
      );
    if (was.offers !== is.offers) said.push(`Up to ${is.offers} other readings of a misspelt search are offered`);
    return said;
  },
});
