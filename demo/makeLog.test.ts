import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gunzipSync } from 'node:zlib';
import { describe, expect, test } from '@jest/globals';
import type { Cells } from '../core/catalog/readRow.ts';
import { logEntrySchema } from '../core/demand/logEntry.ts';
import { logLines, makeLog } from './makeLog.ts';
import { makeStore } from './makeStore.ts';

const shipped = join(dirname(fileURLToPath(import.meta.url)), 'store', 'log.jsonl.gz');
const log = gunzipSync(readFileSync(shipped))
  .toString()
  .trim()
  .split('\n')
  .map((line) => logEntrySchema.parse(JSON.parse(line)));
const { rows } = makeStore(20261101);
const families = new Set(rows.map(({ family }) => family));
const share = (test: (entry: (typeof log)[number]) => boolean): number => log.filter(test).length / log.length;

describe('the shipped shopper log', () => {
  test('covers 90 days, in order, and names only products there are', () => {
    const dates = new Set(log.map(({ time }) => time.slice(0, 10)));
    expect(dates.size).toBe(90);
    expect(log.every((entry, at) => at === 0 || log[at - 1]!.time <= entry.time)).toBe(true);
    const clicked = new Set(log.flatMap(({ clicks }) => clicks.map(({ product }) => product)));
    expect([...clicked].filter((product) => !families.has(product))).toEqual([]);
  });

  test('has a long tail: few searches are common, most are made once or twice', () => {
    const counts = new Map<string, number>();
    for (const { search } of log) counts.set(search, (counts.get(search) ?? 0) + 1);
    const sorted = [...counts.values()].sort((a, b) => b - a);
    expect(sorted.slice(0, 20).reduce((a, b) => a + b, 0) / log.length).toBeGreaterThan(0.3);
    expect(sorted.filter((count) => count <= 2).length / sorted.length).toBeGreaterThan(0.4);
  });

  test('clicks fall off by place, baskets come of clicks and purchases of baskets', () => {
    const at = (from: number, to: number) =>
      share(({ clicks }) => clicks.some(({ place }) => place >= from && place <= to)) / (to - from + 1);
    expect(at(1, 1)).toBeGreaterThan(at(4, 6));
    expect(at(4, 6)).toBeGreaterThan(at(15, 24));
    const odd = log.filter(
      ({ clicks, baskets, purchases }) =>
        !baskets.every((product) => clicks.some((click) => click.product === product)) ||
        !purchases.every((product) => baskets.includes(product)),
    );
    expect(odd).toEqual([]);
  });

  test('has dead ends, filters used, and seasons', () => {
    expect(share(({ results }) => results === 0)).toBeGreaterThan(0.03);
    expect(share(({ filters }) => Object.keys(filters).length > 0)).toBeGreaterThan(0.05);
    const christmas = log.filter(({ search }) => search === 'christmas');
    expect(christmas.filter(({ time }) => time >= '2026-10-10').length).toBeGreaterThan(christmas.length / 2);
    expect(log.some(({ search }) => search === 'aquarelle')).toBe(true);
  });
});

test('the same seed and catalog make the same log, another seed another', () => {
  const few = rows.slice(0, 150) as Cells[];
  const text = logLines(makeLog(5, few, 3));
  expect(text.length).toBeGreaterThan(10_000);
  expect(logLines(makeLog(5, few, 3))).toBe(text);
  expect(logLines(makeLog(6, few, 3))).not.toBe(text);
});
