import { styleText } from 'node:util';
import type { KnownItem } from './knownItems.ts';

/** One finder's places of what was meant, 0 where it was not found, for the same queries in the same order. */
export interface Ranks {
  readonly finder: string;
  readonly ranks: readonly number[];
}

const mostQueries = 10;

const reciprocal = (rank: number): number => (rank > 0 ? 1 / rank : 0);
const mean = ({ ranks }: Ranks): number => ranks.reduce((sum, rank) => sum + reciprocal(rank), 0) / ranks.length;
const place = (rank: number): string => (rank > 0 ? String(rank) : '-');

/**
 * Lines about a set of queries in which another finder's mean reciprocal rank is above the first one's: by whom and how much, and
 * the queries by which most is lost, worst first. None where nobody is ahead.
 */
export function behind([own, ...peers]: readonly Ranks[], queries: readonly KnownItem[]): string[] {
  const [best] = [...peers].sort((a, b) => mean(b) - mean(a));
  if (!own || !best || mean(best).toFixed(3) <= mean(own).toFixed(3)) return [];
  const lost = queries
    .map((query, at) => ({ query, own: own.ranks[at]!, peer: best.ranks[at]! }))
    .map((each) => ({ ...each, loss: reciprocal(each.peer) - reciprocal(each.own) }))
    .filter(({ loss }) => loss > 0)
    .sort((a, b) => b.loss - a.loss)
    .slice(0, mostQueries);
  return [
    styleText('red', `    ${best.finder} is ahead: ${mean(best).toFixed(3)} against ${mean(own).toFixed(3)}`),
    ...lost.map((each) => `    ${place(each.own)} (${place(each.peer)})  “${each.query.text}”  ${each.query.id}`),
  ];
}
