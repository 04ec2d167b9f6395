import { searchKey } from '../query/readUnits.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';

/** What in a plan contradicts itself, or makes something else in it pointless. */
export type PlanConflict =
  /** It has neither searches nor collections, so it never holds. */
  | { readonly code: 'neverHolds' }
  /** A product that it pins, puts first, brings in, boosts or lowers is hidden by it: nothing undoes a hide. */
  | { readonly code: 'hidden'; readonly product: string; readonly as: 'pin' | 'first' | 'bringIn' | 'pull' }
  /** Only the products it names first show, and this one, which it pins or brings in, is not among them. */
  | { readonly code: 'notAmongOnly'; readonly product: string; readonly as: 'pin' | 'bringIn' }
  | { readonly code: 'onlyWithoutFirst' }
  /** Shoppers are sent elsewhere, so that nobody sees what it arranges. */
  | { readonly code: 'redirectHides' }
  /** It sends shoppers to one of its own searches. */
  | { readonly code: 'redirectToItself' }
  /** Its search is taken for itself, or for one that is taken for it. */
  | { readonly code: 'circle'; readonly search: string }
  /** It does nothing at all. */
  | { readonly code: 'doesNothing' };

/** The search that a link of the shop is to, where it is to one. */
function searchIn(link: string): string | null {
  const query = /^[^?#]*\?([^#]*)/.exec(link)?.[1];
  const said = query?.split('&').find((part) => part.startsWith('q='));
  if (said === undefined) return null;
  try {
    return decodeURIComponent(said.slice(2).replaceAll('+', ' '));
  } catch {
    return null;
  }
}

/** What contradicts itself in one plan, among all plans. Pure; cost: what the plan names, and the plans that take searches for others. */
export function planConflicts(plan: ShelfPlan, all: readonly ShelfPlan[]): PlanConflict[] {
  const { searches, collections = [], first = [], bringIn = [], hides = [], pins, pulls, redirect, treatAs } = plan;
  const conflicts: PlanConflict[] = [];
  if (searches.length + collections.length === 0) conflicts.push({ code: 'neverHolds' });
  const named = [
    ...pins.map(({ product }) => ({ product, as: 'pin' as const })),
    ...first.map((product) => ({ product, as: 'first' as const })),
    ...bringIn.map((product) => ({ product, as: 'bringIn' as const })),
    ...pulls.map(({ product }) => ({ product, as: 'pull' as const })),
  ];
  for (const each of named) if (hides.includes(each.product)) conflicts.push({ code: 'hidden', ...each });
  if (plan.only && first.length === 0) conflicts.push({ code: 'onlyWithoutFirst' });
  if (plan.only && first.length > 0)
    for (const { product, as } of named)
      if ((as === 'pin' || as === 'bringIn') && !first.includes(product))
        conflicts.push({ code: 'notAmongOnly', product, as });
  const arranges =
    named.length +
    hides.length +
    (plan.banners ?? []).length +
    (plan.conditionPulls ?? []).length +
    (plan.conditionHides ?? []).length +
    (plan.sort ? 1 : 0) +
    (plan.scope || plan.wordsOut?.length ? 1 : 0) +
    (plan.filters ? 1 : 0);
  if (redirect !== undefined) {
    const to = searchIn(redirect);
    const isItself = to !== null && searches.some((search) => searchKey(search) === searchKey(to));
    if (isItself) conflicts.push({ code: 'redirectToItself' });
    else if (arranges > 0) conflicts.push({ code: 'redirectHides' });
  }
  if (treatAs !== undefined) {
    const leadsTo = (search: string): string | undefined =>
      all.find((each) => each.on && each.searches.some((own) => searchKey(own) === searchKey(search)))?.treatAs;
    const isOwn = (search: string): boolean => searches.some((own) => searchKey(own) === searchKey(search));
    const next = leadsTo(treatAs);
    if (isOwn(treatAs) || (next !== undefined && isOwn(next))) conflicts.push({ code: 'circle', search: treatAs });
  }
  if (arranges === 0 && redirect === undefined && treatAs === undefined) conflicts.push({ code: 'doesNothing' });
  return conflicts;
}
