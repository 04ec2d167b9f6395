import { factorAt, strengthSteps } from '../rules/strength.ts';
import { openTriggers } from '../rules/triggers.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import { rankedFamilies } from './rank.ts';

/** An aim for one product of a plan: that it stands among the first so many of one of its searches. */
export interface Aim {
  /** The plan's id, and the plan as it stands. */
  readonly id: string;
  readonly plan: ShelfPlan;
  readonly product: string;
  readonly search: string;
  /** Places, from 1. */
  readonly first: number;
}

/** A strength that reaches an aim; `pull` is null where none does, and `place` is then where the strongest brings it, null for nowhere. */
export interface Reached {
  readonly pull: number | null;
  readonly place: number | null;
}

/** Places looked at: who wants to stand further behind needs no strength. */
const placesLooked = 250;

/**
 * The least strength by which a plan brings a product among the first so many of a search, of the steps that there are: a
 * stronger one never brings it further behind, so half of what is left is looked at each time. Cost: six searches.
 */
export function pullFor(engine: Engine, prepared: PreparedSetup, { id, plan, product, search, first }: Aim): Reached {
  const placeAt = (step: number): number | null => {
    const others = plan.pulls.filter((each) => each.product !== product);
    // As if it held now and for everybody.
    const anyway = { on: true, from: undefined, until: undefined, yearly: undefined };
    const tried: ShelfPlan = {
      ...{ ...plan, ...anyway, whenChosen: undefined, devices: undefined },
      pulls: [...others, { product, pull: factorAt(step) }],
    };
    const setup = { ...prepared.setup, plans: { ...prepared.setup.plans, [id]: tried } };
    const triggers = openTriggers(setup, engine.snapshot.language, prepared.when);
    const request = { query: search, filters: {}, page: 1, limit: placesLooked };
    const place = rankedFamilies(engine, { ...prepared, triggers }, request, placesLooked).indexOf(product) + 1;
    return place === 0 ? null : place;
  };
  const reaches = (step: number): boolean => (placeAt(step) ?? Number.POSITIVE_INFINITY) <= first;
  if (!reaches(strengthSteps)) return { pull: null, place: placeAt(strengthSteps) };
  let [below, least] = [-strengthSteps - 1, strengthSteps];
  while (least - below > 1) {
    const middle = Math.floor((below + least) / 2);
    if (reaches(middle)) least = middle;
    else below = middle;
  }
  return { pull: factorAt(least), place: placeAt(least) };
}
