import { toast } from 'sonner';
import { searchKey } from '../../../core/query/readUnits.ts';
import { hidingKey } from '../../../core/setup/hidingKey.ts';
import type { ShelfPlan } from '../../../core/setup/parts/plans.ts';
import type { ProductAct } from '../../bridge/messages.ts';
import { knownState } from './deskState.ts';
import { edit, step } from './edits.ts';

/** How hard the window's "boost" and "lower" pull; the plan's screen sets any other. */
const menuPulls = { boost: 2, lower: 0.5 } as const;

type Product = { readonly id: string; readonly title: string };

/** The plan that holds for a search, or a new one for it; the first in order of id where there are several. */
export function planFor(query: string): { readonly id: string; readonly plan: ShelfPlan } {
  const plans = knownState()?.setup.plans ?? {};
  const key = searchKey(query);
  const id = Object.keys(plans)
    .sort()
    .find((each) => plans[each]!.searches.some((search) => searchKey(search) === key));
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
  if (what.act === 'pin')
    save(withPin(plan, product.id, what.place), `“${product.title}” is pinned at place ${what.place} for “${query}”`);
  else if (what.act === 'unpin') save(withoutPin(plan, product.id), `“${product.title}” is no longer pinned`);
  else if (what.act === 'neutral') save(withPull(plan, product.id, 1), `“${product.title}” stands by its own score`);
  else
    save(
      withPull(plan, product.id, menuPulls[what.act]),
      `“${product.title}” is ${what.act === 'boost' ? 'boosted' : 'lowered'} for “${query}”`,
    );
}
