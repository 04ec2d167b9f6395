import Database from 'better-sqlite3';
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
