import { toast } from 'sonner';
import { searchKey } from '../../../core/query/readUnits.ts';
import { hidingKey } from '../../../core/setup/hidingKey.ts';
import type { ShelfPlan } from '../../../core/setup/parts/plans.ts';
import { planHowTexts, usualHow } from '../../../core/setup/terms/planTerms.ts';
import type { ProductAct } from '../../bridge/messages.ts';
import { knownState } from './deskState.ts';
import { edit, step } from './edits.ts';

/** How hard the window's "boost" and "lower" pull; the plan's screen sets any other. */
const menuPulls = { boost: 2, lower: 0.5 } as const;

const isExact = ({ how = usualHow }: ShelfPlan): boolean => how === 'exactly';

/** A plan that holds for other searches too and does something to a product: what is undone in it is undone there as well. */
function widerPlanWith(does: (plan: ShelfPlan) => boolean): { readonly id: string; readonly plan: ShelfPlan } | null {
  const found = Object.entries(knownState()?.setup.plans ?? {}).find(
    ([, plan]) => plan.on && !isExact(plan) && does(plan),
  );
  return found ? { id: found[0], plan: found[1] } : null;
}

type Product = { readonly id: string; readonly title: string };

/** The plan that holds for just this search, or a new one for it; the first in order of id where there are several. */
export function planFor(query: string): { readonly id: string; readonly plan: ShelfPlan } {
  const plans = knownState()?.setup.plans ?? {};
  const key = searchKey(query);
  const id = Object.keys(plans)
    .sort()
    .find((each) => isExact(plans[each]!) && plans[each]!.searches.some((search) => searchKey(search) === key));
  if (id) return { id, plan: plans[id]! };
  const name = query.trim();
  return { id: newPlanId(key), plan: { name, on: true, searches: [name], pins: [], pulls: [] } };
}

/** An id made from the search, so that it reads well in a file; numbered where it is taken. */
export function newPlanId(key: string): string {
  const plans = knownState()?.setup.plans ?? {};
  const base = key.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60) || 'plan';
  let id = base;
  for (let number = 2; id in plans; number++) id = `${base}-${number}`;
  return id;
}

export function withPin(plan: ShelfPlan, product: string, place: number): ShelfPlan {
  const others = plan.pins.filter((pin) => pin.product !== product && pin.place !== place);
  return { ...plan, pins: [...others, { product, place }].sort((a, b) => a.place - b.place) };
}

export function withoutPin(plan: ShelfPlan, product: string): ShelfPlan {
  return { ...plan, pins: plan.pins.filter((pin) => pin.product !== product) };
}

/** The plan with a product's pull set; 1 takes it away. */
export function withPull(plan: ShelfPlan, product: string, pull: number): ShelfPlan {
  const others = plan.pulls.filter((each) => each.product !== product);
  return { ...plan, pulls: pull === 1 ? others : [...others, { product, pull }] };
}

const undoable = { action: { label: 'Undo', onClick: () => void step('undo') } };

/** Carries out what was chosen in a product's menu in the shop window. */
export function actOn(query: string, product: Product, what: ProductAct): void {
  if (what.act === 'why') return;
  if (what.act === 'hide') {
    const hiding = { what: 'product' as const, product: product.id };
    void edit({ part: 'hiding', key: hidingKey(hiding), value: hiding });
    toast(`“${product.title}” is hidden from all results`, undoable);
    return;
  }
  const { id, plan } = planFor(query);
  const save = (value: ShelfPlan, message: string): void => {
    void edit({ part: 'plans', key: id, value });
    toast(message, { description: `In the shelf plan “${value.name}”, not yet published.`, ...undoable });
  };
  /** Takes something off a product: in the search's own plan, or, after asking, in the one that holds for others too. */
  const takeOff = (
    does: (plan: ShelfPlan) => boolean,
    without: (plan: ShelfPlan) => ShelfPlan,
    message: string,
  ): void => {
    const wider = does(plan) ? null : widerPlanWith(does);
    if (!wider) {
      if (does(plan)) save(without(plan), message);
      return;
    }
    toast(`That is done by the shelf plan “${wider.plan.name}”`, {
      description: `It holds ${planHowTexts[wider.plan.how ?? usualHow]} ${wider.plan.searches.map((search) => `“${search}”`).join(', ')}.`,
      action: {
        label: 'Change it there',
        onClick: () => void edit({ part: 'plans', key: wider.id, value: without(wider.plan) }),
      },
    });
  };
  if (what.act === 'pin')
    save(withPin(plan, product.id, what.place), `“${product.title}” is pinned at place ${what.place} for “${query}”`);
  else if (what.act === 'unpin')
    takeOff(
      (each) => each.pins.some((pin) => pin.product === product.id),
      (each) => withoutPin(each, product.id),
      `“${product.title}” is no longer pinned`,
    );
  else if (what.act === 'neutral')
    takeOff(
      (each) => each.pulls.some((pull) => pull.product === product.id),
      (each) => withPull(each, product.id, 1),
      `“${product.title}” stands by its own score`,
    );
  else
    save(
      withPull(plan, product.id, menuPulls[what.act]),
      `“${product.title}” is ${what.act === 'boost' ? 'boosted' : 'lowered'} for “${query}”`,
    );
}
