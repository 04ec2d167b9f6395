import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, test } from '@jest/globals';
import { stringify } from 'csv-stringify/sync';
import { readStandardRow } from '../core/catalog/readRow.ts';
import { makeArticles, makeCollections } from './makeReading.ts';
import { columns, makeStore } from './makeStore.ts';

const store = join(dirname(fileURLToPath(import.meta.url)), 'store');
const { rows, pictures } = makeStore(20261101);
const families = new Set(rows.map(({ family }) => family));

test('the shipped catalog is what the seed makes, to the last letter', () => {
  expect(readFileSync(join(store, 'catalog.csv'), 'utf8')).toBe(
    stringify([...rows], { header: true, columns: [...columns] }),
  );
  expect(readdirSync(join(store, 'pictures')).length).toBe(pictures.size);
});

test('every row is readable, and its picture is there', () => {
  for (const row of rows) {
    expect('record' in readStandardRow(row as Record<string, string>)).toBe(true);
    expect(pictures.has(row.picture!.replace('/pictures/', ''))).toBe(true);
  }
});

describe('it is as large and as untidy as a real export', () => {
  test('about 1,500 families and 6,000 variants', () => {
    expect(Math.abs(families.size - 1500)).toBeLessThan(200);
    expect(Math.abs(rows.length - 6000)).toBeLessThan(400);
  });
  test('gaps, three spellings of one value, numbers without units, twins, sold-out and seasonal goods', () => {
    const having = (column: 'description' | 'brand' | 'rating') => rows.filter((row) => row[column] === '').length;
    for (const column of ['description', 'brand', 'rating'] as const) expect(having(column)).toBeGreaterThan(50);
    const materials = new Set(rows.map(({ material }) => material));
    for (const spelling of ['Kolinsky sable', 'kolinsky-sable', 'Sable (Kolinsky)'])
      expect(materials).toContain(spelling);
    expect(rows.some((row) => /^\d+$/.test(row.paper_weight!))).toBe(true);
    expect(rows.some((row) => /^\d+ ?gsm$/.test(row.paper_weight!))).toBe(true);
    expect(rows.some((row) => row.id!.endsWith('b'))).toBe(true);
    expect(rows.filter((row) => row.stock === '0').length).toBeGreaterThan(200);
    expect(rows.some((row) => /christmas/i.test(row.tags!))).toBe(true);
  });
});

test('forty collections and sixty articles, each with an id of its own', () => {
  const [articles, collections] = [makeArticles(1), makeCollections()];
  expect([articles.length, collections.length]).toEqual([60, 40]);
  expect(new Set(articles.map(({ id }) => id)).size).toBe(60);
  expect(new Set(collections.map(({ id }) => id)).size).toBe(40);
});
