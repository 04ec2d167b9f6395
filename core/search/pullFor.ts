import { own } from '../base/named.ts';
import { bindCondition } from '../conditions/bindCondition.ts';
import { isIn } from '../conditions/recordSet.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { familiesMet } from '../rules/familiesMet.ts';
import { factorAt, strengthSteps } from '../rules/strength.ts';
import { openTriggers } from '../rules/triggers.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Setup } from '../setup/schema.ts';
import type { Condition } from '../setup/terms/condition.ts';
import type { Aim, Pulled } from '../setup/terms/pullTerms.ts';
import { rankedFamilies } from './climb.ts';
import { type Engine, type PreparedSetup, prepareSetup } from './prepareSetup.ts';

/** A strength that reaches an aim; `pull` is null where none does, and `place` is then where the strongest brings it, null for nowhere. */
export interface Reached {
  readonly pull: number | null;
  readonly place: number | null;
}

/** Places looked at: who wants to stand further behind needs no strength. */
const placesLooked = 250;

/** As if it held now and for everybody. */
const anyway = { on: true, from: undefined, until: undefined, yearly: undefined } as const;

/** What is tried: the setup bound with a strength, and the products that are meant. */
interface Trial {
  readonly with: (pull: number) => PreparedSetup;
  readonly isMeant: (family: number) => boolean;
}

const meeting = (snapshot: Snapshot, condition: Condition, { asked }: PreparedSetup): Trial['isMeant'] => {
  const met = familiesMet(snapshot, bindCondition(snapshot, condition, asked));
  return (family) => isIn(met, family);
};

function trialOf(engine: Engine, prepared: PreparedSetup, pulled: Pulled): Trial | null {
  const { snapshot } = engine;
  const { setup, when, asked } = prepared;
  if (pulled.of === 'rule') {
    const rule = own(setup.houseRules, pulled.rule);
    if (!rule) return null;
    const under = (pull: number): Setup => ({
      ...setup,
      houseRules: { ...setup.houseRules, [pulled.rule]: { ...rule, ...anyway, does: { what: 'pull', pull } } },
    });
    return {
      with: (pull) => prepareSetup(engine, under(pull), when.now, asked.collections),
      isMeant: meeting(snapshot, rule.condition, prepared),
    };
  }
  const plan = own(setup.plans, pulled.plan);
  if (!plan) return null;
  // A plan is held against the search alone, so that nothing but its triggers need be bound anew.
  const planned = (changed: Partial<ShelfPlan>): PreparedSetup => {
    const tried = { ...plan, ...anyway, whenChosen: undefined, devices: undefined, ...changed };
    const plans = { ...setup.plans, [pulled.plan]: tried };
    return { ...prepared, triggers: openTriggers({ ...setup, plans }, snapshot.language, when) };
  };
  if (pulled.of === 'product') {
    const { product } = pulled;
    const others = plan.pulls.filter((each) => each.product !== product);
    const family = snapshot.findFamily(product);
    return {
      with: (pull) => planned({ pulls: [...others, { product, pull }] }),
      isMeant: (other) => other === family,
    };
  }
  const all = plan.conditionPulls ?? [];
  const condition = all[pulled.at]?.condition;
  return condition
    ? {
        with: (pull) =>
          planned({ conditionPulls: all.map((each, at) => (at === pulled.at ? { ...each, pull } : each)) }),
        isMeant: meeting(snapshot, condition, prepared),
      }
    : null;
}

/**
 * The least strength by which a plan or a house rule brings so many of the products it is about among the first of a
 * search, of the steps that boost; 1 where they stand there without any. A stronger one never brings them further behind, so half of what is left is looked
 * at each time. Nothing is reached where there is no such plan, rule or condition. Cost: six searches; for a house rule
 * the setup is bound before each.
 */
export function pullFor(
  engine: Engine,
  prepared: PreparedSetup,
  pulled: Pulled,
  { search, first, many }: Aim,
): Reached {
  const trial = trialOf(engine, prepared, pulled);
  if (!trial) return { pull: null, place: null };
  const request = { query: search, filters: {}, page: 1, limit: placesLooked };
  const placeAt = (step: number): number | null => {
    let left = many;
    const families = rankedFamilies(engine, trial.with(factorAt(step)), request, placesLooked);
    const at = families.findIndex((id) => trial.isMeant(engine.snapshot.findFamily(id)) && --left === 0);
    return at < 0 ? null : at + 1;
  };
  const reaches = (step: number): boolean => (placeAt(step) ?? Number.POSITIVE_INFINITY) <= first;
  if (!reaches(strengthSteps)) return { pull: null, place: placeAt(strengthSteps) };
  let [below, least] = [-1, strengthSteps];
  while (least - below > 1) {
    const middle = Math.floor((below + least) / 2);
    if (reaches(middle)) least = middle;
    else below = middle;
  }
  return { pull: factorAt(least), place: placeAt(least) };
}
