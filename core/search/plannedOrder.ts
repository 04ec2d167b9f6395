import { bindSignals, type Signal } from '../ranking/signals.ts';
import type { Effect, Source } from '../rules/effects.ts';
import type { SortingOrder } from '../setup/parts/relevance/sorting.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';

/** An order that a plan gives the results, as an order of the sorting menu is bound. */
export interface PlannedOrder {
  readonly order: SortingOrder;
  readonly signals: readonly Signal[];
  readonly source: Source;
}

/** The order that the most exact plan among some effects gives; null where none does. Cost: a pass over the families. */
export function plannedOrder(engine: Engine, prepared: PreparedSetup, effects: readonly Effect[]): PlannedOrder | null {
  const effect = effects.find((each) => each.what === 'sort');
  if (!effect) return null;
  const { attribute, direction, source } = effect;
  const signals = [{ attribute, direction }];
  const label = source.kind === 'boost' || source.kind === 'begin' ? '' : source.name;
  return {
    order: { key: '', label, signals },
    signals: bindSignals(engine, signals, prepared.today),
    source,
  };
}
