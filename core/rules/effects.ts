import { type PlanHow, planHows } from '../setup/terms/planTerms.ts';

/** Where an effect comes from, by which whoever tells of it can lead there. */
export type Source =
  | { readonly kind: 'plan'; readonly id: string; readonly name: string; readonly how: PlanHow }
  /** The catalog's boost column. */
  | { readonly kind: 'boost' };

/** Stands in answers in the place of a plan's id where it is the product's own boost. */
export const ownBoost = '';

/** A product stands at a place, counted from 1. */
export interface PinEffect {
  readonly what: 'pin';
  readonly product: string;
  readonly place: number;
  readonly source: Source;
}
/** A product's score is multiplied; 1 is neutral. */
export interface FactorEffect {
  readonly what: 'factor';
  readonly product: string;
  readonly factor: number;
  readonly source: Source;
}
/** What the rules that hold do to one search, whatever they are kept as. */
export type Effect = PinEffect | FactorEffect;

/** How exactly a plan holds for a search: by what comes first in `planHows`, then by more words. */
export interface Exactness {
  readonly how: PlanHow;
  readonly words: number;
}
/** Below 0 where the first is more exact. */
export const moreExact = (a: Exactness, b: Exactness): number =>
  planHows.indexOf(a.how) - planHows.indexOf(b.how) || b.words - a.words;
