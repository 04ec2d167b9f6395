import type { Db } from './database.ts';

/** Statements that are prepared once for a connection: what is opened for each draft or storefront shares them. */
export function oncePerDatabase<Statements extends object>(prepare: (db: Db) => Statements): (db: Db) => Statements {
  const prepared = new WeakMap<Db, Statements>();
  return (db) => {
    const statements = prepared.get(db) ?? prepare(db);
    prepared.set(db, statements);
    return statements;
  };
}
