import Database from 'better-sqlite3';
import type { CatalogRecord } from '../../core/catalog/record.ts';
import { availability } from '../../core/catalog/standardColumns.ts';
import { type DataFolder, generationFiles } from '../dataFolder.ts';

/** What a feed says of one record; a figure it does not name stays as it is, null takes it away. */
export interface FactChange {
  readonly id: string;
  readonly price?: number | null;
  readonly former_price?: number | null;
  readonly stock?: number | null;
}

export interface FactsTaken {
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
  if (change.stock !== undefined)
    values[availability.key] = change.stock !== null && change.stock <= 0 ? availability.soldOut : availability.inStock;
  return { ...record, values: Object.fromEntries(Object.entries(values).sort(([a], [b]) => (a < b ? -1 : 1))) };
}

/**
 * Takes changed prices and stocks into the catalog in force, all in one transaction; every search thread brings its index
 * up to date before its next answer. What the file's index was built from is kept beside, so that it can be patched.
 */
export function takeFacts(folder: DataFolder, generation: number, changes: readonly FactChange[]): FactsTaken {
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
    return db
      .transaction((): FactsTaken => {
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
