import { toast } from 'sonner';
import type { Why } from '../../../core/answer/why.ts';
import { own } from '../../../core/base/named.ts';
import { searchKey } from '../../../core/query/readUnits.ts';
import { decisionKey } from '../../../core/rules/decisions.ts';
import { putPins } from '../../../core/rules/putPins.ts';
import { hidingKey } from '../../../core/setup/hidingKey.ts';
import type { Hiding } from '../../../core/setup/parts/hiding.ts';
import { inListOrder } from '../../../core/setup/parts/plans/planOrder.ts';
import type { ShelfPlan } from '../../../core/setup/parts/plans.ts';
import { longest } from '../../../core/setup/terms/limits.ts';
import { planHowTexts, usualHow } from '../../../core/setup/terms/planTerms.ts';
import { hiddenInWords } from '../../../core/setup/terms/ruleInWords.ts';
import type { ProductAct } from '../../bridge/messages.ts';
import { call } from '../../client/call.ts';
import { collectionTitle } from './collections.ts';
import { knownState } from './deskState.ts';
import { edit, step } from './edits.ts';
import { madeNow } from './whenNow.ts';

/** How hard the window's "boost" and "lower" pull; the plan's screen sets any other. */
const menuPulls = { boost: 2, lower: 0.5 } as const;

const isExact = ({ how = usualHow }: ShelfPlan): boolean => how === 'exactly';

/** What pins a product or moves its score in a search, as the search itself says. */
type Source = Why['pulls'][number] | NonNullable<Why['pin']>;

/** What does something to a product in a search besides the search's own plan; null where nothing does. */
async function sourceOf({ query, collection }: About, product: string, what: 'pin' | 'pulls'): Promise<Source | null> {
  const { result } = await call('why', { query: { q: query, product, ...(collection && { collection }) } });
  const why = result?.why;
  if (!why) return null;
  return what === 'pin' ? why.pin : (why.pulls[0] ?? null);
}

export type Product = { readonly id: string; readonly title: string };

/** One by its title, several by how many they are. */
export const productsInWords = (products: readonly Product[]): string =>
  products.length === 1 ? `“${products[0]!.title}”` : `${products.length} products`;
/** The same, as what a sentence is about. */
const theyAre = (products: readonly Product[]): string =>
  `${productsInWords(products)} ${products.length === 1 ? 'is' : 'are'}`;

/** A search, or where nothing is searched for the page of a collection. */
export interface About {
  readonly query: string;
  /** By id; empty for none. */
  readonly collection: string;
}

/** The plan that holds for just this collection's page, or a new one for it. */
function planForCollection(collection: string): { readonly id: string; readonly plan: ShelfPlan } {
  const known = inListOrder(knownState()?.setup.plans ?? {}).find(
    ([, { searches, collections = [] }]) =>
      searches.length === 0 && collections.length === 1 && collections[0] === collection,
  );
  if (known) return { id: known[0], plan: known[1] };
  const name = `Page of ${collectionTitle(collection)}`.slice(0, longest.planName);
  return {
    id: newPlanId(collection),
    plan: { name, on: true, searches: [], collections: [collection], pins: [], pulls: [] },
  };
}

