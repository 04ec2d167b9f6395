import { rmSync, writeFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { generationFiles } from '../dataFolder.ts';
import { openTestShelf, smallCatalog } from '../testing/openTestShelf.ts';
import { openCatalog } from './catalogReader.ts';
import { mendCatalog } from './mendCatalog.ts';

async function withCatalog(spoil: (files: { records: string; index: string }) => void) {
  const shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  const generation = shelf.catalogs.generation();
  spoil(generationFiles(shelf.folder, generation));
  const mended = mendCatalog(shelf.folder, generation);
  const reader = openCatalog(shelf.folder, generation);
  const found = {
    mended,
    families: reader.snapshot.families,
    title: reader.record(0).values.title,
    sources: reader.sources(),
  };
  reader.close();
  shelf.remove();
  return found;
}

test('a catalog that is whole is left alone', async () => {
  expect(await withCatalog(() => {})).toMatchObject({ mended: false, families: 3 });
});

test('a missing or foreign index is built anew from the records', async () => {
  expect(await withCatalog(({ index }) => rmSync(index))).toMatchObject({
    mended: true,
    families: 3,
    title: 'Round brush',
  });
  expect(await withCatalog(({ index }) => writeFileSync(index, 'what is this'))).toMatchObject({
    mended: true,
    families: 3,
  });
});

test('a catalog written before rows were kept can still be searched', async () => {
  const found = await withCatalog(({ records }) => {
    const db = new Database(records);
    db.exec('DROP TABLE source; DROP TABLE fact; DROP TABLE twin; DROP TABLE difference; DROP INDEX record_id');
    db.exec('ALTER TABLE record DROP COLUMN cells; ALTER TABLE record DROP COLUMN source');
    db.close();
  });
  expect(found).toMatchObject({ mended: true, families: 3, sources: [] });
});
