import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { standardMapping } from '../../core/catalog/mapping.ts';
import { type FileToRead, type ReadBatch, readFileRows } from './readRows.ts';
import { detectForm } from './sources/detectForm.ts';
import { rowThread, threadedRows } from './threadedRows.ts';

const worker = pathToFileURL('server/testing/rowWorker.mjs');
let folder = '';
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'clever-shelf-rows-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function fileOf(text: string): FileToRead {
  const path = join(folder, 'rows.csv');
  writeFileSync(path, text);
  const mapping = standardMapping(['id', 'title', 'price']);
  return { path, form: detectForm(path), mapping, corrections: new Map([['p7', 'set']]) };
}
async function all(batches: AsyncIterable<ReadBatch>): Promise<ReadBatch[]> {
  const read: ReadBatch[] = [];
  for await (const batch of batches) read.push(batch);
  return read;
}
const rows = (amount: number): string =>
  `id,title,price\n${Array.from({ length: amount }, (_, at) => `p${at},Brush ${at},${at % 9 === 8 ? 'dear' : at}`).join('\n')}`;

test('rows read in a thread are those that are read without one, more than may wait at once among them', async () => {
  const file = fileOf(rows(6000));
  const inThread = await all(threadedRows(rowThread(worker, file)));
  const here = await all(readFileRows(file));
  expect(inThread.flatMap((batch) => batch.rows)).toEqual(here.flatMap((batch) => batch.rows));
  expect(inThread.flatMap((batch) => batch.rows)).toHaveLength(6000);
  expect(inThread.length).toBeGreaterThan(6);
  expect(inThread[0]!.rows[7]).toMatchObject({ id: 'p7', family: 'set' });
  expect(inThread[0]!.rows[8]).toMatchObject({ line: 10, column: 'price' });
});

test('a file of which nothing can be read says so as it does without a thread', async () => {
  const file = fileOf(`${Array.from({ length: 3000 }, (_, at) => `c${at}`).join(',')}\n`);
  await expect(all(threadedRows(rowThread(worker, file)))).rejects.toMatchObject({ code: 'too-many-columns' });
});

test('rows that are no longer wanted are read no further, and their thread ends', async () => {
  const thread = rowThread(worker, fileOf(rows(40_000)));
  for await (const { share } of threadedRows(thread)) {
    expect(share).toBeLessThan(1);
    break;
  }
  // Node.js gives the number of a thread that has ended as -1.
  expect(thread.threadId).toBe(-1);
});

test('a thread that ends without a word is an error, not the end of the rows', async () => {
  const gone = pathToFileURL(join(folder, 'gone.mjs'));
  writeFileSync(gone, 'process.exit(3);');
  await expect(all(threadedRows(rowThread(gone, fileOf(rows(3)))))).rejects.toThrow();
});
