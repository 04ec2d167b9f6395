import type { FilterAnswer } from '../../../core/answer/answer.ts';
import { choosesOne, choosesRange } from '../../../core/setup/terms/filterTerms.ts';
import { spanInWords, valueInWords } from '../../look/filterWords.ts';
import type { Texts } from '../../look/texts.tsx';

/** What a shopper has said of filters, as the address carries it: a key with nothing takes off what is preselected. */
export type Said = Readonly<Record<string, readonly string[]>>;

/** What is chosen in a filter: what the shopper said of it, else what is preselected. Shown at once, not when an answer comes. */
export function chosenIn(filter: FilterAnswer, said: Said): readonly string[] {
  const { key, kind, preselected = [] } = filter;
  const chosen = Object.hasOwn(said, key) ? said[key]! : preselected;
  return takesOne(filter) || choosesRange(kind) ? chosen.slice(0, 1) : chosen;
}

/** Whether choosing a value takes the place of the one chosen before. */
export const takesOne = ({ kind, oneOf }: Pick<FilterAnswer, 'kind' | 'oneOf'>): boolean =>
  choosesOne({ kind, match: oneOf ? 'one' : undefined });

const isSame = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((text) => b.includes(text));

/**
 * What is said after a filter's choice has become another. Nothing is said of a filter that is as it would be anyway, and
 * choices in filters that are no longer there are forgotten, so that they do not come back unasked.
 */
export function withChoice(said: Said, filter: FilterAnswer, chosen: readonly string[], gone: readonly string[]): Said {
  const others = Object.entries(said).filter(([key]) => key !== filter.key && !gone.includes(key));
  const usual = filter.preselected ?? [];
  return Object.fromEntries(isSame(chosen, usual) ? others : [...others, [filter.key, chosen]]);
}

/** What is said after everything is taken off. */
export const withNothing = (filters: readonly FilterAnswer[]): Said =>
  Object.fromEntries(filters.filter(({ preselected = [] }) => preselected.length > 0).map(({ key }) => [key, []]));

/** A chosen value as its chip says it. */
export function chipInWords(filter: FilterAnswer, text: string, texts: Texts): string {
  if (filter.range) {
    const [from, to] = text.split('..');
    return `${filter.label}: ${spanInWords(filter, from ? Number(from) : null, to ? Number(to) : null, texts)}`;
  }
  const value = filter.values.find((each) => each.value === text);
  if (filter.kind === 'yesNo') return filter.label;
  return value ? valueInWords(filter, value, texts) : text;
}
