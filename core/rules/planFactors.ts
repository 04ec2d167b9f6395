import { indexAmong } from '../base/sorted.ts';
import type { Asked } from '../conditions/asked.ts';
import { bindCondition } from '../conditions/bindCondition.ts';
import { isIn, type RecordSet } from '../conditions/recordSet.ts';
import type { Snapshot } from '../index/snapshot.ts';
import type { Effect, FactorEffect, Source } from './effects.ts';
import { familiesMet } from './familiesMet.ts';

/** What the plans of one search multiply scores by. */
export interface PlanFactors {
  readonly isNone: boolean;
  /** Those on a family, in order of the plans, of each its own products before its conditions. */
  on(family: number): readonly FactorEffect[];
  /** Their product, begun with another factor: the same as multiplying by each of `on`, without a text being made. */
  times(family: number, factor: number): number;
  /** The same for many families, ascending, each in its place of `into`. Cost: a pass for each condition. */
  multiply(into: Float64Array, families: Uint32Array): void;
}

const none: PlanFactors = {
  isNone: true,
  on: () => [],
  times: (_, factor) => factor,
  multiply: () => {},
};

/** A factor with what it is for: one family, or those of a set without some. */
type Bound = { readonly factor: number; readonly source: Source } & (
  | { readonly own: number }
  | { readonly met: RecordSet; readonly but: ReadonlySet<number> }
);
const isFor = (bound: Bound, family: number): boolean =>
  'own' in bound ? bound.own === family : isIn(bound.met, family) && !bound.but.has(family);

/** Binds the factors among some effects to a catalog. Cost: what the plans name, and a look for each condition, which are kept. */
export function planFactors(snapshot: Snapshot, effects: readonly Effect[], asked: Asked): PlanFactors {
  const factors = effects.flatMap((effect): Bound[] => {
    const { source } = effect;
    if (effect.what === 'factor') {
      const own = snapshot.findFamily(effect.product);
      return own < 0 ? [] : [{ factor: effect.factor, source, own }];
    }
    if (effect.what !== 'conditionFactor') return [];
    const met = familiesMet(snapshot, bindCondition(snapshot, effect.condition, asked));
    const but = new Set([...effect.but].map((product) => snapshot.findFamily(product)));
    return [{ factor: effect.factor, source, met, but }];
  });
  if (factors.length === 0) return none;
  return {
    isNone: false,
    on(family) {
      const held = factors.filter((bound) => isFor(bound, family));
      const product = held.length > 0 ? snapshot.familyId(family) : '';
      return held.map(({ factor, source }) => ({ what: 'factor', product, factor, source }));
    },
    times(family, factor) {
      let product = factor;
      for (const bound of factors) if (isFor(bound, family)) product *= bound.factor;
      return product;
    },
    multiply(into, families) {
      for (const bound of factors) {
        const { factor } = bound;
        if ('own' in bound) {
          const at = indexAmong(families, bound.own);
          if (at >= 0) into[at]! *= factor;
          continue;
        }
        const { met, but } = bound;
        for (let at = 0; at < families.length; at++) {
          const family = families[at]!;
          if (isIn(met, family) && !but.has(family)) into[at]! *= factor;
        }
      }
    },
  };
}
