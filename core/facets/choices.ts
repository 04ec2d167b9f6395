import { isIn, type RecordSet } from '../conditions/recordSet.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { choosesOne } from '../setup/terms/filterTerms.ts';
import type { BoundFilter } from './boundFilter.ts';
import type { ChosenFilters } from './chosenFilters.ts';

/** Why a filter of the setup is not beside some results. */
export type NotShown = 'elsewhere' | 'otherFilters' | 'waiting' | 'uniform' | 'empty';

/** What of a search bears on its filters. */
export interface FilteredSearch {
  /** What the shopper chose; a key with nothing says that what is preselected was taken off. */
  readonly filters: ChosenFilters;
  readonly collection?: string | undefined;
  /** The search as searches are compared. */
  readonly said: string;
  /** What is found before any filter, ascending. */
  readonly records: Uint32Array;
  /** The filters that stand there instead of those that belong there, in this order. */
  readonly instead?: readonly string[] | undefined;
}

export interface Choices {
  /** The filters there are beside these results, in order. */
  readonly active: readonly BoundFilter[];
  /** What is chosen in them, what is preselected included, by key; a filter without a choice is not there. */
  readonly chosen: ChosenFilters;
  /** What of it is preselected, whether or not the shopper has said otherwise. */
  readonly preselected: ChosenFilters;
  readonly ignored: readonly string[];
  readonly notShown: readonly { readonly key: string; readonly why: NotShown }[];
}

/** Without what every object has, since a filter may be called as that is. */
const noChoice = (): Record<string, readonly string[]> => Object.create(null);

/** Whether at least half of the families found have a found record in a set. Cost: a look at each record found. */
function isMostly({ recordFamily }: Snapshot, records: Uint32Array, set: RecordSet): boolean {
  if (records.length === 0) return false;
  let [families, having, last, lastHaving] = [0, 0, -1, -1];
  for (let at = 0; at < records.length; at++) {
    const record = records[at]!;
    const family = recordFamily[record]!;
    if (family !== last) families++;
    last = family;
    if (family === lastHaving || !isIn(set, record)) continue;
    having++;
    lastHaving = family;
  }
  return having * 2 >= families;
}

/**
 * Decides which filters stand beside some results and what is chosen in them: by where each belongs, by what another
 * has to have chosen first, and by what is preselected; or by a plan that says which there are. A choice in a filter that is not there is ignored and reported.
 * Filters that wait for each other in a circle are never shown.
 */
export function resolveChoices(
  snapshot: Snapshot,
  filters: readonly BoundFilter[],
  { filters: given, collection, said, records, instead }: FilteredSearch,
): Choices {
  const belongs = ({ where, saidIn, mostly }: BoundFilter): boolean => {
    if (where === undefined || (where.collections.length === 0 && where.searches.length === 0 && !where.mostly))
      return true;
    if (collection !== undefined && where.collections.includes(collection)) return true;
    if (said !== '' && saidIn.has(said)) return true;
    const set = mostly();
    return set !== null && isMostly(snapshot, records, set);
  };
  const preselectedIn = ({ chosen = [] }: BoundFilter): readonly string[] => {
    const own = chosen.find((each) => each.collection !== null && each.collection === collection);
    return (own ?? chosen.find((each) => each.collection === null))?.values ?? [];
  };
  const wanted = (filter: BoundFilter): readonly string[] => {
    const texts = Object.hasOwn(given, filter.key) ? given[filter.key]! : preselectedIn(filter);
    return choosesOne(filter) ? texts.slice(0, 1) : texts;
  };
  const isChosen = ({ key }: BoundFilter): boolean => Object.hasOwn(given, key) && given[key]!.length > 0;
  const known = new Map<string, NotShown | null>();
  const reasonOf = (filter: BoundFilter): NotShown | null => {
    const before = known.get(filter.key);
    if (before !== undefined) return before;
    // Until it is known: one that waits for itself waits for ever.
    known.set(filter.key, 'waiting');
    const parent = filter.after === undefined ? null : filters.find(({ key }) => key === filter.after);
    const isOpen = parent === null || (parent && reasonOf(parent) === null && wanted(parent).length > 0);
    const isWanted = instead ? instead.includes(filter.key) || isChosen(filter) : belongs(filter);
    const reason = !isWanted ? (instead ? 'otherFilters' : 'elsewhere') : isOpen ? null : 'waiting';
    known.set(filter.key, reason);
    return reason;
  };
  const active: BoundFilter[] = [];
  const notShown: { key: string; why: NotShown }[] = [];
  const chosen = noChoice();
  const preselected = noChoice();
  for (const filter of filters) {
    const { key } = filter;
    const why = reasonOf(filter);
    if (why) {
      notShown.push({ key, why });
      continue;
    }
    active.push(filter);
    const usual = preselectedIn(filter);
    if (usual.length > 0) preselected[key] = usual;
    const own = wanted(filter);
    if (own.length > 0) chosen[key] = own;
  }
  if (instead) {
    // What is chosen and not named stands after what is.
    const placeOf = ({ key }: BoundFilter): number => (instead.includes(key) ? instead.indexOf(key) : instead.length);
    active.sort((a, b) => placeOf(a) - placeOf(b));
  }
  const isThere = (key: string): boolean => active.some((filter) => filter.key === key);
  const ignored = Object.keys(given).filter((key) => given[key]!.length > 0 && !isThere(key));
  return { active, chosen, preselected, ignored, notShown };
}
