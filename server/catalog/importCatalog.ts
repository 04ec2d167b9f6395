import { closeSync, createReadStream, fsyncSync, openSync, renameSync, rmSync, statSync, writeSync } from 'node:fs';
import Database from 'better-sqlite3';
import { attributeProfiler } from '../../core/catalog/profileAttributes.ts';
import { readRow } from '../../core/catalog/readRow.ts';
import type { CatalogRecord } from '../../core/catalog/record.ts';
import { snapshotBuilder } from '../../core/index/buildSnapshot.ts';
import { type DataFolder, generationFiles } from '../dataFolder.ts';
import { FileProblem, readCsv } from './readCsv.ts';

export interface ImportProgress {
  readonly phase: 'reading' | 'sorting' | 'profiling' | 'indexing';
  readonly rows: number;
  readonly rejected: number;
  /** Share of the phase that is done, 0 to 1. */
  readonly share: number;
}
export interface ImportedCatalog {
  readonly generation: number;
  readonly records: number;
  readonly families: number;
  readonly rejected: number;
  readonly indexBytes: number;
}

/** Rejected rows kept with their reasons; beyond it they are only counted. */
const rejectedKept = 10_000;
const rowsATransaction = 5_000;

const tables = `
CREATE TABLE staged (id TEXT PRIMARY KEY, family INTEGER NOT NULL, line INTEGER NOT NULL, json TEXT NOT NULL) STRICT;
CREATE TABLE record (ordinal INTEGER PRIMARY KEY, id TEXT NOT NULL, family TEXT NOT NULL, json TEXT NOT NULL) STRICT;
CREATE TABLE rejected (line INTEGER NOT NULL, column_name TEXT NOT NULL, reason TEXT NOT NULL) STRICT;
`;

/**
 * Brings a CSV file in as a new catalog generation: a database of its records and an index beside it. Nothing of the
 * catalog in force is touched; the caller puts the new generation in force by one write. Meant for a worker thread.
 */
export async function importCatalog(
  options: {
    readonly file: string;
    readonly folder: DataFolder;
    readonly generation: number;
  },
  tell: (progress: ImportProgress) => void,
): Promise<ImportedCatalog> {
  const files = generationFiles(options.folder, options.generation);
  for (const path of [files.records, files.index]) rmSync(path, { force: true });
  const db = new Database(files.records);
  try {
    // A half-written generation is never looked at, so its writes need no journal; it is synchronised at the end.
    db.pragma('journal_mode = OFF');
    db.pragma('synchronous = OFF');
    db.exec(tables);
    const counts = await stageRows(db, options.file, tell);
    if (counts.rows === 0)
      throw new FileProblem('no-rows', `No row of the file could be taken (${counts.rejected} were refused).`);
    tell({ phase: 'sorting', ...counts, share: 0 });
    db.exec(`INSERT INTO record (ordinal, id, family, json)
      SELECT row_number() OVER (ORDER BY family, line) - 1, id, json ->> 'familyId', json FROM staged;
      DROP TABLE staged; CREATE INDEX record_family ON record (family);`);
    const buffer = buildIndex(db, counts, tell);
    const families = db.prepare('SELECT count(DISTINCT family) FROM record').pluck().get() as number;
    db.pragma('synchronous = FULL');
    db.exec('VACUUM');
    db.close();
    writeWhole(files.index, new Uint8Array(buffer));
    return {
      generation: options.generation,
      records: counts.rows,
      families,
      rejected: counts.rejected,
      indexBytes: buffer.byteLength,
    };
  } catch (error) {
    if (db.open) db.close();
    for (const path of [files.records, files.index]) rmSync(path, { force: true });
    throw error;
  }
}

async function stageRows(
  db: Database.Database,
  file: string,
  tell: (progress: ImportProgress) => void,
): Promise<{ rows: number; rejected: number }> {
  const size = Math.max(1, statSync(file).size);
  const stream = createReadStream(file);
  const stage = db.prepare('INSERT OR IGNORE INTO staged (id, family, line, json) VALUES (?, ?, ?, ?)');
  const reject = db.prepare('INSERT INTO rejected (line, column_name, reason) VALUES (?, ?, ?)');
  const families = new Map<string, number>();
  let rows = 0;
  let rejected = 0;
  let inTransaction = 0;
  const refuse = (line: number, column: string, reason: string): void => {
    if (rejected++ < rejectedKept) reject.run(line, column, reason);
  };
  db.exec('BEGIN');
  for await (const row of readCsv(stream)) {
    if ('reason' in row) refuse(row.line, row.column, row.reason);
    else {
      const reading = readRow(row.cells);
      if ('refusal' in reading) refuse(row.line, reading.refusal.column, reading.refusal.reason);
      else {
        const { record } = reading;
        let family = families.get(record.familyId);
        if (family === undefined) {
          family = families.size;
          families.set(record.familyId, family);
        }
        if (stage.run(record.id, family, row.line, JSON.stringify(record)).changes > 0) rows++;
        else refuse(row.line, 'id', `The id “${record.id.slice(0, 60)}” stands in an earlier row already.`);
      }
    }
    if (++inTransaction === rowsATransaction) {
      inTransaction = 0;
      db.exec('COMMIT; BEGIN');
      tell({ phase: 'reading', rows, rejected, share: Math.min(1, stream.bytesRead / size) });
    }
  }
  db.exec('COMMIT');
  return { rows, rejected };
}

function buildIndex(
  db: Database.Database,
  counts: { readonly rows: number; readonly rejected: number },
  tell: (progress: ImportProgress) => void,
): SharedArrayBuffer {
  const each = (phase: 'profiling' | 'indexing', take: (record: CatalogRecord) => void): void => {
    let done = 0;
    for (const json of db.prepare<[], string>('SELECT json FROM record ORDER BY ordinal').pluck().iterate()) {
      take(JSON.parse(json) as CatalogRecord);
      if (++done % rowsATransaction === 0) tell({ phase, ...counts, share: done / counts.rows });
    }
  };
  const profiler = attributeProfiler();
  each('profiling', (record) => profiler.add(record));
  const builder = snapshotBuilder(profiler.finish());
  each('indexing', (record) => builder.add(record));
  tell({ phase: 'indexing', ...counts, share: 1 });
  return builder.finish();
}

/** Writes a file so that it is either whole under its name or not there at all. */
function writeWhole(path: string, bytes: Uint8Array): void {
  const file = openSync(`${path}.part`, 'w');
  for (let at = 0; at < bytes.length; ) at += writeSync(file, bytes, at, Math.min(bytes.length - at, 1 << 28));
  fsyncSync(file);
  closeSync(file);
  renameSync(`${path}.part`, path);
}
