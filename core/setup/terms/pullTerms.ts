/** What is boosted or lowered: a product or a condition of a plan's (by its place in the plan's list), or a house rule's. */
export type Pulled =
  | { readonly of: 'product'; readonly plan: string; readonly product: string }
  | { readonly of: 'condition'; readonly plan: string; readonly at: number }
  | { readonly of: 'rule'; readonly rule: string };

/** What a strength is to reach: that so many of the products stand among the first of a search. */
export interface Aim {
  readonly search: string;
  /** Places, from 1. */
  readonly first: number;
  /** From 1. */
  readonly many: number;
}
