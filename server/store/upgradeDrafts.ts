import type Database from 'better-sqlite3';
import { named } from '../../core/base/named.ts';
import { entriesIn } from '../../core/setup/readSetup.ts';
import { setupVersion } from '../../core/setup/schema.ts';

interface Row {
  readonly part: string;
  readonly key: string;
  readonly value: string;
}

/** Brings drafts of an earlier format to today's, each in one transaction; entries that are no JSON stay as they are. */
export function upgradeDrafts(db: Database.Database): void {
  const drafts = db
    .prepare<[number], { storefront: string; id: string; format: number }>(
      'SELECT storefront, id, format FROM draft WHERE format < ?',
    )
    .all(setupVersion);
  const read = db.prepare<[string, string], Row>(
    'SELECT part, key, value FROM setup_entry WHERE storefront = ? AND draft = ?',
  );
  const store = db.prepare(
    'INSERT OR REPLACE INTO setup_entry (storefront, draft, part, key, value) VALUES (?, ?, ?, ?, ?)',
  );
  const remove = db.prepare('DELETE FROM setup_entry WHERE storefront = ? AND draft = ? AND part = ? AND key = ?');
  const note = db.prepare('UPDATE draft SET format = ? WHERE storefront = ? AND id = ?');
  for (const { storefront, id, format } of drafts)
    db.transaction(() => {
      const document = named<Record<string, unknown>>();
      const rows = read.all(storefront, id);
      for (const { part, key, value } of rows)
        try {
          const entries = document[part] ?? named<unknown>();
          document[part] = entries;
          entries[key] = JSON.parse(value);
          remove.run(storefront, id, part, key);
        } catch {
          // Damaged; it is set aside when the draft is read.
        }
      for (const { part, key, value } of entriesIn({ format: 'clever-shelf-setup', version: format, ...document }))
        store.run(storefront, id, part, key, JSON.stringify(value));
      note.run(setupVersion, storefront, id);
    }).immediate();
}
