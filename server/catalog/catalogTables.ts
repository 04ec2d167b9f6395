import type Database from 'better-sqlite3';
import { writeIndex } from './indexFile.ts';

/** Tables that came after the first version of a catalog's file. */
export const addedTables = `
CREATE TABLE IF NOT EXISTS source (number INTEGER PRIMARY KEY, file TEXT NOT NULL, mapping TEXT NOT NULL) STRICT;
CREATE TABLE IF NOT EXISTS fact (ordinal INTEGER PRIMARY KEY, version INTEGER NOT NULL, built TEXT NOT NULL) STRICT;
CREATE INDEX IF NOT EXISTS fact_version ON fact (version);
CREATE TABLE IF NOT EXISTS fed (id TEXT PRIMARY KEY, version INTEGER NOT NULL, figures TEXT NOT NULL) STRICT;
CREATE TABLE IF NOT EXISTS twin (families TEXT NOT NULL, differs TEXT NOT NULL) STRICT;
CREATE TABLE IF NOT EXISTS difference (kind TEXT NOT NULL, id TEXT NOT NULL, title TEXT NOT NULL, detail TEXT NOT NULL) STRICT;
CREATE TABLE IF NOT EXISTS index_note (bytes INTEGER NOT NULL, crc INTEGER NOT NULL) STRICT;
`;

/** Writes an index beside its rows, with the note by which it is known again. */
export function fileIndex(db: Database.Database, path: string, bytes: Uint8Array): void {
  const note = writeIndex(path, bytes);
  db.transaction(() => {
    db.exec('DELETE FROM index_note');
    db.prepare('INSERT INTO index_note (bytes, crc) VALUES (@bytes, @crc)').run(note);
  })();
}

/**
 * Rows are staged in the order in which they come, numbered from 0. Where that is the catalog's order the table becomes
 * that of its records as it is; else it is copied in order.
 */
export const stagingTables = `
CREATE TABLE staged (ordinal INTEGER PRIMARY KEY, id TEXT NOT NULL, family TEXT NOT NULL, source INTEGER NOT NULL, json TEXT NOT NULL, cells TEXT NOT NULL) STRICT;
CREATE UNIQUE INDEX record_id ON staged (id);
CREATE TABLE rejected (line INTEGER NOT NULL, column_name TEXT NOT NULL, reason TEXT NOT NULL) STRICT;
`;
