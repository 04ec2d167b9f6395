import { rmSync } from 'node:fs';
import Database from 'better-sqlite3';
import type { FileForm } from '../../core/catalog/fileForm.ts';
import { checkMapping } from '../../core/catalog/mapping.ts';
import { type Mapping, mappingSchema } from '../../core/catalog/mappingSchema.ts';
import { attributeProfiler } from '../../core/catalog/profileAttributes.ts';
import { type BoundMapping, bindMapping, type Cells, readRow } from '../../core/catalog/readRow.ts';
import type { CatalogRecord } from '../../core/catalog/record.ts';
import { twinFinder } from '../../core/catalog/twins.ts';
import { snapshotBuilder } from '../../core/index/buildSnapshot.ts';
import type { Language } from '../../core/text/languages.ts';
import { type DataFolder, generationFiles } from '../dataFolder.ts';
import { compareWithBase, type Differences } from './compareCatalogs.ts';
import { carryFacts } from './facts.ts';
import { writeIndex } from './indexFile.ts';
import { resolveParts } from './resolveParts.ts';
import { openSource } from './sources/openSource.ts';
import { FileProblem, type SourceRow } from './sources/source.ts';

export type ImportPhase = 'reading' | 'sorting' | 'comparing' | 'profiling' | 'indexing';
export interface ImportProgress {
  readonly phase: ImportPhase;
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
  /** Against the catalog in force when it was read. */
  readonly differences: Differences;
  /** That catalog's generation, and the version of a feed's facts when the reading began: later ones are taken over. */
  readonly base: number;
  readonly factsSeen: number;
}

/** Where the rows come from: a file, or the rows in force read again by other mappings (by number of their source). */
export type ImportRows =
  | {
      readonly kind: 'file';
      readonly path: string;
      readonly name: string;
      readonly form: FileForm;
      readonly mapping: Mapping;
    }
  | { readonly kind: 'again'; readonly mappings: Readonly<Record<number, Mapping>> };

export interface ImportOptions {
  readonly folder: DataFolder;
  readonly generation: number;
  /** The generation in force, 0 for none: what is compared with, and in `update` kept where the file says nothing. */
  readonly base: number;
  readonly mode: 'replace' | 'update';
  readonly rows: ImportRows;
  /** Families corrected by hand: by record id. They hold whatever the file says. */
  readonly corrections?: Readonly<Record<string, string>>;
}

/** Rejected rows kept with their reasons; beyond it they are only counted. */
const rejectedKept = 10_000;
const rowsATransaction = 5_000;

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

const tables = `
CREATE TABLE staged (id TEXT PRIMARY KEY, family TEXT NOT NULL, source INTEGER NOT NULL, line INTEGER NOT NULL, json TEXT NOT NULL, cells TEXT NOT NULL) STRICT;
CREATE TABLE record (ordinal INTEGER PRIMARY KEY, id TEXT NOT NULL, family TEXT NOT NULL, source INTEGER NOT NULL, json TEXT NOT NULL, cells TEXT NOT NULL) STRICT;
CREATE TABLE rejected (line INTEGER NOT NULL, column_name TEXT NOT NULL, reason TEXT NOT NULL) STRICT;
`;

type OnProgress = (progress: ImportProgress) => void;

/**
 * Brings rows in as a new catalog generation: a database of its records and an index beside it. Nothing of the catalog
 * in force is touched; the caller puts the new generation in force by one write. Meant for a worker thread.
 */
