import { mkdirSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { pick, seededRandom } from '../core/base/random.ts';
import type { Contender, EditTimes } from './contender.ts';
import { cleverShelf, flexSearch, fts5, miniSearch } from './contenders.ts';
import { type CostlySearch, findCostliest } from './costly.ts';
import { type BenchQuery, makeQuery, type QueryClass, queryClasses } from './makeQueries.ts';
import { makeRecords } from './makeRecords.ts';

const { values } = parseArgs({
  options: {
    sizes: { type: 'string', default: '10000,100000' },
    queries: { type: 'string', default: '150' },
    seed: { type: 'string', default: '7' },
    only: { type: 'string' },
    quick: { type: 'boolean', default: false },
  },
  allowPositionals: true,
});
const seed = Number(values.seed);
/** Records up to which every contender is measured. */
const mostForAll = 300_000;

interface Row {
  readonly size: number;
  readonly contender: string;
  readonly class: QueryClass;
  readonly p50: number;
  readonly p95: number;
  readonly p99: number;
  /** The 95th percentile of each query's fastest pass: what the code costs where nothing else disturbs it. */
  readonly p95Undisturbed: number;
  readonly found: number;
  readonly firstTen: number | null;
}

const ascending = (list: readonly number[]): number[] => [...list].sort((a, b) => a - b);
const percentile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;

/** A loop that does the same on every machine, so that figures from two days can be told apart from a slow day. */
function calibrate(): number {
  const items = Float64Array.from({ length: 1_000_000 }, (_, at) => Math.sin(at));
  const start = performance.now();
  items.sort();
  return performance.now() - start;
}

/** Passes over the queries before any is measured, and passes measured. */
const warmPasses = 1;
const measuredPasses = 5;
/** A contender that takes longer to get warm, in milliseconds, is measured once: what disturbs it is little beside it. */
const slowFrom = 10_000;

/**
 * What a warm server does: every query is asked in turn until the code is warm, and then five times more, of which
 * its median counts, so that the percentiles are those of the queries and not of what else the machine did.
 */
function measure(contender: Contender, kind: QueryClass, queries: readonly BenchQuery[], size: number): Row {
  const typing = kind === 'prefix';
  const measured = queries.map((): number[] => []);
  let found = 0;
  let firstTen = 0;
  const began = performance.now();
  for (let pass = 0; pass < warmPasses; pass++) for (const { text } of queries) contender.search(text, typing);
  const isSlow = performance.now() - began > slowFrom;
  for (let pass = 0; pass < (isSlow ? 1 : measuredPasses); pass++)
    queries.forEach(({ text, intended }, at) => {
      const start = performance.now();
      const { families, total } = contender.search(text, typing);
      measured[at]!.push(performance.now() - start);
      if (pass > 0) return;
      found += total;
      if (intended !== null && families.slice(0, 10).includes(intended)) firstTen++;
    });
  const times = ascending(measured.map((list) => percentile(ascending(list), 0.5)));
  return {
    size,
    contender: contender.name,
    class: kind,
    p50: percentile(times, 0.5),
    p95: percentile(times, 0.95),
    p99: percentile(times, 0.99),
    p95Undisturbed: percentile(ascending(measured.map((list) => Math.min(...list))), 0.95),
    found: found / queries.length,
    firstTen: kind === 'nothing' ? null : firstTen / queries.length,
  };
}

/** The median of five runs. */
function timeOf(contender: Contender, { text, typing }: CostlySearch): number {
  const times = Array.from({ length: 5 }, () => {
    const start = performance.now();
    contender.search(text, typing);
    return performance.now() - start;
  });
  return percentile(ascending(times), 0.5);
}

const shown = (milliseconds: number): string => milliseconds.toFixed(milliseconds < 1 ? 3 : 2).padStart(9);
const rows: Row[] = [];
const builds: {
  size: number;
  contender: string;
  settings: string;
  recordsASecond: number;
  bytesARecord: number | null;
}[] = [];
const costliest: (CostlySearch & { readonly size: number; readonly milliseconds: number })[] = [];
const edits: (EditTimes & { readonly size: number })[] = [];
const calibration = calibrate();
console.log(
  `Node ${process.version}, ${cpus()[0]?.model ?? 'unknown processor'}; sorting a million numbers: ${calibration.toFixed(0)} ms; seed ${seed}`,
);

for (const size of values.sizes.split(',').map(Number)) {
  const records = [...makeRecords(seed, size)];
  const random = seededRandom(seed + 1);
  const queries = Object.fromEntries(
    queryClasses.map((kind) => [
      kind,
      Array.from({ length: Number(values.queries) }, () => makeQuery(random, kind, pick(random, records))),
    ]),
  ) as Record<QueryClass, BenchQuery[]>;
  console.log(`\n${size} records: milliseconds for a page of 24 and the counts of 8 filters`);
  console.log(
    `${'class'.padEnd(14)} ${'contender'.padEnd(13)} ${'50th'.padStart(9)} ${'95th'.padStart(9)} ${'99th'.padStart(9)} ${'95th*'.padStart(9)} ${'hits'.padStart(9)}  in first ten`,
  );
  console.log('(* of each query’s fastest pass, where nothing else on the machine disturbed it)');
  // A million records are more than the libraries that keep everything on the heap can take here.
  const makers = size > mostForAll ? [cleverShelf, fts5] : [cleverShelf, miniSearch, flexSearch, fts5];
  for (const make of makers) {
    if (values.only && !make.name.toLowerCase().includes(values.only.toLowerCase())) continue;
    const contender = make(records);
    builds.push({
      size,
      contender: contender.name,
      settings: contender.settings,
      recordsASecond: (size / contender.buildMilliseconds) * 1000,
      bytesARecord: contender.bytes === null ? null : contender.bytes / size,
    });
    let found: CostlySearch | null = null;
    if (make === cleverShelf && !values.quick) {
      const ask = (search: CostlySearch) => contender.search(search.text, search.typing);
      found = findCostliest(seededRandom(seed + 2), records, ask);
    }
    for (const kind of queryClasses) {
      const row = measure(contender, kind, queries[kind], size);
      rows.push(row);
      const tenth = row.firstTen === null ? '' : `${Math.round(row.firstTen * 100)}%`;
      console.log(
        `${kind.padEnd(14)} ${contender.name.padEnd(13)} ${shown(row.p50)} ${shown(row.p95)} ${shown(row.p99)} ${shown(row.p95Undisturbed)} ${row.found.toFixed(0).padStart(9)}  ${tenth}`,
      );
    }
    if (contender.edits) edits.push({ size, ...contender.edits() });
    // Timed when the classes are, with the code as warm.
    if (found) costliest.push({ size, text: found.text, typing: found.typing, milliseconds: timeOf(contender, found) });
  }
}

console.log('\nThe costliest search that was looked for, beside the 95th percentile of the classes above');
for (const { size, text, typing, milliseconds } of costliest) {
  const usual = Math.max(
    ...rows.filter((row) => row.size === size && row.contender === 'Clever Shelf').map(({ p95 }) => p95),
  );
  console.log(
    `${String(size).padStart(8)} ${milliseconds.toFixed(1)} ms, ${(milliseconds / usual).toFixed(1)} times: “${text}”${typing ? ', while typing' : ''}`,
  );
}

console.log('\nAn edit until its picture is there, in a search thread');
for (const { size, weight, price, title } of edits)
  console.log(
    `${String(size).padStart(8)} a weight ${weight.toFixed(0)} ms, a product’s price ${price.toFixed(0)} ms, its title ${title.toFixed(0)} ms`,
  );

console.log('\nBuilding');
for (const { size, contender, recordsASecond, bytesARecord } of builds)
  console.log(
    `${String(size).padStart(8)} ${contender.padEnd(13)} ${recordsASecond.toFixed(0).padStart(8)} records a second, ${bytesARecord === null ? 'unknown' : bytesARecord.toFixed(0)} bytes a record`,
  );

const ours = rows.filter(({ contender }) => contender === 'Clever Shelf');
console.log('\nAgainst the fastest other that finds the intended product at least nine times in ten (95th percentile)');
/** A search that finds nothing is looked at twice by who corrects slips; beside others it is not the same work. */
const corrects = (peer: Row): boolean =>
  rows.some(
    ({ size, contender, class: kind, firstTen }) =>
      size === peer.size && contender === peer.contender && kind === 'one typo' && firstTen! >= 0.5,
  );
for (const row of ours) {
  const others = rows
    .filter(
      ({ size, class: kind, contender }) => size === row.size && kind === row.class && contender !== row.contender,
    )
    .sort((a, b) => a.p95 - b.p95);
  const beside = (peer: Row | undefined): string =>
    peer ? `${(peer.p95 / row.p95).toFixed(1)} times as fast as ${peer.contender}` : 'no other qualifies';
  const fastest = others.find(({ firstTen }) => firstTen === null || firstTen >= 0.9);
  const note = row.class === 'nothing' ? `${beside(others.find(corrects))}, of those that correct slips; of all ` : '';
  console.log(`${String(row.size).padStart(8)} ${row.class.padEnd(14)} ${note}${beside(fastest)}`);
}
console.log('\nSettings');
for (const { contender, settings } of builds.filter(({ size }) => size === builds[0]!.size))
  console.log(`${contender}: ${settings}`);

const folder = join('bench', 'results');
mkdirSync(folder, { recursive: true });
writeFileSync(
  join(folder, 'speed.json'),
  `${JSON.stringify({ seed, calibration, node: process.version, builds, costliest, edits, rows }, null, 2)}\n`,
);
