import { own } from '../base/named.ts';
import type { ChosenFilters } from '../facets/chosenFilters.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import { leastPull, most } from '../setup/terms/limits.ts';
import type { Device } from '../setup/terms/planTerms.ts';
import { type Effect, type FactorEffect, type PinEffect, type PlanSource, type Source, toldSource } from './effects.ts';
import { keptEffectsOfPlan } from './effectsOfPlan.ts';
import type { Triggered, Triggers } from './triggers.ts';

/** What a search is asked in, as far as rules look at it; built once a search. */
export interface Context {
  /** The words as they were typed, folded and in order. */
  readonly words: readonly string[];
  /** The words of the search it is taken for; none where it is taken as it is. */
  readonly takenFor?: readonly string[] | undefined;
  /** The words of what it was corrected to at once; none where no word of it was. */
  readonly corrected?: readonly string[] | undefined;
  /** The collection on whose page it is asked, by id. */
  readonly collection?: string | null | undefined;
  /** What the shopper has chosen, by filter. */
  readonly filters?: ChosenFilters | undefined;
  /** What the shopper looks with; a plan for some devices does not hold where it is not known. */
  readonly device?: Device | undefined;
}

/** Whether a plan's restrictions besides its dates hold. */
function restrictionsHold({ whenChosen = [], devices }: ShelfPlan, { filters = {}, device }: Context): boolean {
  if (devices && (device === undefined || !devices.includes(device))) return false;
  return whenChosen.every(({ filter, values }) => own(filters, filter)?.some((value) => values.includes(value)));
}

/** The plans that hold, the most exact first. */
function held(triggers: Triggers, context: Context): readonly (Triggered & { readonly source: PlanSource })[] {
  const { words, takenFor = [], corrected = [], collection = null } = context;
  const readings = [words, takenFor, corrected].filter(({ length }) => length > 0);
  return triggers
    .holdingFor(readings, collection)
    .filter(({ plan }) => restrictionsHold(plan, context))
    .map(({ reading, ...triggered }) => {
      const { id, name } = triggered.plan;
      const source: PlanSource = { kind: 'plan', id, name, how: triggered.how };
      return {
        ...triggered,
        source: readings[reading] === corrected ? { ...source, corrected: corrected.join(' ') } : source,
      };
    });
}

/** The search that another one is taken for by the most exact plan that says so, once and never in a chain; null where it is taken as it is. */
export function takenFor(
  triggers: Triggers,
  context: Context,
): { readonly search: string; readonly source: Source } | null {
  const found = held(triggers, context).find(({ plan }) => plan.treatAs !== undefined);
  return found ? { search: found.plan.treatAs!, source: found.source } : null;
}

/**
 * What the rules that hold do to one search. Of plans all that hold are in force together, the most exact first: where
 * two speak of one product's place, or of one place, the first holds, and the other stands at the next free place; of
 * lists of products that alone show, of pages to be sent to, of orders, of scopes and of filters, the first holds; lists of products that stand first come one after the other. So
 * whoever ranks, explains or lists reads one order. Pure; costs the lookups and what the plans say.
 */
export function resolve(triggers: Triggers, context: Context): readonly Effect[] {
  const said = new Set<string>();
  return held(triggers, context).flatMap(({ plan, source }) =>
    keptEffectsOfPlan(plan, source).filter((effect) => {
      const once = saidOnce(effect);
      if (once === null) return true;
      const isNew = !said.has(once);
      said.add(once);
      return isNew;
    }),
  );
}

/** By what an effect is known of which only the first holds; null for those that all hold together. */
function saidOnce(effect: Effect): string | null {
  switch (effect.what) {
    case 'only':
    case 'sort':
    case 'scope':
    case 'filters':
    case 'redirect':
      return effect.what;
    case 'first':
    case 'pin':
    case 'bringIn':
      return `${effect.what} ${effect.product}`;
    default:
      return null;
  }
}

/** The pins among some effects by place, the more exact first at one place. */
export const pinsAmong = (effects: readonly Effect[]): PinEffect[] =>
  effects.filter((effect) => effect.what === 'pin').sort((a, b) => a.place - b.place);

/** What multiplies a score, standing factors and those of plans together, is kept within these bounds. */
export const boundedFactor = (factor: number): number => Math.min(most.pull, Math.max(leastPull, factor));

/** A score after its factor, in whole thousandths. */
export const scoreAfter = (score: number, factor: number): number =>
  factor === 1 ? score : Math.round(score * factor);

/** A factor as answers tell it. */
export const toldFactor = ({ source, factor }: FactorEffect): ReturnType<typeof toldSource> & { pull: number } => ({
  ...toldSource(source),
  pull: factor,
});
