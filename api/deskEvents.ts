import type { SetupPart } from '../core/setup/registry.ts';

/** Somebody at the same draft: where they are, and which field they type in, by its label; empty where in none. */
export interface PersonHere {
  /** Names the browser tab, for as long as it is open. */
  readonly tab: string;
  readonly name: string;
  readonly screen: string;
  readonly field: string;
}

/** What the desk is told as it happens. */
export type DeskEvent =
  /** The draft was changed, by whom and to what, in sentences; the first ones where there are many. */
  | {
      readonly kind: 'changed';
      readonly revision: number;
      readonly who: string;
      readonly tab: string;
      readonly parts: readonly SetupPart[];
      readonly sentences: readonly string[];
    }
  /** Something else that everybody sees: a release, a catalog, a draft or a storefront named, taken out, put back. */
  | { readonly kind: 'around'; readonly who: string; readonly tab: string; readonly what: string }
  | { readonly kind: 'people'; readonly people: readonly PersonHere[] };
