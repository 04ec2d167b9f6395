import { rmSync } from 'node:fs';
import Database from 'better-sqlite3';
import { catalogLooker, type SeenCatalog } from '../../core/catalog/catalogLooker.ts';
import type { FileForm } from '../../core/catalog/fileForm.ts';
import { lentMapping } from '../../core/catalog/lentMapping.ts';
import { checkMapping, shapeOf } from '../../core/catalog/mapping.ts';
import { type Mapping, mappingSchema } from '../../core/catalog/mappingSchema.ts';
import { type BoundMapping, bindMapping, type Cells } from '../../core/catalog/readRow.ts';
import { type CatalogRecord, heldBy } from '../../core/catalog/record.ts';
import type { ShopTerms } from '../../core/catalog/shopTerms.ts';
import { snapshotBuilder } from '../../core/index/buildSnapshot.ts';
import { catalogIndexer, type IndexedCatalog } from '../../core/index/catalogIndexer.ts';
import type { Language } from '../../core/text/languages.ts';
import { type DataFolder, generationFiles } from '../dataFolder.ts';
import { addedTables, fileIndex, stagingTables } from './catalogTables.ts';
import { compareWithBase, type Differences } from './compareCatalogs.ts';
import { rowsLookedAt } from './examineFile.ts';
import { carryFacts, carryLentFacts } from './facts.ts';
import { type FileToRead, type ReadBatch, readFileRows, readSourceRow, rowLooker } from './readRows.ts';
import { resolveParts } from './resolveParts.ts';
import { FileProblem } from './sources/source.ts';

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
  /** The generation of another storefront's catalog that it was read from; 0: none. */
  readonly lent: number;
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
  | { readonly kind: 'again'; readonly mappings: Readonly<Record<number, Mapping>> }
  | LentRows;

/** The rows another storefront's catalog was read from, read by this storefront's own mappings. */
export interface LentRows {
  readonly kind: 'lent';
  /** The lender's generation. */
  readonly generation: number;
  readonly terms: { readonly lender: ShopTerms; readonly own: ShopTerms };
}

export interface ImportOptions {
  readonly folder: DataFolder;
  readonly generation: number;
  /** The generation in force, 0 for none: what is compared with, and in `update` kept where the file says nothing. */
  readonly base: number;
  readonly mode: 'replace' | 'update';
  readonly rows: ImportRows;
  /** Families corrected by hand: by record id. They hold whatever the file says. */
  readonly corrections?: Readonly<Record<string, string>>;
  /** The generation of another storefront's catalog that the rows in force were read from; absent: none. */
  readonly lent?: number;
}

/** Rejected rows kept with their reasons; beyond it they are only counted. */
const rejectedKept = 10_000;
const rowsATransaction = 5_000;

type OnProgress = (progress: ImportProgress) => void;

/**
 * Brings rows in as a new catalog generation: a database of its records and an index beside it. Nothing of the catalog
 * in force is touched; the caller puts the new generation in force by one write. Meant for a worker thread.
 */
