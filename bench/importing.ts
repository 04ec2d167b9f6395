import { createWriteStream, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { pathToFileURL } from 'node:url';
import { parseArgs } from 'node:util';
import { Worker } from 'node:worker_threads';
import { stringify } from 'csv-stringify';
import { textsOf } from '../core/catalog/record.ts';
import { examineFile } from '../server/catalog/examineFile.ts';
import type { ImportOptions, ImportPhase } from '../server/catalog/importCatalog.ts';
import type { ImportMessage, ImportOrder } from '../server/catalog/importWorker.ts';
import { openDataFolder } from '../server/dataFolder.ts';
import { makeRecords } from './makeRecords.ts';

/** The made-up records as the rows of a file. */
function* rowsOf(records: number): Generator<Record<string, string>> {
  for (const { id, familyId, sku, values } of makeRecords(7, records)) {
    // A path is kept as what it leads through, each named from the first on: its last is the whole of it.
    const cells = Object.entries(values).map(([key, value]) => [
      key,
      key === 'category' ? (textsOf(value).at(-1) ?? '') : textsOf(value).join('|'),
    ]);
    yield { id, family: familyId, sku, ...Object.fromEntries(cells) };
  }
}

const importWorker = pathToFileURL(join('dist', 'server', 'importWorker.js'));

/** Reads one file by what is proposed for it, as the desk does; seconds by phase, and the most memory it took. */
async function importOne(root: string, generation: number, options: Pick<ImportOptions, 'base'> & { path: string }) {
  const { form, mapping } = await examineFile(options.path);
  const order: ImportOrder = {
    kind: 'read',
    options: {
      folder: openDataFolder(root),
      generation,
      base: options.base,
      mode: 'replace',
      rows: { kind: 'file', path: options.path, name: 'made-up.csv', form, mapping },
    },
  };
  const worker = new Worker(importWorker, { workerData: order });
  const seconds = new Map<ImportPhase, number>();
  const began = performance.now();
  let phase: ImportPhase = 'reading';
  let since = began;
  let memory = 0;
  const watch = setInterval(() => {
    memory = Math.max(memory, process.memoryUsage.rss());
  }, 100);
  const enter = (next: ImportPhase): void => {
    const now = performance.now();
    seconds.set(phase, (seconds.get(phase) ?? 0) + (now - since) / 1000);
    phase = next;
    since = now;
  };
  await new Promise<void>((resolve, reject) => {
    worker.on('error', reject);
    worker.on('message', (message: ImportMessage) => {
      if ('progress' in message) enter(message.progress.phase);
      else if ('failed' in message) reject(new Error(message.failed));
      else resolve();
    });
  });
  clearInterval(watch);
  enter(phase);
  return { total: (performance.now() - began) / 1000, seconds, memory };
}

/** npm run bench -- importing: rows a second by catalog size, where the time goes, and the memory it takes. */
export async function runImporting(args: string[]): Promise<void> {
  const { values } = parseArgs({ args, options: { sizes: { type: 'string', default: '20000,100000' } } });
  const root = mkdtempSync(join(tmpdir(), 'clever-shelf-importing-'));
  try {
    let generation = 0;
    for (const size of values.sizes.split(',').map(Number)) {
      const path = join(root, `${size}.csv`);
      await pipeline(Readable.from(rowsOf(size)), stringify({ header: true }), createWriteStream(path));
      for (const base of [0, generation + 1]) {
        const { total, seconds, memory } = await importOne(root, ++generation, { path, base });
        const phases = [...seconds].map(([phase, time]) => `${phase} ${time.toFixed(1)}`).join(', ');
        console.log(
          `${size} rows${base > 0 ? ' over the same' : ''}: ${total.toFixed(1)} s, ${Math.round(size / total)} a second (${phases}); ${(memory / 1e6).toFixed(0)} MB`,
        );
      }
    }
  } finally {
    rmSync(root, { recursive: true, force: true });
  }
}
