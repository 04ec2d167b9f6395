import { closeSync, fstatSync, openSync, readSync } from 'node:fs';
import Database from 'better-sqlite3';
import { type Mapping, mappingSchema } from '../../core/catalog/mappingSchema.ts';
import type { CatalogRecord } from '../../core/catalog/record.ts';
import type { Twins } from '../../core/catalog/twins.ts';
import { openSnapshot, type Snapshot } from '../../core/index/snapshot.ts';
import { type DataFolder, generationFiles } from '../dataFolder.ts';
import type { ChangedValue } from './compareCatalogs.ts';

/** One generation of the catalog, opened for reading. */
export interface CatalogReader {
  readonly generation: number;
  readonly buffer: SharedArrayBuffer;
  readonly snapshot: Snapshot;
  /** The record as the file or a feed has it now. */
  record(ordinal: number): CatalogRecord;
  /** The record as the index in the file was built from it. */
  builtRecord(ordinal: number): CatalogRecord;
  /** Grows with every change a feed makes; 0 where none has. */
  factVersion(): number;
  /** Numbers of the records that a feed changed after a version. */
  changedSince(version: number): number[];
  /** The index with other layers over it. */
  reopen(layers: readonly SharedArrayBuffer[]): Snapshot;
  /** Number of a record by its id, or -1. */
  findRecord(id: string): number;
  /** The first record of a family by its id, or null. */
  familyRecord(familyId: string): CatalogRecord | null;
  rejectedRows(limit: number): { line: number; column: string; reason: string }[];
  /** The files it was read from, with the records of each and how it was read. */
  sources(): { number: number; file: string; records: number; mapping: Mapping }[];
  twins(): Twins[];
  /** Examples of what it changed against the catalog in force when it was read. */
  differences(
    kind: 'added' | 'changed' | 'gone',
    limit: number,
  ): { id: string; title: string; values: ChangedValue[] }[];
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
  const builtByOrdinal = db.prepare<[number], string>('SELECT built FROM fact WHERE ordinal = ?').pluck();
  const lastVersion = db.prepare<[], number>('SELECT max(version) FROM fact').pluck();
  const changedSince = db.prepare<[number], number>('SELECT ordinal FROM fact WHERE version > ?').pluck();
  const byId = db.prepare<[string], number>('SELECT ordinal FROM record WHERE id = ?').pluck();
  const rejected = db.prepare<[number], { line: number; column: string; reason: string }>(
    'SELECT line, column_name AS "column", reason FROM rejected ORDER BY line LIMIT ?',
  );
  return {
    generation,
    buffer,
    snapshot,
    record: (ordinal) => JSON.parse(byOrdinal.get(ordinal)!) as CatalogRecord,
    builtRecord: (ordinal) => JSON.parse(builtByOrdinal.get(ordinal) ?? byOrdinal.get(ordinal)!) as CatalogRecord,
    factVersion: () => lastVersion.get() ?? 0,
    changedSince: (version) => changedSince.all(version),
    reopen: (layers) => openSnapshot(...layers)!,
    findRecord: (id) => byId.get(id) ?? -1,
    familyRecord(familyId) {
      const json = byFamily.get(familyId);
      return json === undefined ? null : (JSON.parse(json) as CatalogRecord);
    },
    rejectedRows: (limit) => rejected.all(limit),
    sources: () =>
      db
        .prepare<[], { number: number; file: string; records: number; mapping: string }>(
          'SELECT number, file, mapping, (SELECT count(*) FROM record WHERE record.source = source.number) AS records FROM source',
        )
        .all()
        .map((source) => ({ ...source, mapping: mappingSchema.parse(JSON.parse(source.mapping)) })),
    twins: () =>
      db
        .prepare<[], { families: string; differs: string }>('SELECT families, differs FROM twin')
        .all()
        .map(({ families, differs }) => ({ families: JSON.parse(families), differs: JSON.parse(differs) })),
    differences: (kind, limit) =>
      db
        .prepare<[string, number], { id: string; title: string; detail: string }>(
          'SELECT id, title, detail FROM difference WHERE kind = ? LIMIT ?',
        )
        .all(kind, limit)
        .map(({ id, title, detail }) => ({ id, title, values: detail ? (JSON.parse(detail) as ChangedValue[]) : [] })),
    close: () => db.close(),
  };
}

/** Whether a generation keeps the rows it was read from; catalogs of before this was done do not. */
export function catalogKeepsRows(folder: DataFolder, generation: number): boolean {
  const db = new Database(generationFiles(folder, generation).records, { readonly: true });
  try {
    return db.prepare('SELECT 1 FROM source LIMIT 1').get() !== undefined;
  } finally {
    db.close();
  }
}
