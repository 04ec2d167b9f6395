/** The time that this share of all times is not above. */
export const percentile = (times: readonly number[], share: number): number =>
  [...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))] ?? Number.NaN;

export const median = (times: readonly number[]): number => percentile(times, 0.5);
