import type { FilterAnswer, FilterValue } from '../../core/answer/answer.ts';
import { availability } from '../../core/catalog/standardColumns.ts';
import { english, type Texts } from './texts.tsx';

/** What amounts are in where nothing is said. */
const usualCurrency = 'GBP';
/** Ratings are counted in stars up to here; a shop that counts to ten has numbers. */
const mostStars = 5;

/** Amounts that a choice stands for, as far as it does. */
interface Amounts {
  readonly from?: number | null | undefined;
  readonly to?: number | null | undefined;
  readonly days?: number | null | undefined;
}
type Money = Pick<FilterAnswer, 'isMoney' | 'currency'>;

/** An amount as shoppers read it; at the desk texts are English. */
export const amountIn = ({ isMoney, currency }: Money, amount: number, texts: Texts = english): string =>
  isMoney ? texts.money(amount, currency ?? usualCurrency, true) : texts.number(amount);

/** From one amount to another in words, either of them open. */
export function spanInWords(
  filter: Money,
  from: number | null,
  to: number | null,
  texts: Texts = english,
  isBelow = false,
): string {
  const amount = (of: number): string => amountIn(filter, of, texts);
  if (from !== null && to !== null) return texts.say('price.range', { from: amount(from), to: amount(to) });
  if (from !== null) return texts.say('filters.andMore', { amount: amount(from) });
  return texts.say(isBelow ? 'filters.under' : 'filters.upTo', { amount: amount(to ?? 0) });
}

/** What one can choose in a filter, in words: what its amounts stand for, where it has any. */
export function choiceInWords(
  filter: Money & Pick<FilterAnswer, 'kind'>,
  { value, from, to, days }: Amounts & Pick<FilterValue, 'value'>,
  texts: Texts = english,
): string {
  if (days !== undefined && days !== null) return texts.say('filters.lastDays', { count: days });
  if (from === undefined) return value;
  if (filter.kind === 'rating') {
    const least = from ?? 0;
    const amount = least <= mostStars ? texts.say('filters.stars', { count: least }) : texts.count(least);
    return texts.say('filters.andMore', { amount });
  }
  return spanInWords(filter, from, to ?? null, texts, true);
}

/** A value in words: as the merchandiser named it, else as what it stands for. */
export function valueInWords(filter: FilterAnswer, value: FilterValue, texts: Texts = english): string {
  const { label } = value;
  if (label !== value.value && filter.kind !== 'tree') return label;
  if (filter.key === availability.key && label === availability.inStock) return texts.say('product.inStock');
  if (filter.key === availability.key && label === availability.soldOut) return texts.say('card.soldOut');
  return choiceInWords(filter, { ...value, value: label }, texts);
}
