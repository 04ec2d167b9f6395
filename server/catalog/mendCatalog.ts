import { closeSync, existsSync, openSync, readSync } from 'node:fs';
import Database from 'better-sqlite3';
import { isSnapshotHead } from '../../core/index/sections.ts';
import { type DataFolder, generationFiles } from '../dataFolder.ts';
import { addedTables, buildIndex, writeWhole } from './importCatalog.ts';

function hasIndex(path: string): boolean {
  if (!existsSync(path)) return false;
  const head = Buffer.alloc(8);
  const file = openSync(path, 'r');
  readSync(file, head, 0, 8, 0);
  closeSync(file);
  return isSnapshotHead(head.readUInt32LE(0));
}

/**
 * Makes a catalog generation readable that an earlier version wrote, or whose index is missing: tables that have come
 * since are added and the index is built anew from the records. Answers whether anything had to be done.
 */
export function mendCatalog(folder: DataFolder, generation: number): boolean {
  const files = generationFiles(folder, generation);
  if (generation === 0 || !existsSync(files.records)) return false;
  const db = new Database(files.records, { timeout: 10_000 });
  try {
    const columns = db.pragma('table_info(record)') as { name: string }[];
    const isOld = !columns.some(({ name }) => name === 'cells');
    const isWhole = db.prepare(`SELECT 1 FROM sqlite_master WHERE name = 'fed'`).get() !== undefined;
    if (isOld || !isWhole) db.exec(addedTables);
    if (!isOld && hasIndex(files.index)) return false;
    if (isOld) {
      // The rows as the file had them were not kept then: they can be searched, but not read again.
      db.exec(`ALTER TABLE record ADD COLUMN source INTEGER NOT NULL DEFAULT 0;
        ALTER TABLE record ADD COLUMN cells TEXT NOT NULL DEFAULT '{}';
        CREATE UNIQUE INDEX IF NOT EXISTS record_id ON record (id);`);
    }
    // The index is built from the records as they are now, so nothing a feed changed lies over it any more.
    db.exec('DELETE FROM fact; DELETE FROM twin;');
    const records = db.prepare('SELECT count(*) FROM record').pluck().get() as number;
    writeWhole(files.index, new Uint8Array(buildIndex(db, records, () => {})));
    return true;
  } finally {
    db.close();
  }
}