/** The plan that holds for just this search or page, or a new one for it; the higher in the list where there are several. */
export function planFor({ query, collection }: About): { readonly id: string; readonly plan: ShelfPlan } {
  if (query.trim() === '' && collection !== '') return planForCollection(collection);
  const key = searchKey(query);
  const known = inListOrder(knownState()?.setup.plans ?? {}).find(
    ([, plan]) => isExact(plan) && plan.searches.some((search) => searchKey(search) === key),
  );
  if (known) return { id: known[0], plan: known[1] };
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

/** The plan with products pinned to a place and those right after it. */
export const withPins = (plan: ShelfPlan, products: readonly string[], place: number): ShelfPlan => ({
  ...plan,
  pins: putPins(plan.pins, products, place),
});

export function withoutPin(plan: ShelfPlan, product: string): ShelfPlan {
  return { ...plan, pins: plan.pins.filter((pin) => pin.product !== product) };
}

/** The plan with a product's pull set; 1 takes it away. */
export function withPull(plan: ShelfPlan, product: string, pull: number): ShelfPlan {
  const others = plan.pulls.filter((each) => each.product !== product);
  return { ...plan, pulls: pull === 1 ? others : [...others, { product, pull }] };
}

const undoable = { action: { label: 'Undo', onClick: () => void step('undo') } };

/** Hides products from where and as long as it is said, in one step. */
export function hideProducts(
  products: readonly Product[],
  limits: Omit<Extract<Hiding, { what: 'product' }>, 'what' | 'product'>,
): void {
  const hidings = products.map(({ id }) => ({ ...limits, what: 'product' as const, product: id }));
  void edit(...hidings.map((value) => ({ part: 'hiding' as const, key: hidingKey(value), value })));
  toast(`${theyAre(products)} hidden${hiddenInWords(hidings[0]!) || ' everywhere'}`, undoable);
}

/** Boosts or lowers products wherever they are ordered by score: what the catalog's column says of them, decided here. */
function boostEverywhere(products: readonly Product[], act: 'boostEverywhere' | 'lowerEverywhere'): void {
  const value = act === 'boostEverywhere' ? menuPulls.boost : menuPulls.lower;
  const edits = products.map(({ id }) => {
    const about = { product: id, variant: null, attribute: 'boost' };
    return { part: 'products' as const, key: decisionKey(about), value: { ...about, act: 'set' as const, value } };
  });
  void edit(...edits);
  toast(`${theyAre(products)} ${act === 'boostEverywhere' ? 'boosted' : 'lowered'} everywhere`, {
    description: 'A boost of its own, as the catalog’s column has it; not yet published.',
    ...undoable,
  });
}

/** Carries out what was chosen for products in the shop window, for all of them in one step; `go` opens a screen. */
export function actOn(
  about: About,
  products: readonly Product[],
  what: ProductAct,
  go: (address: string) => void,
): void {
  if (what.act === 'why' || what.act === 'hideSome') return;
  if (what.act === 'boostEverywhere' || what.act === 'lowerEverywhere') {
    boostEverywhere(products, what.act);
    return;
  }
  if (what.act === 'hide') {
    const setup = knownState()?.setup;
    hideProducts(products, setup ? madeNow(setup) : {});
    return;
  }
  const { id, plan } = planFor(about);
  const where = about.query.trim() === '' ? 'on this page' : `for “${about.query}”`;
  const save = (value: ShelfPlan, message: string): void => {
    void edit({ part: 'plans', key: id, value });
    toast(message, { description: `In the shelf plan “${value.name}”, not yet published.`, ...undoable });
  };
  /** Takes something off a product: in the search's own plan, or, after asking, where it is said. */
  const takeOff = async (
    kind: 'pin' | 'pulls',
    withoutOne: (plan: ShelfPlan, product: string) => ShelfPlan,
    message: string,
  ): Promise<void> => {
    const without = (from: ShelfPlan): ShelfPlan => products.reduce((less, { id }) => withoutOne(less, id), from);
    const left = without(plan);
    if (left[kind === 'pin' ? 'pins' : 'pulls'].length < plan[kind === 'pin' ? 'pins' : 'pulls'].length) {
      save(left, message);
      return;
    }
    const [product] = products;
    if (!product || products.length > 1) {
      toast(`Nothing was taken off ${productsInWords(products)}`, {
        description:
          'What moves them is not said by the shelf plan of this search alone. “Why here?” on each tells what is.',
      });
      return;
    }
    const source = await sourceOf(about, product.id, kind).catch(() => null);
    if (!source) return;
    if (source.from === 'boost') {
      const open = {
        label: 'Open the product',
        onClick: () => go(`/catalog/products/${encodeURIComponent(product.id)}`),
      };
      toast(`“${product.title}” has a boost of its own in the catalog`, { action: open });
      return;
    }
    if (source.from === 'rule') {
      const open = { label: 'Open it', onClick: () => go(`/house-rules/${encodeURIComponent(source.id)}`) };
      toast(`That is done by the house rule “${source.name}”`, {
        description: 'It holds for every product that meets it, in every search.',
        action: open,
      });
      return;
    }
    const wider = own(knownState()?.setup.plans, source.id);
    if (!wider) return;
    toast(`That is done by the shelf plan “${wider.name}”`, {
      description: `It holds ${planHowTexts[wider.how ?? usualHow]} ${wider.searches.map((search) => `“${search}”`).join(', ')}.`,
      action: {
        label: 'Change it there',
        onClick: () => void edit({ part: 'plans', key: source.id, value: without(wider) }),
      },
    });
  };
  if (what.act === 'pin')
    save(
      withPins(
        plan,
        products.map(({ id }) => id),
        what.place,
      ),
      `${theyAre(products)} pinned ${products.length === 1 ? 'at' : 'from'} place ${what.place} ${where}`,
    );
  else if (what.act === 'unpin') void takeOff('pin', withoutPin, `${theyAre(products)} no longer pinned`);
  else if (what.act === 'neutral')
    void takeOff(
      'pulls',
      (each, product) => withPull(each, product, 1),
      products.length === 1
        ? `${productsInWords(products)} stands by its own score`
        : `${productsInWords(products)} stand by their own scores`,
    );
  else {
    const pulled = what.act;
    save(
      products.reduce((more, { id }) => withPull(more, id, menuPulls[pulled]), plan),
      `${theyAre(products)} ${pulled === 'boost' ? 'boosted' : 'lowered'} ${where}`,
    );
  }
}
