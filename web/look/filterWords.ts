import type { FilterAnswer, FilterValue } from '../../core/answer/answer.ts';
import { counted, price } from './price.ts';

/** Amounts that a choice stands for, as far as it does. */
interface Amounts {
  readonly from?: number | null | undefined;
  readonly to?: number | null | undefined;
  readonly days?: number | null | undefined;
}
type Money = Pick<FilterAnswer, 'isMoney' | 'currency'>;

/** An amount as shoppers read it. */
export const amountIn = ({ isMoney, currency }: Money, amount: number): string =>
  isMoney ? price(amount, currency).replace(/\.00$/, '') : amount.toLocaleString('en-GB', { maximumFractionDigits: 2 });

/** From one amount to another in words, either of them open. */
export function spanInWords(filter: Money, from: number | null, to: number | null, isBelow = false): string {
  if (from !== null && to !== null) return `${amountIn(filter, from)} to ${amountIn(filter, to)}`;
  if (from !== null) return `${amountIn(filter, from)} and more`;
  return `${isBelow ? 'under' : 'up to'} ${amountIn(filter, to ?? 0)}`.replace(/^./, (letter) => letter.toUpperCase());
}

/** What one can choose in a filter, in words: what its amounts stand for, where it has any. */
export function choiceInWords(
  filter: Money & Pick<FilterAnswer, 'kind'>,
  { value, from, to, days }: Amounts & Pick<FilterValue, 'value'>,
): string {
  if (days !== undefined && days !== null) return `Last ${counted(days, 'day')}`;
  if (from === undefined) return value;
  if (filter.kind === 'rating') return `${from}${(from ?? 0) <= 5 ? ' stars' : ''} and more`;
  return spanInWords(filter, from, to ?? null, true);
}

/** A value in words: as the merchandiser named it, else as what it stands for. */
export function valueInWords(filter: FilterAnswer, value: FilterValue): string {
  const { label } = value;
  if (label !== value.value && filter.kind !== 'tree') return label;
  return choiceInWords(filter, { ...value, value: label });
}
