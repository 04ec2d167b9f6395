import Database from 'better-sqlite3';
import { mappingSchema } from '../../core/catalog/mappingSchema.ts';
import { type CatalogRecord, inKeyOrder } from '../../core/catalog/record.ts';
import { availability, availabilityOf } from '../../core/catalog/standardColumns.ts';
import { type DataFolder, generationFiles } from '../dataFolder.ts';

/** What a feed says of one record; a figure it does not name stays as it is, null takes it away. */
export interface FactChange {
  readonly id: string;
  readonly price?: number | null;
  readonly former_price?: number | null;
  readonly stock?: number | null;
}

export interface AcceptedFacts {
  /** Records that are different now. */
  readonly changed: number;
  /** Ids the catalog does not have. */
  readonly unknown: readonly string[];
  /** Other storefronts that share the records, which show it too. */
  readonly reached?: readonly string[];
}

const figures = ['price', 'former_price', 'stock'] as const;

function withFacts(record: CatalogRecord, change: FactChange): CatalogRecord {
  const values = { ...record.values };
  for (const key of figures) {
    const value = change[key];
    if (value === undefined) continue;
    if (value === null) delete values[key];
    else values[key] = value;
  }
  if (change.stock !== undefined) values[availability.key] = availabilityOf(change.stock);
  return { ...record, values: inKeyOrder(values) };
}

/**
 * Takes changed prices and stocks into the catalog in force, all in one transaction; every search thread brings its index
 * up to date before its next answer. What the file's index was built from is kept beside, so that it can be patched, and
 * what the feed said, so that it outlives another reading of the rows.
 */
export function acceptFacts(folder: DataFolder, generation: number, changes: readonly FactChange[]): AcceptedFacts {
  const db = new Database(generationFiles(folder, generation).records, { timeout: 10_000 });
  try {
    db.pragma('synchronous = FULL');
    const read = db.prepare<[string], { ordinal: number; json: string }>(
      'SELECT ordinal, json FROM record WHERE id = ?',
    );
    const write = db.prepare('UPDATE record SET json = ? WHERE ordinal = ?');
    const note = db.prepare(
      `INSERT INTO fact (ordinal, version, built) VALUES (@ordinal, @version, @built)
       ON CONFLICT (ordinal) DO UPDATE SET version = @version`,
    );
    const fed = db.prepare<[string], string>('SELECT figures FROM fed WHERE id = ?').pluck();
    const feed = db.prepare('INSERT OR REPLACE INTO fed (id, version, figures) VALUES (?, ?, ?)');
    return db
      .transaction((): AcceptedFacts => {
        const version = ((db.prepare('SELECT max(version) FROM fact').pluck().get() as number | null) ?? 0) + 1;
        const unknown: string[] = [];
        let changed = 0;
        for (const change of changes) {
          const row = read.get(change.id);
          if (!row) {
            unknown.push(change.id);
            continue;
          }
          const json = JSON.stringify(withFacts(JSON.parse(row.json) as CatalogRecord, change));
          if (json === row.json) continue;
          const before = fed.get(change.id);
          const { id, ...figures } = change;
          feed.run(id, version, JSON.stringify({ ...(before && JSON.parse(before)), ...figures }));
          note.run({ ordinal: row.ordinal, version, built: row.json });
          write.run(json, row.ordinal);
          changed++;
        }
        return { changed, unknown };
      })
      .immediate();
  } finally {
    db.close();
  }
}

/** What a feed said of a generation's records after a version. */
export function factsAfter(folder: DataFolder, generation: number, version: number): FactChange[] {
  const db = new Database(generationFiles(folder, generation).records, { readonly: true });
  try {
    return db
      .prepare<[number], { id: string; figures: string }>('SELECT id, figures FROM fed WHERE version > ? ORDER BY id')
      .all(version)
      .map(({ id, figures }) => ({ ...(JSON.parse(figures) as Omit<FactChange, 'id'>), id }));
  } finally {
    db.close();
  }
}

