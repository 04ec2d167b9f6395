import type Database from 'better-sqlite3';
import { type CatalogRecord, firstText, inKeyOrder, textsOf } from '../../core/catalog/record.ts';

/** Parts of one bundle that are looked up; more are named by their ids only. */
const mostParts = 100;

/**
 * Says of every bundle what is in it: the titles of the records its parts name by id or SKU, so that it is found by
 * them. A part that is not in the catalog is kept by its name. Answers of how many. Cost: one
 * lookup a part.
 */
export function resolveParts(db: Database.Database): number {
  const bundles = db
    .prepare<[], { id: string; json: string }>(
      `SELECT id, json FROM staged WHERE json ->> '$.values.parts' IS NOT NULL`,
    )
    .all();
  if (bundles.length === 0) return 0;
  db.exec(`CREATE TEMP TABLE part (name TEXT PRIMARY KEY, title TEXT NOT NULL) STRICT;
    INSERT OR IGNORE INTO part SELECT json ->> '$.sku', json ->> '$.values.title' FROM staged WHERE json ->> '$.sku' <> '';
    INSERT OR REPLACE INTO part SELECT id, json ->> '$.values.title' FROM staged;`);
  const titleOf = db.prepare<[string], string>('SELECT title FROM part WHERE name = ?').pluck();
  const write = db.prepare('UPDATE staged SET json = ? WHERE id = ?');
  db.transaction(() => {
    for (const { id, json } of bundles) {
      const record = JSON.parse(json) as CatalogRecord;
      const titles = textsOf(record.values.parts)
        .slice(0, mostParts)
        .map((part) => titleOf.get(part) ?? part)
        .filter((title) => title !== firstText(record.values.title));
      const values = { ...record.values, contains: [...new Set(titles)] };
      write.run(JSON.stringify({ ...record, values: inKeyOrder(values) }), id);
    }
  })();
  db.exec('DROP TABLE part');
  return bundles.length;
}
