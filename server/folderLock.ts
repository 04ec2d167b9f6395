import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { type DataFolder, StartProblem } from './dataFolder.ts';

/** A data folder held by this process alone. */
export interface FolderLock {
  /** Tells others who ask under which address the folder is served. */
  serveAt(address: string): void;
  release(): void;
}

const noteOf = (folder: DataFolder): string => join(folder.root, 'served-at.txt');

/** Where the process that holds a folder serves it; null where it does not say. */
function servedAt(folder: DataFolder): string | null {
  const note = noteOf(folder);
  return existsSync(note) ? readFileSync(note, 'utf8').trim().slice(0, 200) : null;
}

/**
 * Takes a data folder for this process. The lock is one of the operating system's, on a small database beside the data,
 * so that it ends with the process however that ends. Throws a `StartProblem` where another process holds it.
 */
export function lockFolder(folder: DataFolder): FolderLock {
  const db = new Database(join(folder.root, 'lock.sqlite'), { timeout: 200 });
  try {
    db.pragma('locking_mode = EXCLUSIVE');
    db.pragma('journal_mode = DELETE');
    db.exec('BEGIN EXCLUSIVE; CREATE TABLE IF NOT EXISTS held (by INTEGER); COMMIT');
  } catch (error) {
    db.close();
    if (!String((error as { code?: string }).code).startsWith('SQLITE_BUSY')) throw error;
    const address = servedAt(folder);
    throw new StartProblem(
      address
        ? `The data folder ${folder.root} is in use by the application at ${address}. Nothing was changed. Make the change there, or stop it first.`
        : `The data folder ${folder.root} is in use by another program. Nothing was changed. Wait until it is done, or stop it first.`,
    );
  }
  rmSync(noteOf(folder), { force: true });
  return {
    serveAt: (address) => writeFileSync(noteOf(folder), `${address}\n`),
    release() {
      rmSync(noteOf(folder), { force: true });
      db.close();
    },
  };
}
