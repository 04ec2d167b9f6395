import { pick } from '../core/base/random.ts';
import type { CatalogRecord } from '../core/catalog/record.ts';
import type { Contender } from './contender.ts';
import { makeQuery, type QueryClass, queryClasses } from './makeQueries.ts';
import { median, percentile } from './percentile.ts';

/** How often each search is made, with all others in between: what is kept of the last one must not help. */
const rounds = 5;

/**
 * Prints what something costs: the same searches without and with it, in turns, so that a slow moment hits both. A search's
 * time is the median of its rounds; beside the times of all searches stands how many times its own each one takes.
 */
export function sideBySide(
  records: readonly CatalogRecord[],
  random: () => number,
  queries: number,
  without: Contender,
  withIt: Contender,
): void {
  const searched = (kind: QueryClass): string[] => [
    ...new Set(Array.from({ length: queries }, () => makeQuery(random, kind, pick(random, records)).text)),
  ];
  console.log('class            without 50th      95th    with 50th      95th   times its own, 50th   95th');
  for (const kind of queryClasses) {
    // Warmed by other searches of the class: what is kept of a search must not help when it is measured.
    for (const text of searched(kind).slice(0, 100))
      for (const each of [without, withIt]) each.search(text, kind === 'prefix');
    const texts = searched(kind);
    const times = texts.map((): [number[], number[]] => [[], []]);
    const turn = [...[without, withIt].entries()];
    for (let round = 0; round < rounds; round++)
      for (const [which, text] of texts.entries()) {
        // Who answers a search second finds its words at hand: each is second as often as the other.
        turn.reverse();
        for (const [at, contender] of turn) {
          const start = performance.now();
          contender.search(text, kind === 'prefix');
          times[which]![at]!.push(performance.now() - start);
        }
      }
    const own = times.map((of): [number, number] => [median(of[0]), median(of[1])]);
    const [plain, full] = [own.map(([time]) => time), own.map(([, time]) => time)];
    const ratios = own.map(([before, after]) => after / before);
    const shown = (milliseconds: number): string => milliseconds.toFixed(3).padStart(10);
    const both = (of: number[]): string => `${shown(percentile(of, 0.5))} ${shown(percentile(of, 0.95))}`;
    const ratio = (share: number): string => percentile(ratios, share).toFixed(2);
    console.log(
      `${kind.padEnd(15)} ${both(plain)}   ${both(full)}   ${ratio(0.5).padStart(19)} ${ratio(0.95).padStart(6)}`,
    );
  }
}
