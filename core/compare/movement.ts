import type { SearchAnswer } from '../answer/answer.ts';

/** Places looked back at: a product that stood further down counts as new on the page. */
export const movementDepth = 240;

/**
 * Adds to each result how many places it gained (negative: lost) against an earlier order; null where it was not in
 * that order's first places. `before` are family ids in order.
 */
export function withMovement(answer: SearchAnswer, before: readonly string[]): SearchAnswer {
  const places = new Map(before.map((id, index) => [id, index + 1]));
  return {
    ...answer,
    results: answer.results.map((result) => {
      const was = places.get(result.familyId);
      const moved = was === undefined ? null : was - result.place;
      return { ...result, marks: { ...result.marks, moved } };
    }),
  };
}
