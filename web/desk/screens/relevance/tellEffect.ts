import type { MoveTold } from '../../../../api/effectEndpoints.ts';
import { count, counted } from '../../../look/price.ts';

/** Where a product came from and stands now, in words. */
export function moveInWords({ from, to }: Pick<MoveTold, 'from' | 'to'>): string {
  if (from === null) return `in at place ${to}`;
  if (to === null) return `gone from place ${from}`;
  return `${from > to ? 'up' : 'down'} from place ${from} to ${to}`;
}

interface Counts {
  readonly looked: number;
  readonly changed: number;
  readonly times: number;
  readonly ofTimes: number;
}

/** The effect in a sentence, weighed by how often the searches are made. */
export function effectInWords({ looked, changed, times, ofTimes }: Counts): string {
  if (looked === 0) return 'There is no shopper log yet to look through; bring one in under Catalog.';
  const all = counted(looked, 'search', 'searches');
  if (changed === 0) return `No first page of the ${all} made most is another.`;
  const share = Math.max(1, Math.round((100 * times) / Math.max(1, ofTimes)));
  return `Changes the first page of ${count(changed)} of the ${all} made most, ${share}% of the times they are made.`;
}
