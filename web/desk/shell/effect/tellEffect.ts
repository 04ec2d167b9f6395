import type { DescribedMove } from '../../../../api/effectEndpoints.ts';
import { count, counted } from '../../../look/price.ts';

/** Where a product came from and stands now, in words. */
export function moveInWords({ from, to }: Pick<DescribedMove, 'from' | 'to'>): string {
  if (from === null) return `in at place ${to}`;
  if (to === null) return `gone from place ${from}`;
  return `${from > to ? 'up' : 'down'} from place ${from} to ${to}`;
}

interface Counts {
  readonly looked: number;
  readonly changed: number;
  readonly times: number;
  readonly ofTimes: number;
  readonly fewer: number;
  readonly more: number;
  /** Searches beside whose products something else is said. */
  readonly beside: { readonly banners: number; readonly elsewhere: number; readonly filters: number };
}

/** How many searches find fewer products, and more; nothing where none does. */
function foundInWords(fewer: number, more: number): string {
  const searches = (number: number): string =>
    `${counted(number, 'search', 'searches')} ${number === 1 ? 'finds' : 'find'}`;
  if (fewer === 0) return more === 0 ? '' : ` ${searches(more)} more products.`;
  if (more === 0) return ` ${searches(fewer)} fewer products.`;
  return ` ${searches(fewer)} fewer products, ${count(more)} ${more === 1 ? 'finds' : 'find'} more.`;
}

/** In how many searches something else stands beside the products; nothing where in none. */
function besideInWords({ banners, elsewhere, filters }: Counts['beside']): string {
  const searches = (number: number): string => counted(number, 'search', 'searches');
  return [
    banners > 0 ? ` Other banners stand in ${searches(banners)}.` : '',
    elsewhere > 0 ? ` ${searches(elsewhere)} ${elsewhere === 1 ? 'leads' : 'lead'} elsewhere.` : '',
    filters > 0 ? ` A plan shows other filters in ${searches(filters)}.` : '',
  ].join('');
}

/** The effect in a sentence or two, weighed by how often the searches are made. */
export function effectInWords({ looked, changed, times, ofTimes, fewer, more, beside }: Counts): string {
  if (looked === 0) return 'There is no shopper log to compare with yet. Import one under Demand.';
  const all = `${counted(looked, 'most frequent search', 'most frequent searches')}`;
  const others = `${foundInWords(fewer, more)}${besideInWords(beside)}`;
  if (changed === 0) return `No product moves on the first pages of the ${all}.${others}`;
  const share = Math.max(1, Math.round((100 * times) / Math.max(1, ofTimes)));
  return `Changes the first page of ${count(changed)} of the ${all}, ${share}% of the times they are made.${others}`;
}
