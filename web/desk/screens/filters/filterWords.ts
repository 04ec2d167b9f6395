import type { DescribedWarning, FilterProposalRow } from '../../../../api/filterEndpoints.ts';
import type { SearchAnswer } from '../../../../core/answer/answer.ts';
import { triedText } from '../../../../core/proposals/madeUpSearches.ts';
import type { FilterKind, ValueOrder } from '../../../../core/setup/terms/filterTerms.ts';
import { counted } from '../../../look/price.ts';

export const kindNames: Readonly<Record<FilterKind, string>> = {
  ticks: 'Tick list',
  single: 'Single choice',
  dropdown: 'Drop-down',
  swatches: 'Swatches',
  tiles: 'Size tiles',
  tree: 'Tree',
  range: 'Number boxes',
  slider: 'Slider with histogram',
  bands: 'Own ranges',
  rating: 'Rating',
  yesNo: 'Yes/no switch',
};

export const orderNames: Readonly<Record<ValueOrder, string>> = {
  count: 'most products first',
  name: 'by name',
  natural: 'naturally: 10/0, 2, 10, A4, A3',
  amount: 'by amount, units included',
  hand: 'by hand',
};

/** Kinds that fit what an attribute holds. */
export function kindsFor(
  attribute: { readonly isNumeric: boolean; readonly kind: string; readonly key: string } | undefined,
): FilterKind[] {
  if (!attribute) return Object.keys(kindNames) as FilterKind[];
  if (attribute.kind === 'date') return ['bands'];
  if (attribute.key === 'rating') return ['rating', 'bands', 'slider', 'range'];
  if (attribute.isNumeric) return ['slider', 'range', 'bands'];
  const lists: FilterKind[] = ['ticks', 'single', 'dropdown', 'swatches', 'tiles', 'yesNo'];
  return attribute.kind === 'path' ? ['tree', ...lists] : lists;
}

const percent = (share: number): string => (share > 0 && share < 0.01 ? 'less than 1%' : `${Math.round(share * 100)}%`);

/** What may be wrong with a filter's source, and what helps. */
export function warningInWords(warning: DescribedWarning, label: string): string {
  switch (warning.what) {
    case 'gone':
      return `The catalog no longer has “${label}”, so shoppers do not see this filter. It is kept in case it comes back with another import.`;
    case 'groupsGone':
      return 'The value groups it shows are gone or are of another attribute, so it shows the catalog’s own values.';
    case 'fewHaveIt':
      return `Only ${percent(warning.coverage)} of the records have it: whoever uses this filter loses all the others.`;
    case 'oneValue':
      return `Every record that has it says “${warning.value}”: there is nothing to choose.`;
    case 'manyValues':
      return `It has ${counted(warning.values, 'value')}, too many to read: show it as a drop-down, or through value groups.`;
    case 'numbersAsText':
      return 'Its values are numbers kept as text. Read it as a number under Reading, and it can be a slider.';
    case 'mixedUnits':
      return `Its amounts are in several units (${warning.units.join(', ')}). Value groups can join those that mean the same.`;
  }
}

/** Why a filter is not beside the trial search's results. */
export function whyNotShown(why: SearchAnswer['filtersNotShown'][number]['why']): string {
  switch (why) {
    case 'elsewhere':
      return 'not shown here: it belongs to other places';
    case 'otherFilters':
      return 'not shown here: a shelf plan shows other filters';
    case 'waiting':
      return 'not shown yet: it waits for another filter';
    case 'uniform':
      return 'not shown here: it would not divide these results';
    case 'empty':
      return 'not shown here: nothing found has it';
  }
}

/** How much one choice narrows, in words. */
export const leavesInWords = (leaves: number | null): string =>
  leaves === null ? 'there is nothing to choose' : `it narrows results to ${percent(leaves)} on average`;

/** What speaks for a proposed filter. */
export function reasonFor({ coverage, values, tried, areMadeUp, divides, leaves }: FilterProposalRow): string {
  const have = coverage > 0.995 ? 'Every record has it' : `${percent(coverage)} of the records have it`;
  const many = values > 0 ? `, in ${counted(values, 'value')}` : '';
  const worth =
    tried > 1
      ? `Useful in ${divides} of the ${triedText(tried, { areMadeUp })}; ${leavesInWords(leaves)}.`
      : `In the whole shop ${leavesInWords(leaves)}.`;
  return `${have}${many}. ${worth}`;
}
