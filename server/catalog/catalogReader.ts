import { closeSync, fstatSync, openSync, readSync } from 'node:fs';
import Database from 'better-sqlite3';
import type { CatalogRecord } from '../../core/catalog/record.ts';
import { openSnapshot, type Snapshot } from '../../core/index/snapshot.ts';
import { type DataFolder, generationFiles } from '../dataFolder.ts';

/** One generation of the catalog, opened for reading. */
export interface CatalogReader {
  readonly generation: number;
  readonly buffer: SharedArrayBuffer;
  readonly snapshot: Snapshot;
  record(ordinal: number): CatalogRecord;
  /** The first record of a family by its id, or null. */
  familyRecord(familyId: string): CatalogRecord | null;
  rejectedRows(limit: number): { line: number; column: string; reason: string }[];
  close(): void;
}

/** Reads an index file into memory that threads can share. */
function readShared(path: string): SharedArrayBuffer {
  const file = openSync(path, 'r');
  try {
    const { size } = fstatSync(file);
    const buffer = new SharedArrayBuffer(size);
    const bytes = new Uint8Array(buffer);
    for (let at = 0; at < size; ) {
      const read = readSync(file, bytes, at, Math.min(size - at, 1 << 28), at);
      if (read === 0) throw new Error(`The index ${path} ends early.`);
      at += read;
    }
    return buffer;
  } finally {
    closeSync(file);
  }
}

/** Opens a generation, its index from the file or from memory another thread shares. */
export function openCatalog(folder: DataFolder, generation: number, shared?: SharedArrayBuffer): CatalogReader {
  const files = generationFiles(folder, generation);
  const buffer = shared ?? readShared(files.index);
  const snapshot = openSnapshot(buffer);
  if (!snapshot) throw new Error(`The index of catalog generation ${generation} is damaged; import the catalog again.`);
  const db = new Database(files.records, { readonly: true });
  const byOrdinal = db.prepare<[number], string>('SELECT json FROM record WHERE ordinal = ?').pluck();
  const byFamily = db
    .prepare<[string], string>('SELECT json FROM record WHERE family = ? ORDER BY ordinal LIMIT 1')
    .pluck();
  const rejected = db.prepare<[number], { line: number; column: string; reason: string }>(
    'SELECT line, column_name AS "column", reason FROM rejected ORDER BY line LIMIT ?',
  );
  return {
    generation,
    buffer,
    snapshot,
    record: (ordinal) => JSON.parse(byOrdinal.get(ordinal)!) as CatalogRecord,
    familyRecord(familyId) {
      const json = byFamily.get(familyId);
      return json === undefined ? null : (JSON.parse(json) as CatalogRecord);
    },
    rejectedRows: (limit) => rejected.all(limit),
    close: () => db.close(),
  };
}
