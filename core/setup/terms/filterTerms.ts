/**
 * How a filter looks. `ticks`, `dropdown`, `swatches` and `tiles` list values; `single` lets one be chosen; `tree` lists
 * the levels of a path below each other; `range` is two number boxes and `slider` two handles under a histogram;
 * `bands` are ranges of the merchandiser's own, or ages of dates; `rating` is "so many and more"; `yesNo` is one switch.
 */
export const filterKinds = [
  'ticks',
  'single',
  'dropdown',
  'swatches',
  'tiles',
  'tree',
  'range',
  'slider',
  'bands',
  'rating',
  'yesNo',
] as const;
export type FilterKind = (typeof filterKinds)[number];
/** Whether at most one value is chosen: by the kind, or because the setting says so. */
export const choosesOne = ({
  kind,
  match,
}: {
  readonly kind: FilterKind;
  readonly match?: string | undefined;
}): boolean => kind === 'single' || kind === 'rating' || kind === 'yesNo' || match === 'one';
/** Kinds that are chosen by two amounts. */
export const choosesRange = (kind: FilterKind): boolean => kind === 'range' || kind === 'slider';

/** `natural` knows sizes: 10/0 before 0 before 2 before 10, A4 before A3, S before M; `amount` goes by numbers with units. */
export const valueOrders = ['count', 'name', 'natural', 'amount', 'hand'] as const;
export type ValueOrder = (typeof valueOrders)[number];

/** What holds of a filter where its setting does not say. */
export const usualFilter = { match: 'any', showFirst: 8, minimum: 1, searchFrom: 12 } as const;
/** What values in no group are shown as, together. */
export const usualRestLabel = 'Other';

/** Where filters can stand. */
export const filterPositions = ['left', 'right', 'above', 'drawer'] as const;
export type FilterPosition = (typeof filterPositions)[number];
export const usualLayout = { wide: 'left', middle: 'above', narrow: 'drawer', keep: false } as const;

/** What the kinds are called in a sentence. */
export const filterKindNames: Readonly<Record<FilterKind, string>> = {
  ticks: 'tick list',
  single: 'single choice',
  dropdown: 'drop-down',
  swatches: 'row of swatches',
  tiles: 'row of size tiles',
  tree: 'tree',
  range: 'pair of number boxes',
  slider: 'slider',
  bands: 'list of ranges',
  rating: 'rating',
  yesNo: 'yes/no switch',
};
