import type { Condition } from '../setup/terms/condition.ts';
import { type BannerPlace, type PlanHow, planHows } from '../setup/terms/planTerms.ts';

/** How a plan holds: for words of the search, or on a collection's page, which is the least exact. */
export type HeldBy = PlanHow | 'collection';

/** Where an effect comes from, by which whoever tells of it can lead there. */
export type Source =
  | {
      readonly kind: 'plan';
      readonly id: string;
      readonly name: string;
      readonly how: HeldBy;
      /** The search that the one typed was corrected to, where the plan holds for that only. */
      readonly corrected?: string;
    }
  | { readonly kind: 'rule'; readonly id: string; readonly name: string }
  /** The order of a collection's own page. */
  | { readonly kind: 'collection'; readonly id: string; readonly name: string }
  /** What stands first before any search. */
  | { readonly kind: 'begin' }
  /** The catalog's boost column. */
  | { readonly kind: 'boost' };

/** A plan as the source. */
export type PlanSource = Source & { readonly kind: 'plan' };

/** A source as answers tell it. */
export interface ToldSource {
  from: Source['kind'];
  /** A boost of the catalog's, and what stands first before any search, have neither id nor name. */
  id: string;
  name: string;
  corrected?: string;
}
export const toldSource = (source: Source): ToldSource => {
  if (source.kind === 'boost' || source.kind === 'begin') return { from: source.kind, id: '', name: '' };
  const told = { from: source.kind, id: source.id, name: source.name };
  return source.kind === 'plan' && source.corrected !== undefined ? { ...told, corrected: source.corrected } : told;
};

/** A product stands at a place, counted from 1. */
export interface PinEffect {
  readonly what: 'pin';
  readonly product: string;
  readonly place: number;
  /** Whether it waits while the product is sold out. */
  readonly waits: boolean;
  readonly source: Source;
}
/** A product's score is multiplied; 1 is neutral. */
export interface FactorEffect {
  readonly what: 'factor';
  readonly product: string;
  readonly factor: number;
  readonly source: Source;
}
/** The same for every product of which a variant meets a condition, but for those that the same plan names. */
export interface ConditionFactorEffect {
  readonly what: 'conditionFactor';
  readonly condition: Condition;
  readonly but: ReadonlySet<string>;
  readonly factor: number;
  readonly source: Source;
}
/** A product stands before everything that is ordered by score, in the order in which these effects come. */
export interface FirstEffect {
  readonly what: 'first';
  readonly product: string;
  readonly source: Source;
}
/** Nothing but these products shows. */
export interface OnlyEffect {
  readonly what: 'only';
  readonly products: readonly string[];
  readonly source: Source;
}
/** A product shows though its words do not match. */
export interface BringInEffect {
  readonly what: 'bringIn';
  readonly product: string;
  readonly source: Source;
}
/** A product, or the variants that meet a condition, do not show. */
export interface HideEffect {
  readonly what: 'hide';
  readonly of: { readonly product: string } | { readonly condition: Condition };
  readonly source: Source;
}
/** Something is said beside the products. */
export interface BannerEffect {
  readonly what: 'banner';
  readonly where: BannerPlace;
  /** Of one among the results, counted from 1. */
  readonly place: number;
  readonly text: string;
  readonly link: string | undefined;
  readonly picture: string | undefined;
  readonly source: Source;
}
/** The shopper is sent elsewhere. */
export interface RedirectEffect {
  readonly what: 'redirect';
  readonly link: string;
  readonly source: Source;
}
/** The results stand in another order than that by score. */
export interface SortEffect {
  readonly what: 'sort';
  readonly attribute: string;
  readonly direction: 'high' | 'low';
  readonly source: Source;
}
/** Some words are not looked for, and only what meets a condition is looked at. */
export interface ScopeEffect {
  readonly what: 'scope';
  readonly wordsOut: readonly string[];
  /** Null where everything is. */
  readonly condition: Condition | null;
  readonly source: Source;
}
/** Just these filters stand beside the results, in this order, and those in which something is chosen. */
export interface FiltersEffect {
  readonly what: 'filters';
  readonly filters: readonly string[];
  readonly source: Source;
}
/** What the rules that hold do to one search, whatever they are kept as. */
export type Effect =
  | PinEffect
  | FactorEffect
  | ConditionFactorEffect
  | FirstEffect
  | OnlyEffect
  | BringInEffect
  | HideEffect
  | BannerEffect
  | RedirectEffect
  | SortEffect
  | ScopeEffect
  | FiltersEffect;

/** How exactly a plan holds for a search: by what comes first in `planHows`, then by more words, then by more restrictions. */
export interface Exactness {
  readonly how: HeldBy;
  readonly words: number;
  /** Filters chosen, devices and dates that it is limited to. */
  readonly restrictions: number;
}
/** Below 0 where the first is more exact. */
export const moreExact = (a: Exactness, b: Exactness): number =>
  heldBys.indexOf(a.how) - heldBys.indexOf(b.how) || b.words - a.words || b.restrictions - a.restrictions;
const heldBys: readonly HeldBy[] = [...planHows, 'collection'];
