import { CallProblem } from '../client/request.ts';

/** Refusals after which nothing is to be had here: the page shows its own search. */
const final: ReadonlySet<string> = new Set([
  ...['key-needed', 'unknown-key', 'unknown-origin', 'paused'],
  ...['closed', 'no-catalog', 'unknown-storefront'],
]);

/** Whether a page is better served by its own search: nothing was ever answered, or nothing will be. */
export const isDown = (trouble: Error | null, hasAnswered: boolean): boolean =>
  trouble !== null && (!hasAnswered || (trouble instanceof CallProblem && final.has(trouble.code)));
