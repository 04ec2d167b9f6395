import { dayNumber } from '../base/day.ts';
import { searchKey } from '../query/readUnits.ts';
import type { HouseRule } from '../setup/parts/houseRules.ts';
import { inListOrder } from '../setup/parts/plans/planOrder.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Setup } from '../setup/schema.ts';
import { usualHow } from '../setup/terms/planTerms.ts';
import { isAlways, stateOf, type When } from '../setup/terms/span.ts';
import { type PlanConflict, planConflicts } from './planConflicts.ts';

/** What a plan may say of which only that of the most exact plan holds. */
const saidOnce = ['only', 'sort', 'scope', 'filters', 'redirect', 'treatAs'] as const;
export type SaidOnce = (typeof saidOnce)[number];

/** An entry of a setup that is a rule. */
export interface RuleRef {
  readonly part: 'plans' | 'houseRules' | 'hiding';
  readonly key: string;
}

/** What is to be said of a rule: that it contradicts something, does nothing, is over, or was to be looked at again. */
export type ReviewReason =
  | { readonly code: 'conflict'; readonly conflict: PlanConflict }
  /** Another plan for just the same search pins another product at the same place: one of them stands at the next. */
  | { readonly code: 'samePlace'; readonly search: string; readonly place: number; readonly other: RuleRef }
  /** Another plan for just the same search, higher in the list, says something of which only one can be. */
  | { readonly code: 'outdone'; readonly search: string; readonly what: SaidOnce; readonly other: RuleRef }
  /** A product that a plan shows or boosts is hidden from results by a hiding. */
  | { readonly code: 'hiddenAnyway'; readonly product: string; readonly other: RuleRef }
  /** Another house rule for the same products takes back what this one does. */
  | { readonly code: 'cancelOut'; readonly other: RuleRef }
  /** The catalog has nothing of these attributes. */
  | { readonly code: 'attributeGone'; readonly attributes: readonly string[] }
  | { readonly code: 'meetsNothing' }
  /** It has ended, and will not begin again. */
  | { readonly code: 'over' }
  | { readonly code: 'lookAgain'; readonly day: string }
  /** No search that shoppers made is one it holds for. */
  | { readonly code: 'neverTriggers' }
  /** Its searches show the same, in the same order, without it. */
  | { readonly code: 'changesNothing' }
  /** It lowers or hides what shoppers buy. */
  | { readonly code: 'againstBuying'; readonly product: string | null; readonly bought: number; readonly of: number };

export interface ReviewItem extends RuleRef {
  readonly reason: ReviewReason;
}

/** What the catalog has for rules: products they are about, and attributes that are gone. */
export interface RuleFigures {
  readonly rules: readonly { readonly id: string; readonly products: number; readonly missing: readonly string[] }[];
  readonly hidings: readonly { readonly key: string; readonly products: number }[];
}

/** What shoppers did, as far as it is about rules. */
export interface RuleUse {
  /** Searches that were made, all told. */
  readonly searches: number;
  readonly plans: readonly {
    readonly id: string;
    /** How often searches were made that it holds for. */
    readonly times: number;
    /** Whether those made most show the same without it; null where that was not looked at. */
    readonly isIdle: boolean | null;
    /** Products bought after its searches that it lowers or hides, of all that were bought after them. */
    readonly against: readonly { readonly product: string; readonly bought: number; readonly of: number }[];
  }[];
  /** Purchases of what a house rule lowers or hides, of all. */
  readonly rules: readonly { readonly id: string; readonly bought: number; readonly of: number }[];
}

/** Purchases from which on it is told that a rule works against them: fewer say nothing. */
const tellingPurchases = 5;
/** The share of all purchases from which on it is told. */
const tellingShare = 0.1;
const isTelling = ({ bought, of }: { readonly bought: number; readonly of: number }): boolean =>
  bought >= tellingPurchases && bought >= of * tellingShare;

