import { dayText } from '../base/day.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Setup } from '../setup/schema.ts';
import type { EntryEdit } from '../setup/withEntry.ts';
import type { PlanConflict } from './planConflicts.ts';
import { putPins } from './putPins.ts';
import type { ReviewItem } from './reviewRules.ts';

/** What mends something, as a button says it, and the edit that does it. */
export interface Mend {
  readonly label: string;
  readonly edit: EntryEdit;
}

const daysOfYear = 365;

/** A list without one product; none where nothing is left. */
const without = (list: readonly string[] | undefined, product: string): string[] | undefined => {
  const left = (list ?? []).filter((each) => each !== product);
  return left.length > 0 ? left : undefined;
};

/** A plan that does nothing to a product any more, but hide it. */
const takenOff = (plan: ShelfPlan, product: string): ShelfPlan => ({
  ...plan,
  first: without(plan.first, product),
  bringIn: without(plan.bringIn, product),
  pins: plan.pins.filter((pin) => pin.product !== product),
  pulls: plan.pulls.filter((pull) => pull.product !== product),
});

/** What mends a contradiction of one plan. */
export function mendPlan(key: string, plan: ShelfPlan, conflict: PlanConflict): Mend {
  const mend = (label: string, value: ShelfPlan): Mend => ({ label, edit: { part: 'plans', key, value } });
  switch (conflict.code) {
    case 'hidden':
      return mend('Only hide it', takenOff(plan, conflict.product));
    case 'notAmongOnly':
      return mend('Put it among them', { ...plan, first: [...(plan.first ?? []), conflict.product] });
    case 'onlyWithoutFirst':
      return mend('Show the others too', { ...plan, only: undefined });
    case 'redirectHides':
      return mend('Show its results', { ...plan, redirect: undefined });
    case 'redirectToItself':
      return mend('Send nobody elsewhere', { ...plan, redirect: undefined });
    case 'circle':
      return mend('Take its searches as they are', { ...plan, treatAs: undefined });
    case 'neverHolds':
    case 'doesNothing':
      return mend('Switch it off', { ...plan, on: false });
  }
}

/** What mends what is to be said of a rule; null where nothing does but looking at it. Pure. */
export function mendRule(setup: Setup, { part, key, reason }: ReviewItem, today: number): Mend | null {
  const entry = setup[part][key];
  if (!entry) return null;
  const plan = part === 'plans' ? (entry as ShelfPlan) : null;
  const switchOff: Mend =
    'on' in entry
      ? { label: 'Switch it off', edit: { part, key, value: { ...entry, on: false } } }
      : { label: 'Hide it no longer', edit: { part, key, value: null } };
  switch (reason.code) {
    case 'conflict':
      return plan && mendPlan(key, plan, reason.conflict);
    case 'samePlace': {
      const mine = plan?.pins.find(({ place }) => place === reason.place);
      if (!plan || !mine) return null;
      const other = setup.plans[reason.other.key];
      const taken = new Set([...(other?.pins ?? []), ...plan.pins].map(({ place }) => place));
      let free = reason.place;
      while (taken.has(free)) free++;
      const pins = putPins(plan.pins, [mine.product], free);
      return { label: `Give it place ${free}`, edit: { part, key, value: { ...plan, pins } } };
    }
    case 'outdone':
      return (
        plan && {
          label: 'Leave that to the other one',
          edit: { part, key, value: { ...plan, [reason.what]: undefined } },
        }
      );
    case 'hiddenAnyway':
      return plan && { label: 'Take it off the plan', edit: { part, key, value: takenOff(plan, reason.product) } };
    case 'lookAgain':
      return {
        label: 'Look again in a year',
        edit: { part, key, value: { ...entry, lookAgain: dayText(today + daysOfYear) } },
      };
    default:
      return switchOff;
  }
}
