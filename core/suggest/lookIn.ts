import { lastLevel, lastLevels } from '../catalog/levels.ts';
import { availability } from '../catalog/standardColumns.ts';
import type { BoundFilter } from '../facets/boundFilter.ts';
import type { FilterKind } from '../setup/terms/filterTerms.ts';
import { fold } from '../text/fold.ts';

/** A filter's value that a search can be looked for within. */
export interface Within {
  readonly filter: string;
  readonly value: string;
  readonly label: string;
  readonly of: string;
}

/** Products that say what a search may be looked for within: the best of it. */
export const mostLookedAt = 100;
/** Filters of the shop whose values are offered: the first ones that name things. */
const filtersOffered = 2;
const naming: ReadonlySet<FilterKind> = new Set(['ticks', 'single', 'dropdown', 'tiles', 'tree', 'swatches']);

/** A place with a label that none before it has: of a path the level above is said besides; null where two places would read alike. */
function toldApart(within: Within, said: ReadonlySet<string>): Within | null {
  if (!said.has(fold(within.label))) return within;
  const label = lastLevels(within.value, 2).join(', ');
  return said.has(fold(label)) ? null : { ...within, label };
}

/**
 * Values that divide the best products of a search: those that most of them have, but not all, the filters taking turns.
 * `records` are one of each product, ascending. Cost: a count of two filters over these records.
 */
export function lookIn(filters: readonly BoundFilter[], records: Uint32Array, most: number): Within[] {
  const queues = filters
    .filter(
      ({ kind, values, where, attribute }) =>
        naming.has(kind) && values !== null && !where && attribute !== availability.key,
    )
    .slice(0, filtersOffered)
    .map(({ key, kind, label, values }): Within[] => {
      const { counts, present } = values!.countFamilies({ records, failing: null });
      return [...present]
        .filter((value) => counts[value]! < records.length)
        .sort((a, b) => counts[b]! - counts[a]! || a - b)
        .slice(0, most)
        .map((number) => {
          const value = values!.name(number);
          return { filter: key, value, label: kind === 'tree' ? lastLevel(value) : value, of: label };
        });
    });
  const found: Within[] = [];
  const said = new Set<string>();
  for (let turn = 0; found.length < most && queues.some((queue) => turn < queue.length); turn++)
    for (const queue of queues) {
      if (turn >= queue.length || found.length >= most) continue;
      const within = toldApart(queue[turn]!, said);
      if (within === null) continue;
      said.add(fold(within.label));
      found.push(within);
    }
  return found;
}
