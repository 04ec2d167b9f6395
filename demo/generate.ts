import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';
import { stringify } from 'csv-stringify/sync';
import type { Cells } from '../core/catalog/readRow.ts';
import { logLines, makeLog } from './makeLog.ts';
import { makeArticles, makeCollections } from './makeReading.ts';
import { columns, makeStore } from './makeStore.ts';
import { makeStorefronts } from './makeStorefronts.ts';

const seed = 20261101;
const store = join(dirname(fileURLToPath(import.meta.url)), 'store');

const { rows, pictures } = makeStore(seed);
// The setup is decided by hand and stays.
rmSync(join(store, 'pictures'), { recursive: true, force: true });
mkdirSync(join(store, 'pictures'), { recursive: true });
writeFileSync(join(store, 'catalog.csv'), stringify([...rows], { header: true, columns: [...columns] }));
const lines = (items: readonly unknown[]): string => items.map((item) => `${JSON.stringify(item)}\n`).join('');
writeFileSync(join(store, 'articles.jsonl'), lines(makeArticles(seed)));
writeFileSync(join(store, 'collections.jsonl'), lines(makeCollections()));
writeFileSync(join(store, 'storefronts.json'), `${JSON.stringify(makeStorefronts(), null, 2)}\n`);
for (const [name, svg] of pictures) writeFileSync(join(store, 'pictures', name), svg);
// Packed with a fixed header time, so that the same log gives the same bytes.
const log = makeLog(seed, rows as Cells[]);
writeFileSync(join(store, 'log.jsonl.gz'), gzipSync(logLines(log), { level: 9 }));
const families = new Set(rows.map((row) => row.family)).size;
console.log(`${rows.length} variants of ${families} products, ${pictures.size} pictures, ${log.length} searches`);
