import type { FilterAnswer, FilterValue } from '../../core/answer/answer.ts';
import { counted, price } from './price.ts';

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

/** A value in words: as the merchandiser named it, else as what it stands for. */
export function valueInWords(filter: FilterAnswer, value: FilterValue): string {
  if (value.label !== value.value && filter.kind !== 'tree') return value.label;
  if (value.days !== undefined) return `Last ${counted(value.days, 'day')}`;
  if (filter.kind === 'rating') return `${value.from}${(value.from ?? 0) <= 5 ? ' stars' : ''} and more`;
  if (value.from !== undefined) return spanInWords(filter, value.from, value.to ?? null, true);
  return value.label;
}