export async function importCatalog(
  options: ImportOptions,
  onProgress: OnProgress,
  readFile: (file: FileToRead) => AsyncGenerator<ReadBatch> = readFileRows,
): Promise<ImportedCatalog> {
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
    db.exec(stagingTables);
    db.exec(addedTables);
    if (options.base > 0) db.prepare('ATTACH ? AS base').run(generationFiles(options.folder, options.base).records);
    const version = options.base > 0 ? db.prepare('SELECT max(version) FROM base.fact').pluck().get() : 0;
    const factsSeen = (version as number | null) ?? 0;
    if (options.rows.kind === 'lent')
      db.prepare('ATTACH ? AS lender').run(generationFiles(options.folder, options.rows.generation).records);
    const opened = openRows(db, options, readFile);
    const indexer = catalogIndexer(languageOf(db));
    // Records that are kept may be bundles; of those that come it is seen.
    let hasBundles = options.mode === 'update';
    const use = (record: CatalogRecord): void => {
      hasBundles ||= heldBy(record, 'parts') !== undefined;
      indexer.add(record);
    };
    const { seen, ...counts } = await stageRows(db, opened.batches, { use, drop: indexer.drop }, onProgress);
    if (counts.rows === 0)
      throw new FileProblem('no-rows', `No row of the file could be taken (${counts.rejected} were refused).`);
    onProgress({ phase: 'sorting', ...counts, share: 0 });
    let isAsRead = true;
    if (options.base > 0 && options.mode === 'update' && keepOthers(db) > 0) isAsRead = false;
    if (options.base > 0 && carryFacts(db, opened.source) > 0) isAsRead = false;
    if (options.rows.kind === 'lent' && carryLentFacts(db) > 0) isAsRead = false;
    if (hasBundles && resolveParts(db) > 0) isAsRead = false;
    onProgress({ phase: 'comparing', ...counts, share: 0 });
    const differences = compareWithBase(db, options.base > 0);
    if (!sortRecords(db, options.base > 0, seen !== null)) isAsRead = false;
    const say: OnIndexing = (phase, share) => onProgress({ phase, ...counts, share });
    say('indexing', 0);
    // What was indexed while the rows came in holds where they stay what they were, in that order.
    const buffer = keepIndexed(db, isAsRead && seen ? indexer.finish(seen) : null, say);
    const records = db.prepare('SELECT count(*) FROM record').pluck().get() as number;
    const families = db.prepare('SELECT count(DISTINCT family) FROM record').pluck().get() as number;
    if (options.base > 0) db.exec('DETACH base');
    if (options.rows.kind === 'lent') db.exec('DETACH lender');
    // The last write is synchronised, and with it all that was written to the file before.
    db.pragma('synchronous = FULL');
    fileIndex(db, files.index, new Uint8Array(buffer));
    db.close();
    const { generation, base } = options;
    const { rejected } = counts;
    const lent = options.rows.kind === 'lent' ? options.rows.generation : (options.lent ?? 0);
    const indexBytes = buffer.byteLength;
    return { generation, records, families, rejected, indexBytes, lent, differences, base, factsSeen };
  } catch (error) {
    if (db.open) db.close();
    for (const path of [files.records, files.index]) rmSync(path, { force: true });
    throw error;
  }
}

/** The batches of rows to stage, by the number of the source each is of, and the number of the file where they are its. */
function openRows(
  db: Database.Database,
  { rows, base, corrections }: ImportOptions,
  readFile: (file: FileToRead) => AsyncGenerator<ReadBatch>,
): { readonly batches: AsyncIterable<ReadBatch & { readonly source: number }>; readonly source: number | null } {
  const known = base > 0 ? sourcesIn(db, 'base') : [];
  const note = db.prepare('INSERT INTO source (number, file, mapping) VALUES (?, ?, ?)');
  const corrected = new Map(Object.entries(corrections ?? {}));
  const bound = new Map<number, BoundMapping>();
  const use = (number: number, file: string, used: Mapping): void => {
    note.run(number, file, JSON.stringify(used));
    bound.set(number, bindMapping(used));
  };
  if (rows.kind === 'lent') {
    const own = new Map(known.map(({ mapping }) => [shapeOf(mapping.columns.map(({ column }) => column)), mapping]));
    for (const { number, file, mapping } of sourcesIn(db, 'lender')) {
      const shape = shapeOf(mapping.columns.map(({ column }) => column));
      use(number, file, own.get(shape) ?? lentMapping(mapping, lentCells(db, number), rows.terms));
    }
    return { batches: rowsOf(db, 'lender', bound, corrected), source: null };
  }
  for (const { number, file, mapping } of known)
    use(number, file, (rows.kind === 'again' && rows.mappings[number]) || mapping);
  if (rows.kind === 'file') {
    const source = Math.max(0, ...known.map(({ number }) => number)) + 1;
    const { path, name, form, mapping } = rows;
    note.run(source, name, JSON.stringify(mapping));
    const batches = readFile({ path, form, mapping, corrections: corrected });
    const numbered = async function* () {
      for await (const batch of batches) yield { ...batch, source };
    };
    return { batches: numbered(), source };
  }
  return { batches: rowsOf(db, 'base', bound, corrected), source: null };
}

/** A catalog whose rows are read again: the one in force, or the one that is lent. */
type KeptRows = 'base' | 'lender';

function sourcesIn(db: Database.Database, kept: KeptRows): { number: number; file: string; mapping: Mapping }[] {
  const rows = db.prepare(`SELECT number, file, mapping FROM ${kept}.source ORDER BY number`).all();
  return (rows as { number: number; file: string; mapping: string }[]).map((row) => ({
    ...row,
    mapping: mappingSchema.parse(JSON.parse(row.mapping)),
  }));
}

