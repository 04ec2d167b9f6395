import { named } from '../../core/base/named.ts';
import { shapeOf } from '../../core/catalog/mapping.ts';
import { type Mapping, mappingSchema } from '../../core/catalog/mappingSchema.ts';
import type { Db } from '../store/database.ts';

/** Mappings of one storefront, kept by the shape of the file they were made for, and families corrected by hand. */
export interface MappingStore {
  /** The mapping kept for files with these columns, or null. */
  known(columns: readonly string[]): Mapping | null;
  keep(mapping: Mapping, at: number): void;
  corrections(): Readonly<Record<string, string>>;
  /** Says to which family records belong, whatever their file says; null takes the correction back. */
  correct(records: readonly string[], family: string | null): void;
}

export function openMappingStore(db: Db, storefront: string): MappingStore {
  return {
    known(columns) {
      const text = db
        .prepare<[string, string], string>('SELECT mapping FROM mapping WHERE storefront = ? AND shape = ?')
        .pluck()
        .get(storefront, shapeOf(columns));
      const parsed = text === undefined ? null : mappingSchema.safeParse(JSON.parse(text));
      return parsed?.success ? parsed.data : null;
    },
    keep(mapping, at) {
      const shape = shapeOf(mapping.columns.map(({ column }) => column));
      db.prepare('INSERT OR REPLACE INTO mapping (storefront, shape, mapping, at) VALUES (?, ?, ?, ?)').run(
        storefront,
        shape,
        JSON.stringify(mapping),
        at,
      );
    },
    corrections: () =>
      named(
        db
          .prepare<[string], [string, string]>('SELECT record, family FROM family_correction WHERE storefront = ?')
          .raw()
          .all(storefront),
      ),
    correct(records, family) {
      const set = db.prepare('INSERT OR REPLACE INTO family_correction (storefront, record, family) VALUES (?, ?, ?)');
      const drop = db.prepare('DELETE FROM family_correction WHERE storefront = ? AND record = ?');
      db.transaction(() => {
        for (const record of records)
          if (family === null) drop.run(storefront, record);
          else set.run(storefront, record, family);
      }).immediate();
    },
  };
}
