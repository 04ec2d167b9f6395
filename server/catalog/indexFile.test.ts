import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, test } from '@jest/globals';
import { seededRandom } from '../../core/base/random.ts';
import { generationFiles } from '../dataFolder.ts';
import { openTestShelf, smallCatalog } from '../testing/openTestShelf.ts';
import { openCatalog } from './catalogReader.ts';
import { IndexDamaged, readIndex, readIndexLater, writeIndex } from './indexFile.ts';
import { indexTrouble, rebuildIndex } from './mendCatalog.ts';

const folder = mkdtempSync(join(tmpdir(), 'clever-shelf-index-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

test('what was written is what is read, at once or later', async () => {
  const path = join(folder, 'whole');
  const bytes = Uint8Array.from({ length: 100_003 }, (_, at) => at % 251);
  const note = writeIndex(path, bytes);
  expect(new Uint8Array(readIndex(path, note))).toEqual(bytes);
  expect(new Uint8Array(await readIndexLater(path, note))).toEqual(bytes);
});

test('twenty-five damaged copies: every one is noticed, and built again to what it was', async () => {
  const shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  const generation = shelf.catalogs.generation();
  const { index } = generationFiles(shelf.folder, generation);
  const whole = readFileSync(index);
  const random = seededRandom(25);
  for (let copy = 0; copy < 25; copy++) {
    const at = Math.floor(random() * whole.length);
    const damaged = Buffer.from(whole);
    if (copy % 5 === 0) rmSync(index);
    else if (copy % 5 === 1) writeFileSync(index, whole.subarray(0, at));
    else if (copy % 5 === 2) writeFileSync(index, Buffer.concat([whole, whole.subarray(0, 8)]));
    else {
      // One bit, or a stretch of zeros over something.
      if (copy % 5 === 3) damaged[at]! ^= 1 << Math.floor(random() * 8);
      else damaged.fill(0, at & ~7, (at & ~7) + 64);
      writeFileSync(index, damaged);
      if (damaged.equals(whole)) continue;
    }
    expect(() => openCatalog(shelf.folder, generation)).toThrow(IndexDamaged);
    expect(indexTrouble(shelf.folder, generation)).not.toBeNull();
    rebuildIndex(shelf.folder, generation);
    expect(readFileSync(index)).toEqual(whole);
    openCatalog(shelf.folder, generation).close();
  }
  shelf.remove();
});
