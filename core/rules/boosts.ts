import type { NumberColumn } from '../index/numberColumns.ts';
import type { Snapshot } from '../index/snapshot.ts';
import type { AppliedPull } from './plansForSearch.ts';

/** The boost column where any product has a boost, else null, so that most catalogs pay nothing for it. */
export function boostColumn(snapshot: Snapshot): NumberColumn | null {
  const column = snapshot.numbers.get('boost');
  if (!column) return null;
  for (let family = 0; family < snapshot.families; family++) if (hasBoost(column, family)) return column;
  return null;
}

export const hasBoost = (boosts: NumberColumn, family: number): boolean => !Number.isNaN(boosts.ofFamily(family));

/** Stands in the place of a plan where it is the product's own boost that pulls. */
export const ownBoost = '';

/** Pulls with the product's own boost behind them; its factor is kept between 0.1 and 10, as pulls are. */
export function withBoost(
  pulls: readonly AppliedPull[],
  boosts: NumberColumn | null,
  family: number,
): readonly AppliedPull[] {
  if (!boosts || !hasBoost(boosts, family)) return pulls;
  const pull = Math.min(10, Math.max(0.1, boosts.ofFamily(family)));
  return [...pulls, { plan: ownBoost, planName: 'Boost of the product', pull }];
}
