import { cpSync, mkdtempSync, readFileSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';

/** Every so many-th product of the demo, and the first so many searches of its log. */
const everyProduct = 8;
const searches = 2000;

/**
 * A shop like the demo's first, with an eighth of its products and the beginning of its log, in a folder of its own: for
 * tests that start servers again and again, each of which reads all of it. `also` names other files of the demo it has,
 * as what was decided in it and its other storefronts.
 */
export function smallDemo(demo: string, also: readonly string[] = []): string {
  const folder = mkdtempSync(join(tmpdir(), 'clever-shelf-small-'));
  for (const name of ['collections.jsonl', 'articles.jsonl', ...also]) cpSync(join(demo, name), join(folder, name));
  symlinkSync(join(demo, 'pictures'), join(folder, 'pictures'));
  const [header, ...rows] = readFileSync(join(demo, 'catalog.csv'), 'utf8').trim().split('\n');
  const kept = rows.filter((row) => Number(/^p(\d+)-\d+,/.exec(row)?.[1] ?? 1) % everyProduct === 0);
  writeFileSync(join(folder, 'catalog.csv'), [header, ...kept, ''].join('\n'));
  const log = gunzipSync(readFileSync(join(demo, 'log.jsonl.gz')))
    .toString()
    .split('\n');
  writeFileSync(join(folder, 'log.jsonl.gz'), gzipSync(log.slice(0, searches).join('\n')));
  return folder;
}
