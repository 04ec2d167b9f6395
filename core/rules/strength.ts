import { leastPull, most } from '../setup/terms/limits.ts';

/** Steps of the strength to either side of neutral: each multiplies as much as the one before. */
export const strengthSteps = 20;

/** The factor at a step, from `-strengthSteps` to `strengthSteps`, to two digits: ×0.1 to ×10, 1 in the middle. */
export function factorAt(step: number): number {
  const factor = most.pull ** (step / strengthSteps);
  return Math.min(most.pull, Math.max(leastPull, Number(factor.toPrecision(2))));
}

/** The step nearest to a factor. */
export const stepOf = (factor: number): number => Math.round((Math.log(factor) / Math.log(most.pull)) * strengthSteps);
