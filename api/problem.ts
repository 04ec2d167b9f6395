import { z } from 'zod';
import { editDistance } from '../core/text/editDistance.ts';

/** Every refusal has this shape: a code for programs, a sentence for people, and the field to point at. */
export const problemSchema = z.object({
  error: z.object({
    code: z.string(),
    message: z.string(),
    field: z.string().optional(),
    details: z.unknown().optional(),
  }),
});
export type Problem = z.infer<typeof problemSchema>;

/** The known name nearest to a misspelt one, where one is near enough to be meant. */
export function nearestName(name: string, known: readonly string[]): string | null {
  const ranked = known
    .map((candidate) => ({ candidate, edits: editDistance(name.toLowerCase(), candidate.toLowerCase(), 3) }))
    .sort((a, b) => a.edits - b.edits);
  const best = ranked[0];
  return best && best.edits <= Math.max(1, Math.floor(name.length / 3)) ? best.candidate : null;
}

/** "No parameter is called X", with the one probably meant. */
export function unknownName(what: string, name: string, known: readonly string[]): string {
  const near = nearestName(name, known);
  const shown = name.slice(0, 60);
  return `There is no ${what} “${shown}”.${near ? ` Did you mean “${near}”?` : ` Known: ${known.slice(0, 20).join(', ')}.`}`;
}
