import type { DeskState, ToldChange } from '../../api/endpoints.ts';
import { firstText } from '../../core/catalog/record.ts';
import { labelFromKey, standardColumn } from '../../core/catalog/standardColumns.ts';
import { describeChange, type NamesForChanges } from '../../core/setup/describeChange.ts';
import { changesBetween, type EntryChange } from '../../core/setup/entries.ts';
import type { CatalogStore } from '../catalog/catalogStore.ts';
import { type Db, storefrontId } from '../store/database.ts';
import type { SetupStore } from '../store/setupStore.ts';

/** Names of attributes and products as the catalog in force has them. */
export function namesFrom(catalogs: CatalogStore): NamesForChanges {
  const catalog = catalogs.current();
  const labels = new Map(catalog?.snapshot.attributes.map(({ key, label }) => [key, label]));
  return {
    attribute: (key) => labels.get(key) ?? standardColumn.get(key)?.label ?? labelFromKey(key),
    product: (id) => {
      const record = catalog?.familyRecord(id);
      return record ? `“${firstText(record.values.title)}”` : `“${id}” (no longer in the catalog)`;
    },
  };
}

export function tellChanges(changes: readonly EntryChange[], names: NamesForChanges): ToldChange[] {
  return changes.map((change) => ({ ...change, sentences: describeChange(change, names) }));
}

const inWords = (changes: readonly EntryChange[] | null, names: NamesForChanges): string | null =>
  changes && tellChanges(changes, names).flatMap(({ sentences }) => sentences)[0]!;

/** Everything the desk shows of the draft; read, never written. */
export function deskState(db: Db, setups: SetupStore, catalogs: CatalogStore): DeskState {
  const storefront = db
    .prepare<[string], { id: string; name: string; currency: string }>(
      'SELECT id, name, currency FROM storefront WHERE id = ?',
    )
    .get(storefrontId)!;
  const names = namesFrom(catalogs);
  const setup = setups.draft();
  const live = setups.live();
  const catalog = catalogs.current();
  return {
    storefront,
    revision: setups.revision(),
    setup,
    changes: live ? tellChanges(changesBetween(live.setup, setup), names) : [],
    canUndo: inWords(setups.nextUndo(), names),
    canRedo: inWords(setups.nextRedo(), names),
    release: live && { number: live.number, at: new Date(live.at).toISOString(), who: live.who },
    catalog: {
      generation: catalog?.generation ?? 0,
      records: catalog?.snapshot.records ?? 0,
      families: catalog?.snapshot.families ?? 0,
    },
  };
}
