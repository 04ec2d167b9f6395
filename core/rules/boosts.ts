import type { NumberColumn } from '../index/numberColumns.ts';
import type { Snapshot } from '../index/snapshot.ts';
import type { FactorEffect } from './effects.ts';

/** The boost column where any product has a boost, else null, so that most catalogs pay nothing for it. */
export function boostColumn(snapshot: Snapshot): NumberColumn | null {
  const column = snapshot.numbers.get('boost');
  if (!column) return null;
  for (let family = 0; family < snapshot.families; family++) if (hasBoost(column, family)) return column;
  return null;
}

export const hasBoost = (boosts: NumberColumn, family: number): boolean => !Number.isNaN(boosts.ofFamily(family));

/** Factors on a product with its own boost behind them, which is kept between 0.1 and 10, as those of plans are. */
export function withBoost(
  factors: readonly FactorEffect[],
  boosts: NumberColumn | null,
  family: number,
  product: string,
): readonly FactorEffect[] {
  if (!boosts || !hasBoost(boosts, family)) return factors;
  const factor = Math.min(10, Math.max(0.1, boosts.ofFamily(family)));
  return [...factors, { what: 'factor', product, factor, source: { kind: 'boost' } }];
}