/** The first rows of one of the lender's sources, which a mapping is proposed from. */
const lentCells = (db: Database.Database, source: number): Cells[] =>
  db
    .prepare<[number, number], string>('SELECT cells FROM lender.record WHERE source = ? ORDER BY ordinal LIMIT ?')
    .pluck()
    .all(source, rowsLookedAt)
    .map((cells) => JSON.parse(cells) as Cells);

/** The rows of a catalog read by mappings of their sources, one by one. */
async function* rowsOf(
  db: Database.Database,
  kept: KeptRows,
  bound: ReadonlyMap<number, BoundMapping>,
  corrected: ReadonlyMap<string, string>,
): AsyncGenerator<ReadBatch & { readonly source: number }> {
  const total = db.prepare(`SELECT count(*) FROM ${kept}.record`).pluck().get() as number;
  // Other statements must run while the rows come, so they are fetched in runs by their number.
  const next = db.prepare<[number], { ordinal: number; source: number; cells: string }>(
    `SELECT ordinal, source, cells FROM ${kept}.record WHERE ordinal > ? ORDER BY ordinal LIMIT 1000`,
  );
  const looker = rowLooker();
  let done = 0;
  for (let last = -1; ; ) {
    const run = next.all(last);
    if (run.length === 0) break;
    last = run.at(-1)!.ordinal;
    for (const { ordinal, source, cells } of run) {
      done++;
      const row = { line: ordinal + 1, cells: JSON.parse(cells) as Cells };
      const read = readSourceRow(row, bound.get(source)!, corrected, looker.add);
      yield { source, rows: [read], share: done / Math.max(1, total), isTogether: looker.isTogether() };
    }
  }
  yield { source: 0, rows: [], share: 1, isTogether: looker.isTogether(), seen: looker.finish() };
}

async function stageRows(
  db: Database.Database,
  batches: AsyncIterable<ReadBatch & { readonly source: number }>,
  { use, drop }: { use(record: CatalogRecord): void; drop(): void },
  onProgress: OnProgress,
) {
  const stage = db.prepare(
    'INSERT OR IGNORE INTO staged (ordinal, id, family, source, json, cells) VALUES (?, ?, ?, ?, ?, ?)',
  );
  const reject = db.prepare('INSERT INTO rejected (line, column_name, reason) VALUES (?, ?, ?)');
  let rows = 0;
  let rejected = 0;
  let inTransaction = 0;
  let seen: SeenCatalog | null = null;
  const refuse = (line: number, column: string, reason: string): void => {
    if (rejected++ < rejectedKept) reject.run(line, column, reason);
  };
  db.exec('BEGIN');
  for await (const { rows: read, share, source, isTogether, seen: seenNow } of batches) {
    if (!isTogether) drop();
    seen = seenNow ?? seen;
    for (const row of read) {
      if ('reason' in row) refuse(row.line, row.column, row.reason);
      else if (stage.run(rows, row.id, row.family, source, row.json, row.cells).changes > 0) {
        rows++;
        use(JSON.parse(row.json) as CatalogRecord);
      } else refuse(row.line, 'id', `The id “${row.id.slice(0, 60)}” stands in an earlier row already.`);
    }
    inTransaction += read.length;
    if (inTransaction >= rowsATransaction) {
      inTransaction = 0;
      db.exec('COMMIT; BEGIN');
      onProgress({ phase: 'reading', rows, rejected, share });
    }
  }
  db.exec('COMMIT');
  return { rows, rejected, seen };
}

/** Keeps the records in force of which the file says nothing, behind those it has; answers how many. */
function keepOthers(db: Database.Database): number {
  const staged = db.prepare('SELECT count(*) FROM staged').pluck().get() as number;
  const keep = db.prepare(`INSERT INTO staged (ordinal, id, family, source, json, cells)
    SELECT ? + row_number() OVER (ORDER BY ordinal) - 1, id, family, source, json, cells FROM base.record b
    WHERE NOT EXISTS (SELECT 1 FROM staged s WHERE s.id = b.id)`);
  return keep.run(staged).changes;
}

/** Whether the staged rows stand in the catalog's order: as those in force do, and each family together. */
function isInOrder(db: Database.Database): boolean {
  const rows = db.prepare<[], { family: string; before: number | null }>(
    'SELECT s.family, b.ordinal AS before FROM staged s LEFT JOIN base.record b ON b.id = s.id ORDER BY s.ordinal',
  );
  const closed = new Set<string>();
  let last: string | null = null;
  let reached = -1;
  for (const { family, before } of rows.iterate()) {
    const seq = before ?? Number.POSITIVE_INFINITY;
    if (seq < reached) return false;
    reached = seq;
    if (family === last) continue;
    if (last !== null) closed.add(last);
    if (closed.has(family)) return false;
    last = family;
  }
  return true;
}

