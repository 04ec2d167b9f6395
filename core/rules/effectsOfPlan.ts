import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Effect, PlanSource, Source } from './effects.ts';

/**
 * Everything that one plan does where it holds, in the order in which a search is worked out: whoever ranks, lists what is
 * done to a product, or tells a plan reads this. Pure; cost: what the plan says.
 */
export function effectsOfPlan(plan: ShelfPlan, source: Source): Effect[] {
  const { hides = [], conditionHides = [], first = [], only, pins, pinsWait = false, bringIn = [], pulls } = plan;
  const { conditionPulls = [], banners = [], sort, scope, wordsOut = [], filters, redirect } = plan;
  /** What the plan names by itself goes by its own strength. */
  const but = new Set(pulls.map(({ product }) => product));
  const effects: Effect[] = [];
  for (const product of hides) effects.push({ what: 'hide', of: { product }, source });
  for (const condition of conditionHides) effects.push({ what: 'hide', of: { condition }, source });
  if (only && first.length > 0) effects.push({ what: 'only', products: first, source });
  for (const product of first) effects.push({ what: 'first', product, source });
  for (const { product, place } of pins) effects.push({ what: 'pin', product, place, waits: pinsWait, source });
  for (const product of bringIn) effects.push({ what: 'bringIn', product, source });
  for (const { product, pull } of pulls) effects.push({ what: 'factor', product, factor: pull, source });
  for (const { condition, pull } of conditionPulls)
    effects.push({ what: 'conditionFactor', condition, but, factor: pull, source });
  for (const { where, place, text, link, picture } of banners)
    effects.push({ what: 'banner', ...{ where, place, text, link, picture, source } });
  if (sort) effects.push({ what: 'sort', ...sort, source });
  if (scope || wordsOut.length > 0) effects.push({ what: 'scope', wordsOut, condition: scope ?? null, source });
  if (filters) effects.push({ what: 'filters', filters, source });
  if (redirect !== undefined) effects.push({ what: 'redirect', link: redirect, source });
  return effects;
}

const known = new WeakMap<ShelfPlan, { readonly source: PlanSource; readonly effects: readonly Effect[] }>();

/** The same, kept for a plan that holds for one search after the other: worked out anew where its source is told otherwise. */
export function keptEffectsOfPlan(plan: ShelfPlan, source: PlanSource): readonly Effect[] {
  const before = known.get(plan);
  const { id, name, how, corrected } = before?.source ?? {};
  if (before && id === source.id && name === source.name && how === source.how && corrected === source.corrected)
    return before.effects;
  const effects = effectsOfPlan(plan, source);
  known.set(plan, { source, effects });
  return effects;
}