export async function importCatalog(options: ImportOptions, onProgress: OnProgress): Promise<ImportedCatalog> {
  const [mistake] = options.rows.kind === 'file' ? checkMapping(options.rows.mapping) : [];
  if (mistake)
    throw new FileProblem(
      'invalid-mapping',
      `${mistake.column ? `Column “${mistake.column}”: ` : ''}${mistake.message}`,
    );
  const files = generationFiles(options.folder, options.generation);
  for (const path of [files.records, files.index]) rmSync(path, { force: true });
  const db = new Database(files.records);
  try {
    // A half-written generation is never looked at, so its writes need no journal; it is synchronised at the end.
    db.pragma('journal_mode = OFF');
    db.pragma('synchronous = OFF');
    db.exec(tables);
    db.exec(addedTables);
    if (options.base > 0) db.prepare('ATTACH ? AS base').run(generationFiles(options.folder, options.base).records);
    const seen = options.base > 0 ? db.prepare('SELECT max(version) FROM base.fact').pluck().get() : 0;
    const factsSeen = (seen as number | null) ?? 0;
    const { source, ...counts } = await stageRows(db, options, onProgress);
    if (counts.rows === 0)
      throw new FileProblem('no-rows', `No row of the file could be taken (${counts.rejected} were refused).`);
    onProgress({ phase: 'sorting', ...counts, share: 0 });
    if (options.base > 0 && options.mode === 'update') keepOthers(db);
    if (options.base > 0) carryFacts(db, source);
    resolveParts(db);
    onProgress({ phase: 'comparing', ...counts, share: 0 });
    const differences = compareWithBase(db, options.base > 0);
    sortRecords(db, options.base > 0);
    const records = db.prepare('SELECT count(*) FROM record').pluck().get() as number;
    const buffer = buildIndex(db, records, (phase, share) => onProgress({ phase, ...counts, share }));
    const families = db.prepare('SELECT count(DISTINCT family) FROM record').pluck().get() as number;
    if (options.base > 0) db.exec('DETACH base');
    fileIndex(db, files.index, new Uint8Array(buffer));
    db.pragma('synchronous = FULL');
    db.exec('VACUUM');
    db.close();
    const { generation, base } = options;
    const { rejected } = counts;
    return { generation, records, families, rejected, indexBytes: buffer.byteLength, differences, base, factsSeen };
  } catch (error) {
    if (db.open) db.close();
    for (const path of [files.records, files.index]) rmSync(path, { force: true });
    throw error;
  }
}

interface RowToRead {
  readonly row: SourceRow;
  readonly source: number;
}

/** The rows with the number of the source they are of, and the mappings by that number. */
function openRows(db: Database.Database, { rows, base }: ImportOptions) {
  const known =
    base > 0
      ? (db.prepare('SELECT number, file, mapping FROM base.source').all() as {
          number: number;
          file: string;
          mapping: string;
        }[])
      : [];
  const note = db.prepare('INSERT INTO source (number, file, mapping) VALUES (?, ?, ?)');
  const bound = new Map<number, BoundMapping>();
  for (const { number, file, mapping } of known) {
    const used = (rows.kind === 'again' && rows.mappings[number]) || mappingSchema.parse(JSON.parse(mapping));
    note.run(number, file, JSON.stringify(used));
    bound.set(number, bindMapping(used));
  }
  if (rows.kind === 'file') {
    const number = Math.max(0, ...known.map((source) => source.number)) + 1;
    note.run(number, rows.name, JSON.stringify(rows.mapping));
    bound.set(number, bindMapping(rows.mapping));
    const source = openSource(rows.path, rows.form);
    const numbered = async function* (): AsyncGenerator<RowToRead> {
      for await (const row of source.rows) yield { row, source: number };
    };
    return { bound, rows: numbered(), share: source.share, source: number };
  }
  const total = db.prepare('SELECT count(*) FROM base.record').pluck().get() as number;
  let done = 0;
  // Other statements must run while the rows come, so they are fetched in runs by their number.
  const next = db.prepare<[number], { ordinal: number; source: number; cells: string }>(
    'SELECT ordinal, source, cells FROM base.record WHERE ordinal > ? ORDER BY ordinal LIMIT 1000',
  );
  const again = async function* (): AsyncGenerator<RowToRead> {
    for (let last = -1; ; ) {
      const run = next.all(last);
      if (run.length === 0) return;
      for (const { ordinal, source, cells } of run) {
        last = ordinal;
        done++;
        yield { source, row: { line: ordinal + 1, cells: JSON.parse(cells) as Cells } };
      }
    }
  };
  return { bound, rows: again(), share: () => done / Math.max(1, total), source: null };
}