/** Numbers the records: those in force in their order, new ones after them, each family together. Answers whether they stand so as they came. */
function sortRecords(db: Database.Database, hasBase: boolean, isTogether: boolean): boolean {
  const inOrder = isTogether && (!hasBase || isInOrder(db));
  if (inOrder) db.exec('ALTER TABLE staged RENAME TO record');
  else {
    const before = hasBase
      ? 'coalesce((SELECT ordinal FROM base.record b WHERE b.id = s.id), 1000000000 + s.ordinal)'
      : 's.ordinal';
    db.exec(`CREATE TEMP TABLE place (id TEXT PRIMARY KEY, family TEXT NOT NULL, seq INTEGER NOT NULL) STRICT;
      INSERT INTO place SELECT s.id, s.family, ${before} FROM staged s;
      CREATE TEMP TABLE first (family TEXT PRIMARY KEY, seq INTEGER NOT NULL) STRICT;
      INSERT INTO first SELECT family, min(seq) FROM place GROUP BY family;
      CREATE TABLE record (ordinal INTEGER PRIMARY KEY, id TEXT NOT NULL, family TEXT NOT NULL, source INTEGER NOT NULL, json TEXT NOT NULL, cells TEXT NOT NULL) STRICT;
      INSERT INTO record (ordinal, id, family, source, json, cells)
        SELECT row_number() OVER (ORDER BY f.seq, f.family, p.seq, p.id) - 1, s.id, s.family, s.source, s.json, s.cells
        FROM staged s JOIN place p ON p.id = s.id JOIN first f ON f.family = s.family;
      DROP TABLE staged; DROP TABLE place; DROP TABLE first;
      VACUUM;`);
  }
  // Rows that stay where they are keep the index of their ids.
  db.exec('CREATE INDEX record_family ON record (family); CREATE UNIQUE INDEX IF NOT EXISTS record_id ON record (id);');
  return inOrder;
}

/** The language of the newest source's mapping: one shop has one. */
function languageOf(db: Database.Database): Language {
  const text = db.prepare<[], string>('SELECT mapping FROM source ORDER BY number DESC LIMIT 1').pluck().get();
  return (text && mappingSchema.safeParse(JSON.parse(text)).data?.language) || 'en';
}

type OnIndexing = (phase: 'profiling' | 'indexing', share: number) => void;

/** Keeps the twins of an indexed catalog and answers its index, which is built from the records where there is none. */
function keepIndexed(db: Database.Database, indexed: IndexedCatalog | null, onProgress: OnIndexing): SharedArrayBuffer {
  if (indexed === null) return buildIndex(db, onProgress);
  const keepTwins = db.prepare('INSERT INTO twin (families, differs) VALUES (?, ?)');
  for (const { families, differs } of indexed.twins) keepTwins.run(JSON.stringify(families), JSON.stringify(differs));
  if (indexed.snapshot) return indexed.snapshot;
  const builder = snapshotBuilder(indexed.profiles, languageOf(db));
  eachRecord(db, builder.add, (share) => onProgress('indexing', share));
  return builder.finish();
}

function eachRecord(
  db: Database.Database,
  use: (record: CatalogRecord) => void,
  onShare: (share: number) => void,
): void {
  const records = db.prepare('SELECT count(*) FROM record').pluck().get() as number;
  let done = 0;
  for (const json of db.prepare<[], string>('SELECT json FROM record ORDER BY ordinal').pluck().iterate()) {
    use(JSON.parse(json) as CatalogRecord);
    if (++done % rowsATransaction === 0) onShare(done / records);
  }
}

/** Profiles the records, looks for twins among them and builds the index. */
export function buildIndex(db: Database.Database, onProgress: OnIndexing): SharedArrayBuffer {
  const indexer = catalogIndexer(languageOf(db));
  const looker = catalogLooker();
  const look = (record: CatalogRecord): void => {
    looker.add(record);
    indexer.add(record);
  };
  eachRecord(db, look, (share) => onProgress('profiling', share));
  const seen = looker.finish();
  const indexed = seen && indexer.finish(seen);
  if (indexed === null) throw new Error('The records of a family do not stand together.');
  onProgress('indexing', 0);
  return keepIndexed(db, indexed, onProgress);
}
