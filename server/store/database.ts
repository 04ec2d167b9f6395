import Database from 'better-sqlite3';
import { StartProblem } from '../dataFolder.ts';
import { databaseVersion, migrate, versionOf } from './migrations.ts';
import { upgradeDrafts } from './upgradeDrafts.ts';

export type Db = Database.Database;

/**
 * How long a statement waits for another program's transaction, in milliseconds. In the server only the thread that
 * writes waits, and then refuses with a time to try again; the terminal has longer.
 */
const patience = { server: 1500, terminal: 10_000 } as const;

/**
 * Opens the main database and brings it to today's version. Every acknowledged write is on the disk: WAL with full
 * synchronisation, since edits are few and must outlive a crash at any moment. Throws a `StartProblem`, and changes
 * nothing, where a newer program wrote it.
 */
export function openDatabase(
  path: string,
  options: { readonly readOnly?: boolean; readonly waits?: keyof typeof patience } = {},
): Db {
  const db = new Database(path, {
    readonly: options.readOnly ?? false,
    timeout: patience[options.waits ?? 'terminal'],
  });
  const version = versionOf(db);
  if (version > databaseVersion) {
    db.close();
    throw new StartProblem(
      `${path} was written by a newer version of this program (format ${version}, this one knows ${databaseVersion}). Nothing was changed. Start the newer version, or name another folder with --data DIR.`,
    );
  }
  if (options.readOnly) return db;
  db.pragma('journal_mode = WAL');
  db.pragma('synchronous = FULL');
  migrate(db);
  upgradeDrafts(db);
  return db;
}
