import { existsSync } from 'node:fs';
import Database from 'better-sqlite3';
import { openSnapshot } from '../../core/index/snapshot.ts';
import { type DataFolder, generationFiles } from '../dataFolder.ts';
import { indexNote } from './catalogReader.ts';
import { addedTables, fileIndex } from './catalogTables.ts';
import { buildIndex, type ImportPhase } from './importCatalog.ts';
import { IndexDamaged, readIndex } from './indexFile.ts';

/** Whether a generation's rows were kept as the file had them; of catalogs of before that, only the records were. */
const keepsCells = (db: Database.Database): boolean =>
  (db.pragma('table_info(record)') as { name: string }[]).some(({ name }) => name === 'cells');

/** Why a generation's index cannot be used, in a few words; null where it can, or where there are no rows of it at all. */
export function indexTrouble(folder: DataFolder, generation: number): string | null {
  const files = generationFiles(folder, generation);
  if (generation === 0 || !existsSync(files.records)) return null;
  const db = new Database(files.records, { readonly: true });
  try {
    if (!keepsCells(db)) return 'it was written by an earlier version';
    return openSnapshot(readIndex(files.index, indexNote(db))) ? null : 'it was written by another version';
  } catch (error) {
    if (error instanceof IndexDamaged) return error.message;
    throw error;
  } finally {
    db.close();
  }
}

/** Adds the tables that have come since a generation was written. */
export function addTables(folder: DataFolder, generation: number): void {
  const { records } = generationFiles(folder, generation);
  if (generation === 0 || !existsSync(records)) return;
  const db = new Database(records, { timeout: 10_000 });
  try {
    db.exec(addedTables);
  } finally {
    db.close();
  }
}

/** Builds the index of a generation anew from its rows. Meant for a worker thread, or a terminal. */
export function rebuildIndex(
  folder: DataFolder,
  generation: number,
  onProgress: (phase: ImportPhase, share: number) => void = () => {},
): void {
  const files = generationFiles(folder, generation);
  const db = new Database(files.records, { timeout: 10_000 });
  try {
    db.exec(addedTables);
    if (!keepsCells(db))
      // The rows as the file had them were not kept then: they can be searched, but not read again.
      db.exec(`ALTER TABLE record ADD COLUMN source INTEGER NOT NULL DEFAULT 0;
        ALTER TABLE record ADD COLUMN cells TEXT NOT NULL DEFAULT '{}';
        CREATE UNIQUE INDEX IF NOT EXISTS record_id ON record (id);`);
    // The index is built from the records as they are now, so nothing a feed changed lies over it any more.
    db.exec('DELETE FROM fact; DELETE FROM twin;');
    fileIndex(db, files.index, new Uint8Array(buildIndex(db, onProgress)));
  } finally {
    db.close();
  }
}

/** Makes a generation readable where its index cannot be used; answers whether anything had to be done. */
export function mendCatalog(folder: DataFolder, generation: number): boolean {
  addTables(folder, generation);
  if (indexTrouble(folder, generation) === null) return false;
  rebuildIndex(folder, generation);
  return true;
}
