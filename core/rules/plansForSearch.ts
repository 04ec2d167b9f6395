import { searchKey } from '../query/readUnits.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Setup } from '../setup/schema.ts';
import { leastPull, most } from '../setup/terms/limits.ts';

export interface PlanInForce extends ShelfPlan {
  readonly id: string;
}

/** The plans that are switched on, by the searches they hold for; plans of one search in order of their id. */
export function plansBySearch(setup: Setup): ReadonlyMap<string, readonly PlanInForce[]> {
  const plans = new Map<string, PlanInForce[]>();
  for (const id of Object.keys(setup.plans).sort()) {
    const plan = setup.plans[id]!;
    if (!plan.on) continue;
    for (const key of new Set(plan.searches.map(searchKey))) {
      const known = plans.get(key);
      if (known) known.push({ ...plan, id });
      else plans.set(key, [{ ...plan, id }]);
    }
  }
  return plans;
}

/** One factor on a product's score, and where it comes from. */
export interface AppliedPull {
  readonly plan: string;
  readonly planName: string;
  readonly pull: number;
}

/** The product of pulls, kept within the bounds; 1 where there are none. */
export function totalPull(pulls: readonly AppliedPull[]): number {
  const product = pulls.reduce((total, { pull }) => total * pull, 1);
  return Math.min(most.pull, Math.max(leastPull, product));
}

/** A score after pulls, in whole thousandths. */
export function pulledScore(score: number, pull: number): number {
  return pull === 1 ? score : Math.round(score * pull);
}

export interface AppliedPin {
  readonly plan: string;
  readonly planName: string;
  readonly product: string;
  /** The place wanted, from 1. */
  readonly place: number;
}

/** The pins of the plans, by place; the first plan to name a product or a place has it, a later pin moves one down. */
export function pinsOf(plans: readonly PlanInForce[]): AppliedPin[] {
  const seen = new Set<string>();
  return plans
    .flatMap((plan) => plan.pins.map((pin) => ({ plan: plan.id, planName: plan.name, ...pin })))
    .filter(({ product }) => !seen.has(product) && seen.add(product))
    .sort((a, b) => a.place - b.place);
}

/** The pulls of the plans by product. */
export function pullsOf(plans: readonly PlanInForce[]): ReadonlyMap<string, readonly AppliedPull[]> {
  const pulls = new Map<string, AppliedPull[]>();
  for (const plan of plans)
    for (const { product, pull } of plan.pulls)
      pulls.set(product, [...(pulls.get(product) ?? []), { plan: plan.id, planName: plan.name, pull }]);
  return pulls;
}
