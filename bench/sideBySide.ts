import { pick } from '../core/base/random.ts';
import type { CatalogRecord } from '../core/catalog/record.ts';
import type { Contender } from './contender.ts';
import { makeQuery, type QueryClass, queryClasses } from './makeQueries.ts';

const percentile = (times: number[], share: number): number =>
  times.sort((a, b) => a - b)[Math.floor(times.length * share)]!;

/** Prints what something costs: the same searches without and with it, in turns, so that a slow moment hits both. */
export function sideBySide(
  records: readonly CatalogRecord[],
  random: () => number,
  queries: number,
  without: Contender,
  withIt: Contender,
): void {
  const searched = (kind: QueryClass): string[] =>
    Array.from({ length: queries }, () => makeQuery(random, kind, pick(random, records)).text);
  console.log('class            without 50th      95th    with 50th      95th   times, 50th   95th');
  for (const kind of queryClasses) {
    const times: [number[], number[]] = [[], []];
    // Warmed by other searches of the class: what is kept of a search must not help when it is measured.
    for (const text of searched(kind).slice(0, 100))
      for (const each of [without, withIt]) each.search(text, kind === 'prefix');
    const turn = [...[without, withIt].entries()];
    for (const text of searched(kind)) {
      // Who answers a search second finds its words at hand: each is second as often as the other.
      turn.reverse();
      for (const [at, contender] of turn) {
        const start = performance.now();
        contender.search(text, kind === 'prefix');
        times[at]!.push(performance.now() - start);
      }
    }
    const [plain, full] = times.map((list) => [percentile(list, 0.5), percentile(list, 0.95)] as const);
    const shown = (milliseconds: number): string => milliseconds.toFixed(3).padStart(10);
    const ratio = (at: 0 | 1): string => (full![at] / plain![at]).toFixed(2).padStart(8);
    console.log(
      `${kind.padEnd(15)} ${shown(plain![0])} ${shown(plain![1])}   ${shown(full![0])} ${shown(full![1])}   ${ratio(0)} ${ratio(1)}`,
    );
  }
}
