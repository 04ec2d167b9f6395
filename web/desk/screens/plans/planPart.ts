import type { ShelfPlan } from '../../../../core/setup/parts/plans.ts';

/** What each part of a plan's screen is given: the plan, and what saves it changed. */
export interface OfPlan {
  readonly plan: ShelfPlan;
  save(plan: ShelfPlan): void;
  readonly isChanged: boolean;
}

/** A list that says nothing is left out. */
export const unlessEmpty = <Item>(list: readonly Item[]): Item[] | undefined =>
  list.length > 0 ? [...list] : undefined;