/** The columns that figures are read from, by the newest mapping of a catalog's file. */
function figureColumns(db: Database.Database, schema: 'main' | 'lender' | 'own'): ReadonlyMap<string, string> {
  const text = db
    .prepare<[], string>(`SELECT mapping FROM ${schema}.source ORDER BY number DESC LIMIT 1`)
    .pluck()
    .get();
  const parsed = text === undefined ? undefined : mappingSchema.safeParse(JSON.parse(text)).data;
  return new Map(parsed?.columns.map(({ as, column }) => [as, column]) ?? []);
}

/** Of what a feed says, the figures that a borrower reads from the same columns as the lender; null where it is none. */
function figuresLent(
  { id, ...figures }: FactChange,
  lender: ReadonlyMap<string, string>,
  own: ReadonlyMap<string, string>,
): FactChange | null {
  const kept = Object.entries(figures).filter(([key]) => own.has(key) && own.get(key) === lender.get(key));
  return kept.length === 0 ? null : { id, ...Object.fromEntries(kept) };
}

/** What of some facts about a lender's records holds for those of a borrower: figures both read from the same column. */
export function factsLent(
  folder: DataFolder,
  lender: number,
  borrower: number,
  changes: readonly FactChange[],
): FactChange[] {
  const db = new Database(generationFiles(folder, lender).records, { readonly: true });
  try {
    db.prepare('ATTACH ? AS own').run(generationFiles(folder, borrower).records);
    const [theirs, own] = [figureColumns(db, 'main'), figureColumns(db, 'own')];
    return changes.flatMap((change) => figuresLent(change, theirs, own) ?? []);
  } finally {
    db.close();
  }
}

/** Lays what a feed said of the lender's records over staged ones; answers of how many. */
export function carryLentFacts(db: Database.Database): number {
  const [theirs, own] = [figureColumns(db, 'lender'), figureColumns(db, 'main')];
  const said = db
    .prepare<[], { id: string; figures: string; json: string; before: string | null }>(
      `SELECT f.id AS id, f.figures AS figures, s.json AS json, b.figures AS before
       FROM lender.fed f JOIN staged s ON s.id = f.id LEFT JOIN fed b ON b.id = f.id`,
    )
    .all();
  const write = db.prepare('UPDATE staged SET json = ? WHERE id = ?');
  const keep = db.prepare('INSERT OR REPLACE INTO fed (id, version, figures) VALUES (?, 0, ?)');
  let carried = 0;
  db.transaction(() => {
    for (const { id, figures, json, before } of said) {
      const change = figuresLent({ ...(JSON.parse(figures) as Omit<FactChange, 'id'>), id }, theirs, own);
      if (!change) continue;
      const { id: _, ...kept } = change;
      write.run(JSON.stringify(withFacts(JSON.parse(json) as CatalogRecord, change)), id);
      keep.run(id, JSON.stringify({ ...(before && JSON.parse(before)), ...kept }));
      carried++;
    }
  })();
  return carried;
}

/**
 * Carries over what a feed said of staged records since their rows came in: of all where the rows are read again, else
 * of those the file says nothing of (`source` is the file's number; null where there is none). Answers of how many.
 */
export function carryFacts(db: Database.Database, source: number | null): number {
  const carried = db
    .prepare<[number], { id: string; figures: string; json: string }>(
      'SELECT f.id AS id, f.figures AS figures, s.json AS json FROM base.fed f JOIN staged s ON s.id = f.id WHERE s.source <> ?',
    )
    .all(source ?? -1);
  const write = db.prepare('UPDATE staged SET json = ? WHERE id = ?');
  const keep = db.prepare('INSERT INTO fed (id, version, figures) VALUES (?, 0, ?)');
  db.transaction(() => {
    for (const { id, figures, json } of carried) {
      const change = { ...(JSON.parse(figures) as Omit<FactChange, 'id'>), id };
      write.run(JSON.stringify(withFacts(JSON.parse(json) as CatalogRecord, change)), id);
      keep.run(id, figures);
    }
  })();
  return carried.length;
}
