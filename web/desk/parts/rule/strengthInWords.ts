import { most } from '../../../../core/setup/terms/limits.ts';

/** A factor as a merchandiser says it: from a nudge to strongly, up or down. */
export function strengthInWords(factor: number): string {
  if (factor === 1) return 'neither up nor down';
  const size = Math.abs(Math.log(factor) / Math.log(most.pull));
  const how = size < 0.11 ? 'a nudge' : size < 0.26 ? 'a little' : size < 0.51 ? 'clearly' : 'strongly';
  return `${how} ${factor > 1 ? 'up' : 'down'}`;
}
