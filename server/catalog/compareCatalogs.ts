import type Database from 'better-sqlite3';
import { type CatalogRecord, firstText, heldBy, textsOf } from '../../core/catalog/record.ts';
import { availability } from '../../core/catalog/standardColumns.ts';

/** What a new catalog changes against the one in force, in records. */
export interface Differences {
  readonly added: number;
  readonly changed: number;
  readonly unchanged: number;
  /** In force and not in the new one. */
  readonly gone: number;
  /** Of the records in both, what shoppers notice first. */
  readonly noticed: Noticed;
  /** Records in which each attribute changed, most first; of the changed records that are kept as examples. */
  readonly attributes: readonly { readonly key: string; readonly records: number }[];
}

/** Records in both catalogs whose price, stock or picture is another, by what became of it. */
export interface Noticed {
  readonly dearer: number;
  readonly cheaper: number;
  readonly soldOut: number;
  readonly backInStock: number;
  readonly picturesGone: number;
  readonly picturesNew: number;
  /** Another picture in place of one. */
  readonly picturesOther: number;
}

const nothingNoticed: Noticed = {
  ...{ dearer: 0, cheaper: 0, soldOut: 0, backInStock: 0, picturesGone: 0, picturesNew: 0, picturesOther: 0 },
};

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

/** What is said of a record that comes or goes, as if it had come from nothing or become nothing. */
const saidOfAll = ['price', 'availability', 'stock', 'picture'] as const;

function countNoticed(db: Database.Database): Noticed {
  const value = (of: 's' | 'b', key: string): string => `json_extract(${of}.json, '$.values.${key}')`;
  const inStock = (of: 's' | 'b'): string => `coalesce(${value(of, 'availability')}, '') <> '${availability.soldOut}'`;
  const picture = (of: 's' | 'b'): string => `coalesce(${value(of, 'picture')}, '')`;
  const counts: Readonly<Record<keyof Noticed, string>> = {
    dearer: `${value('s', 'price')} > ${value('b', 'price')}`,
    cheaper: `${value('s', 'price')} < ${value('b', 'price')}`,
    soldOut: `${inStock('b')} AND NOT ${inStock('s')}`,
    backInStock: `${inStock('s')} AND NOT ${inStock('b')}`,
    picturesGone: `${picture('s')} = '' AND ${picture('b')} <> ''`,
    picturesNew: `${picture('s')} <> '' AND ${picture('b')} = ''`,
    picturesOther: `${picture('s')} <> '' AND ${picture('b')} <> '' AND ${picture('s')} <> ${picture('b')}`,
  };
  const columns = Object.entries(counts).map(([name, test]) => `count(*) FILTER (WHERE ${test}) AS ${name}`);
  return db
    .prepare<[], Noticed>(
      `SELECT ${columns.join(', ')} FROM staged s JOIN base.record b ON b.id = s.id WHERE s.json <> b.json`,
    )
    .get()!;
}

/** Compares the staged rows with the attached catalog in force and keeps examples in the table `difference`. */
export function compareWithBase(db: Database.Database, hasBase: boolean): Differences {
  const one = (sql: string): number => db.prepare(sql).pluck().get() as number;
  if (!hasBase) {
    const added = one('SELECT count(*) FROM staged');
    return { added, changed: 0, unchanged: 0, gone: 0, noticed: nothingNoticed, attributes: [] };
  }
  const keep = db.prepare('INSERT INTO difference (kind, id, title, detail) VALUES (?, ?, ?, ?)');
  const keepAll = (kind: 'added' | 'gone', sql: string): void => {
    for (const { id, json } of db.prepare<[], { id: string; json: string }>(`${sql} LIMIT ${examplesKept}`).all()) {
      const record = JSON.parse(json) as CatalogRecord;
      const values = saidOfAll.flatMap((key): ChangedValue[] => {
        const text = inText(record, key);
        if (text === '') return [];
        return [kind === 'added' ? { key, before: '', after: text } : { key, before: text, after: '' }];
      });
      keep.run(kind, id, firstText(record.values.title), JSON.stringify(values));
    }
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
    noticed: countNoticed(db),
    attributes: [...byAttribute]
      .map(([key, records]) => ({ key, records }))
      .sort((a, b) => b.records - a.records || (a.key < b.key ? -1 : 1)),
  };
}