async function stageRows(db: Database.Database, options: ImportOptions, onProgress: OnProgress) {
  const opened = openRows(db, options);
  const stage = db.prepare(
    'INSERT OR IGNORE INTO staged (id, family, source, line, json, cells) VALUES (?, ?, ?, ?, ?, ?)',
  );
  const reject = db.prepare('INSERT INTO rejected (line, column_name, reason) VALUES (?, ?, ?)');
  const corrections = new Map(Object.entries(options.corrections ?? {}));
  let rows = 0;
  let rejected = 0;
  let inTransaction = 0;
  const refuse = (line: number, column: string, reason: string): void => {
    if (rejected++ < rejectedKept) reject.run(line, column, reason);
  };
  db.exec('BEGIN');
  for await (const { row, source } of opened.rows) {
    if ('reason' in row) refuse(row.line, row.column, row.reason);
    else {
      const reading = readRow(row.cells, opened.bound.get(source)!);
      if ('refusal' in reading) refuse(row.line, reading.refusal.column, reading.refusal.reason);
      else {
        const corrected = corrections.get(reading.record.id);
        const record = corrected === undefined ? reading.record : { ...reading.record, familyId: corrected };
        const { id, familyId } = record;
        const inserted = stage.run(id, familyId, source, row.line, JSON.stringify(record), JSON.stringify(row.cells));
        if (inserted.changes > 0) rows++;
        else refuse(row.line, 'id', `The id “${id.slice(0, 60)}” stands in an earlier row already.`);
      }
    }
    if (++inTransaction === rowsATransaction) {
      inTransaction = 0;
      db.exec('COMMIT; BEGIN');
      onProgress({ phase: 'reading', rows, rejected, share: opened.share() });
    }
  }
  db.exec('COMMIT');
  return { rows, rejected, source: opened.source };
}

/** Keeps the records in force of which the file says nothing. */
function keepOthers(db: Database.Database): void {
  db.exec(`INSERT OR IGNORE INTO staged (id, family, source, line, json, cells)
    SELECT id, family, source, ordinal, json, cells FROM base.record`);
}

/** Numbers the records: those in force in their order, new ones after them, each family together. */
function sortRecords(db: Database.Database, hasBase: boolean): void {
  const before = hasBase
    ? 'coalesce((SELECT ordinal FROM base.record b WHERE b.id = s.id), 1000000000 + s.line)'
    : 's.line';
  db.exec(`CREATE TEMP TABLE place (id TEXT PRIMARY KEY, family TEXT NOT NULL, seq INTEGER NOT NULL) STRICT;
    INSERT INTO place SELECT s.id, s.family, ${before} FROM staged s;
    CREATE TEMP TABLE first (family TEXT PRIMARY KEY, seq INTEGER NOT NULL) STRICT;
    INSERT INTO first SELECT family, min(seq) FROM place GROUP BY family;
    INSERT INTO record (ordinal, id, family, source, json, cells)
      SELECT row_number() OVER (ORDER BY f.seq, f.family, p.seq, p.id) - 1, s.id, s.family, s.source, s.json, s.cells
      FROM staged s JOIN place p ON p.id = s.id JOIN first f ON f.family = s.family;
    DROP TABLE staged; DROP TABLE place; DROP TABLE first;
    CREATE INDEX record_family ON record (family); CREATE UNIQUE INDEX record_id ON record (id);`);
}

/** The language of the newest source's mapping: one shop has one. */
function languageOf(db: Database.Database): Language {
  const text = db.prepare<[], string>('SELECT mapping FROM source ORDER BY number DESC LIMIT 1').pluck().get();
  return (text && mappingSchema.safeParse(JSON.parse(text)).data?.language) || 'en';
}

/** Profiles the records, looks for twins among them and builds the index. */
export function buildIndex(
  db: Database.Database,
  records: number,
  onProgress: (phase: 'profiling' | 'indexing', share: number) => void,
): SharedArrayBuffer {
  const each = (phase: 'profiling' | 'indexing', use: (record: CatalogRecord) => void): void => {
    let done = 0;
    for (const json of db.prepare<[], string>('SELECT json FROM record ORDER BY ordinal').pluck().iterate()) {
      use(JSON.parse(json) as CatalogRecord);
      if (++done % rowsATransaction === 0) onProgress(phase, done / records);
    }
  };
  const profiler = attributeProfiler();
  const twins = twinFinder();
  each('profiling', (record) => {
    profiler.add(record);
    twins.add(record);
  });
  const keepTwins = db.prepare('INSERT INTO twin (families, differs) VALUES (?, ?)');
  for (const { families, differs } of twins.finish()) keepTwins.run(JSON.stringify(families), JSON.stringify(differs));
  const builder = snapshotBuilder(profiler.finish(), languageOf(db));
  each('indexing', (record) => builder.add(record));
  onProgress('indexing', 1);
  return builder.finish();
}