/** What the log says of rules that are switched on and in force. Nothing where there is no log. */
function byUse({ plans, houseRules }: Setup, use: RuleUse, when: When): ReviewItem[] {
  if (use.searches === 0) return [];
  const items: ReviewItem[] = [];
  for (const { id, times, isIdle, against } of use.plans) {
    const plan = plans[id];
    if (!plan?.on || stateOf(plan, when) !== 'holds') continue;
    const ref = { part: 'plans', key: id } as const;
    // A collection's page is opened without a search, and what it shows is not compared.
    if ((plan.collections ?? []).length === 0 && plan.searches.length > 0) {
      if (times === 0) items.push({ ...ref, reason: { code: 'neverTriggers' } });
      else if (isIdle) items.push({ ...ref, reason: { code: 'changesNothing' } });
    }
    for (const each of against) if (isTelling(each)) items.push({ ...ref, reason: { code: 'againstBuying', ...each } });
  }
  for (const { id, ...figures } of use.rules)
    if (houseRules[id]?.on && isTelling(figures))
      items.push({ part: 'houseRules', key: id, reason: { code: 'againstBuying', product: null, ...figures } });
  return items;
}

/** Factors that multiply to nearly 1 take each other back. */
const nearlyNothing = 0.05;

/** Pins of plans for just the same search that want one place for two products. Cost: a look at each pin. */
function samePlaces(plans: Setup['plans']): ReviewItem[] {
  const taken = new Map<string, { readonly key: string; readonly product: string }>();
  const items: ReviewItem[] = [];
  for (const [key, { on, how = usualHow, searches, pins }] of inListOrder(plans)) {
    if (!on) continue;
    for (const search of searches)
      for (const { place, product } of pins) {
        const at = `${how}\n${searchKey(search)}\n${place}`;
        const before = taken.get(at);
        if (!before) taken.set(at, { key, product });
        else if (before.key !== key && before.product !== product)
          items.push({
            ...{ part: 'plans', key },
            reason: { code: 'samePlace', search, place, other: { part: 'plans', key: before.key } },
          });
      }
  }
  return items;
}

const says = (plan: ShelfPlan, what: SaidOnce): boolean =>
  what === 'only' ? plan.only === true && (plan.first ?? []).length > 0 : plan[what] !== undefined;
/** Whether a plan holds for its searches always and for everybody; a narrower one has its say where it holds. */
const isUnlimited = ({ whenChosen = [], devices, ...span }: ShelfPlan): boolean =>
  whenChosen.length === 0 && devices === undefined && isAlways(span);

/** Plans that never get their say in something, since one higher in the list says it for just the same search. Each once. */
function outdone(plans: Setup['plans']): ReviewItem[] {
  const said = new Map<string, string>();
  const items = new Map<string, ReviewItem>();
  for (const [key, plan] of inListOrder(plans)) {
    if (!plan.on || !isUnlimited(plan)) continue;
    for (const what of saidOnce)
      for (const search of says(plan, what) ? plan.searches : []) {
        const at = `${what}\n${plan.how ?? usualHow}\n${searchKey(search)}`;
        const before = said.get(at);
        if (before === undefined) said.set(at, key);
        else if (before !== key && !items.has(`${key}\n${what}`))
          items.set(`${key}\n${what}`, {
            ...{ part: 'plans', key },
            reason: { code: 'outdone', search, what, other: { part: 'plans', key: before } },
          });
      }
  }
  return [...items.values()];
}

