import Database from 'better-sqlite3';
import { own } from '../../core/base/named.ts';
import { type Mapping, mappingSchema } from '../../core/catalog/mappingSchema.ts';
import type { Cells } from '../../core/catalog/readRow.ts';
import type { CatalogRecord } from '../../core/catalog/record.ts';
import type { Role } from '../../core/catalog/roles.ts';
import type { Twins } from '../../core/catalog/twins.ts';
import { openSnapshot, type Snapshot } from '../../core/index/snapshot.ts';
import { type DataFolder, generationFiles } from '../dataFolder.ts';
import type { ChangedValue } from './compareCatalogs.ts';
import { IndexDamaged, type IndexNote, readIndex, readIndexLater } from './indexFile.ts';

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
  /** How each of them was read, by its number: without counting their records. */
  mappings(): ReadonlyMap<number, Mapping>;
  /** What the file says in the column that is read as a role, as it is written there; empty where it says nothing. */
  written(ordinal: number, as: Role): string;
  twins(): Twins[];
  close(): void;
}

/** What was noted of a generation's index when it was written; null where that was before notes were kept. */
export function indexNote(db: Database.Database): IndexNote | null {
  if (!db.prepare("SELECT 1 FROM sqlite_master WHERE name = 'index_note'").get()) return null;
  return db.prepare<[], IndexNote>('SELECT bytes, crc FROM index_note').get() ?? null;
}

/** The rows of a generation, opened for reading. */
export const openRecords = (folder: DataFolder, generation: number): Database.Database =>
  new Database(generationFiles(folder, generation).records, { readonly: true });

/** The first rows that were refused when a generation was read. */
export const readRejected = (
  db: Database.Database,
  limit: number,
): { line: number; column: string; reason: string }[] =>
  db
    .prepare<[number], { line: number; column: string; reason: string }>(
      'SELECT line, column_name AS "column", reason FROM rejected ORDER BY line LIMIT ?',
    )
    .all(limit);

/** Examples of what a generation changed against the one in force when it was read. */
export const readDifferences = (
  db: Database.Database,
  kind: 'added' | 'changed' | 'gone',
  limit: number,
): { id: string; title: string; values: ChangedValue[] }[] =>
  db
    .prepare<[string, number], { id: string; title: string; detail: string }>(
      'SELECT id, title, detail FROM difference WHERE kind = ? LIMIT ?',
    )
    .all(kind, limit)
    .map(({ id, title, detail }) => ({ id, title, values: detail ? (JSON.parse(detail) as ChangedValue[]) : [] }));

/**
 * Opens a generation, its index from the file or from memory another thread shares. Throws `IndexDamaged` where the
 * index is not the one that was written.
 */
export function openCatalog(folder: DataFolder, generation: number, shared?: SharedArrayBuffer): CatalogReader {
  const db = openRecords(folder, generation);
  try {
    return openOver(
      db,
      folder,
      generation,
      shared ?? readIndex(generationFiles(folder, generation).index, indexNote(db)),
    );
  } catch (error) {
    db.close();
    throw error;
  }
}

/** The same without holding up the thread while the index is read. */
export async function openCatalogLater(folder: DataFolder, generation: number): Promise<CatalogReader> {
  const db = openRecords(folder, generation);
  try {
    const buffer = await readIndexLater(generationFiles(folder, generation).index, indexNote(db));
    return openOver(db, folder, generation, buffer);
  } catch (error) {
    db.close();
    throw error;
  }
}

function openOver(
  db: Database.Database,
  folder: DataFolder,
  generation: number,
  buffer: SharedArrayBuffer,
): CatalogReader {
  const snapshot = openSnapshot(buffer);
  if (!snapshot) throw new IndexDamaged(generationFiles(folder, generation).index, 'is none that this version reads');
  const byOrdinal = db.prepare<[number], string>('SELECT json FROM record WHERE ordinal = ?').pluck();
  const byFamily = db
    .prepare<[string], string>('SELECT json FROM record WHERE family = ? ORDER BY ordinal LIMIT 1')
    .pluck();
  const builtByOrdinal = db.prepare<[number], string>('SELECT built FROM fact WHERE ordinal = ?').pluck();
  const lastVersion = db.prepare<[], number>('SELECT max(version) FROM fact').pluck();
  const changedSince = db.prepare<[number], number>('SELECT ordinal FROM fact WHERE version > ?').pluck();
  const byId = db.prepare<[string], number>('SELECT ordinal FROM record WHERE id = ?').pluck();
  let read: ReadonlyMap<number, Mapping> | null = null;
  const mappings = (): ReadonlyMap<number, Mapping> => {
    read ??= new Map(
      db
        .prepare<[], { number: number; mapping: string }>('SELECT number, mapping FROM source')
        .all()
        .map(({ number, mapping }) => [number, mappingSchema.parse(JSON.parse(mapping))]),
    );
    return read;
  };
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
    rejectedRows: (limit) => readRejected(db, limit),
    sources: () =>
      db
        .prepare<[], { number: number; file: string; records: number; mapping: string }>(
          'SELECT number, file, mapping, (SELECT count(*) FROM record WHERE record.source = source.number) AS records FROM source',
        )
        .all()
        .map((source) => ({ ...source, mapping: mappingSchema.parse(JSON.parse(source.mapping)) })),
    mappings,
    written(ordinal, as) {
      const row = db
        .prepare<[number], { source: number; cells: string }>('SELECT source, cells FROM record WHERE ordinal = ?')
        .get(ordinal);
      const column =
        row &&
        mappings()
          .get(row.source)
          ?.columns.find((each) => each.as === as)?.column;
      const cell = column === undefined ? '' : (own(JSON.parse(row!.cells) as Cells, column) ?? '');
      return typeof cell === 'string' ? cell : cell.join('\n');
    },
    twins: () =>
      db
        .prepare<[], { families: string; differs: string }>('SELECT families, differs FROM twin')
        .all()
        .map(({ families, differs }) => ({ families: JSON.parse(families), differs: JSON.parse(differs) })),
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
