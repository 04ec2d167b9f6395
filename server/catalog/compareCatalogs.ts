import type Database from 'better-sqlite3';
import { type CatalogRecord, firstText, heldBy, textsOf } from '../../core/catalog/record.ts';

/** What a new catalog changes against the one in force, in records. */
export interface Differences {
  readonly added: number;
  readonly changed: number;
  readonly unchanged: number;
  /** In force and not in the new one. */
  readonly gone: number;
  /** Records in which each attribute changed, most first; of the changed records that are kept as examples. */
  readonly attributes: readonly { readonly key: string; readonly records: number }[];
}

/** Examples kept of each kind. */
const examplesKept = 5000;

/** One attribute of a changed record, before and after, as texts. */
export interface ChangedValue {
  readonly key: string;
  readonly before: string;
  readonly after: string;
}

const inText = (record: CatalogRecord, key: string): string =>
  key === 'sku'
    ? record.sku
    : key === 'family'
      ? record.familyId
      : textsOf(heldBy(record, key)).join(', ').slice(0, 300);

/** What changed from one reading of a record to another, by attribute. */
function changedValues(before: CatalogRecord, after: CatalogRecord): ChangedValue[] {
  const keys = new Set(['sku', 'family', ...Object.keys(before.values), ...Object.keys(after.values)]);
  return [...keys]
    .map((key) => ({ key, before: inText(before, key), after: inText(after, key) }))
    .filter((change) => change.before !== change.after)
    .sort((a, b) => (a.key < b.key ? -1 : 1));
}

/** Compares the staged rows with the attached catalog in force and keeps examples in the table `difference`. */
export function compareWithBase(db: Database.Database, hasBase: boolean): Differences {
  const one = (sql: string): number => db.prepare(sql).pluck().get() as number;
  if (!hasBase) return { added: one('SELECT count(*) FROM staged'), changed: 0, unchanged: 0, gone: 0, attributes: [] };
  const keep = db.prepare('INSERT INTO difference (kind, id, title, detail) VALUES (?, ?, ?, ?)');
  const keepAll = (kind: string, sql: string): void => {
    for (const { id, json } of db.prepare<[], { id: string; json: string }>(`${sql} LIMIT ${examplesKept}`).all())
      keep.run(kind, id, firstText((JSON.parse(json) as CatalogRecord).values.title), '');
  };
  const inBoth = 'FROM staged s JOIN base.record b ON b.id = s.id';
  keepAll('added', 'SELECT id, json FROM staged s WHERE NOT EXISTS (SELECT 1 FROM base.record b WHERE b.id = s.id)');
  keepAll('gone', 'SELECT id, json FROM base.record b WHERE NOT EXISTS (SELECT 1 FROM staged s WHERE s.id = b.id)');
  const byAttribute = new Map<string, number>();
  const changed = db
    .prepare<[], { id: string; was: string; now: string }>(
      `SELECT s.id AS id, b.json AS was, s.json AS now ${inBoth} WHERE s.json <> b.json LIMIT ${examplesKept}`,
    )
    .all();
  for (const { id, was, now } of changed) {
    const after = JSON.parse(now) as CatalogRecord;
    const values = changedValues(JSON.parse(was) as CatalogRecord, after);
    for (const { key } of values) byAttribute.set(key, (byAttribute.get(key) ?? 0) + 1);
    keep.run('changed', id, firstText(after.values.title), JSON.stringify(values));
  }
  const both = one(`SELECT count(*) ${inBoth}`);
  const different = one(`SELECT count(*) ${inBoth} WHERE s.json <> b.json`);
  return {
    added: one('SELECT count(*) FROM staged') - both,
    changed: different,
    unchanged: both - different,
    gone: one('SELECT count(*) FROM base.record') - both,
    attributes: [...byAttribute]
      .map(([key, records]) => ({ key, records }))
      .sort((a, b) => b.records - a.records || (a.key < b.key ? -1 : 1)),
  };
}
