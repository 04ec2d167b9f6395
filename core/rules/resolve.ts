import { leastPull, most } from '../setup/terms/limits.ts';
import { type Effect, type FactorEffect, ownBoost, type PinEffect, type Source } from './effects.ts';
import type { Triggers } from './triggers.ts';

/** What a search is asked in, as far as rules look at it; built once a search. */
export interface Context {
  /** The words as they were typed, folded and in order. */
  readonly words: readonly string[];
}

/**
 * What the rules that hold do to one search. Of plans all that hold are in force together, the most exact first: where
 * two speak of one product's place, or of one place, the first holds, and the other stands at the next free place. So
 * whoever ranks, explains or lists reads one order. Pure; costs the lookups and what the plans say.
 */
export function resolve(triggers: Triggers, { words }: Context): readonly Effect[] {
  const effects: Effect[] = [];
  const pinned = new Set<string>();
  for (const { plan, how } of words.length === 0 ? [] : triggers.holdingFor(words)) {
    const source: Source = { kind: 'plan', id: plan.id, name: plan.name, how };
    for (const { product, place } of plan.pins) {
      if (pinned.has(product)) continue;
      pinned.add(product);
      effects.push({ what: 'pin', product, place, source });
    }
    for (const { product, pull } of plan.pulls) effects.push({ what: 'factor', product, factor: pull, source });
  }
  return effects;
}

/** The pins among some effects by place, the more exact first at one place. */
export const pinsAmong = (effects: readonly Effect[]): PinEffect[] =>
  effects.filter((effect) => effect.what === 'pin').sort((a, b) => a.place - b.place);

/** The factors among some effects, by product. */
export function factorsAmong(effects: readonly Effect[]): ReadonlyMap<string, readonly FactorEffect[]> {
  const factors = new Map<string, FactorEffect[]>();
  for (const effect of effects)
    if (effect.what === 'factor') {
      const known = factors.get(effect.product);
      if (known) known.push(effect);
      else factors.set(effect.product, [effect]);
    }
  return factors;
}

/** The product of factors, kept within the bounds; 1 where there are none. */
export function totalFactor(factors: readonly FactorEffect[]): number {
  const product = factors.reduce((total, { factor }) => total * factor, 1);
  return Math.min(most.pull, Math.max(leastPull, product));
}

/** A score after its factor, in whole thousandths. */
export const scoreAfter = (score: number, factor: number): number =>
  factor === 1 ? score : Math.round(score * factor);

/** A factor as answers tell it: whose it is, by the plan's id, or none for the product's own boost. */
export const toldFactor = ({ source, factor }: FactorEffect): { plan: string; planName: string; pull: number } => ({
  ...toldSource(source),
  pull: factor,
});
export const toldSource = (source: Source): { plan: string; planName: string } =>
  source.kind === 'plan'
    ? { plan: source.id, planName: source.name }
    : { plan: ownBoost, planName: 'Boost of the product' };