/** House rules of one condition, at one set of places, whose factors take each other back. */
function cancelling(houseRules: Setup['houseRules']): ReviewItem[] {
  const seen = new Map<string, { readonly key: string; readonly pull: number }[]>();
  const items: ReviewItem[] = [];
  const aboutOf = ({ condition, places, from, until, yearly }: HouseRule): string =>
    JSON.stringify([condition, [...(places ?? [])].sort(), from, until, yearly]);
  for (const key of Object.keys(houseRules).sort()) {
    const rule = houseRules[key]!;
    if (!rule.on || rule.does.what !== 'pull') continue;
    const { pull } = rule.does;
    const others = seen.get(aboutOf(rule)) ?? [];
    const opposite = others.find((other) => Math.abs(Math.log(other.pull * pull)) < nearlyNothing);
    if (opposite && pull !== 1)
      items.push({
        part: 'houseRules',
        key,
        reason: { code: 'cancelOut', other: { part: 'houseRules', key: opposite.key } },
      });
    seen.set(aboutOf(rule), [...others, { key, pull }]);
  }
  return items;
}

/** Products that a plan puts somewhere or boosts. */
const shownBy = ({ pins, pulls, first = [], bringIn = [] }: ShelfPlan): string[] => [
  ...new Set([...pins, ...pulls].map(({ product }) => product).concat(first, bringIn)),
];

/**
 * What is to be looked at in the plans, house rules and hidings of a setup, those that contradict something first. What is
 * switched off is told only where it was to be looked at again. `use` is what shoppers did, where it is known. Pure. Cost: what the rules name.
 */
export function reviewRules(
  setup: Setup,
  { rules, hidings }: RuleFigures,
  when: When,
  use: RuleUse | null = null,
): ReviewItem[] {
  const { plans, houseRules, hiding } = setup;
  const all = Object.values(plans);
  const contradictions: ReviewItem[] = [];
  const doNothing: ReviewItem[] = [];
  const over: ReviewItem[] = [];
  const due: ReviewItem[] = [];
  const hiddenFromResults = new Map(
    Object.entries(hiding).flatMap(([key, entry]) =>
      entry.what === 'product' &&
      !entry.whileSoldOut &&
      (!entry.places || entry.places.includes('results')) &&
      stateOf(entry, when) === 'holds'
        ? [[entry.product, key] as const]
        : [],
    ),
  );
  for (const [key, plan] of Object.entries(plans)) {
    if (!plan.on) continue;
    for (const conflict of planConflicts(plan, all))
      (conflict.code === 'doesNothing' || conflict.code === 'neverHolds' ? doNothing : contradictions).push({
        ...{ part: 'plans', key },
        reason: { code: 'conflict', conflict },
      });
    for (const product of plan.searches.length > 0 ? shownBy(plan) : []) {
      const by = hiddenFromResults.get(product);
      if (by !== undefined)
        contradictions.push({
          ...{ part: 'plans', key },
          reason: { code: 'hiddenAnyway', product, other: { part: 'hiding', key: by } },
        });
    }
  }
  contradictions.push(...samePlaces(plans), ...outdone(plans), ...cancelling(houseRules));
  for (const { id, products, missing } of rules) {
    if (!houseRules[id]?.on) continue;
    if (missing.length > 0)
      doNothing.push({ part: 'houseRules', key: id, reason: { code: 'attributeGone', attributes: missing } });
    else if (products === 0) doNothing.push({ part: 'houseRules', key: id, reason: { code: 'meetsNothing' } });
  }
  for (const { key, products } of hidings)
    if (products === 0) doNothing.push({ part: 'hiding', key, reason: { code: 'meetsNothing' } });
  for (const part of ['plans', 'houseRules', 'hiding'] as const)
    for (const [key, entry] of Object.entries(setup[part])) {
      const isOn = !('on' in entry) || entry.on;
      if (isOn && stateOf(entry, when) === 'over') over.push({ part, key, reason: { code: 'over' } });
      if (entry.lookAgain !== undefined && dayNumber(entry.lookAgain) <= when.today)
        due.push({ part, key, reason: { code: 'lookAgain', day: entry.lookAgain } });
    }
  return [...contradictions, ...doNothing, ...(use ? byUse(setup, use, when) : []), ...over, ...due];
}
