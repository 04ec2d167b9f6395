import type { FilterAnswer, FilterValue } from '../../../core/answer/answer.ts';

/** Fetches the values of a long list that have a text in their names. */
export type LookThrough = (key: string, text: string) => Promise<readonly FilterValue[]>;

/** A filter beside the results, with what is chosen in it and the way to change that. */
export interface OneFilter {
  readonly filter: FilterAnswer;
  readonly chosen: readonly string[];
  choose(values: readonly string[]): void;
  readonly lookThrough: LookThrough;
}
