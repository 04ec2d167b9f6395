import { existsSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { type CatalogStore, openCatalogStore } from './catalog/catalogStore.ts';
import { type MappingStore, openMappingStore } from './catalog/mappingStore.ts';
import { mendCatalog } from './catalog/mendCatalog.ts';
import { type DataFolder, openDataFolder } from './dataFolder.ts';
import { type LogStore, openLogStore } from './demand/logStore.ts';
import { type Db, openDatabase, storefrontId } from './store/database.ts';
import { openSetupStore, type SetupStore } from './store/setupStore.ts';

/** A data folder opened: what both the server and the terminal work on. */
export interface Shelf {
  readonly folder: DataFolder;
  readonly db: Db;
  readonly setups: SetupStore;
  readonly catalogs: CatalogStore;
  readonly mappings: MappingStore;
  readonly log: LogStore;
}

/** Opens a data folder, with the storefront in it; `fresh` empties it of everything that is ours first. */
export function openShelf(root: string, options: { readonly fresh?: boolean } = {}): Shelf {
  const folder = openDataFolder(root);
  if (options.fresh)
    for (const name of readdirSync(root))
      if (/^(shelf\.sqlite|catalogs$|incoming$)/.test(name)) rmSync(join(root, name), { recursive: true, force: true });
  const ready = options.fresh ? openDataFolder(root) : folder;
  const db = openDatabase(ready.database);
  db.prepare('INSERT OR IGNORE INTO storefront (id) VALUES (?)').run(storefrontId);
  const catalogs = openCatalogStore(db, ready);
  mendCatalog(ready, catalogs.generation());
  return {
    folder: ready,
    db,
    setups: openSetupStore(db),
    catalogs,
    mappings: openMappingStore(db),
    log: openLogStore(db),
  };
}

/** Removes what a crash left behind: files received but never read to the end, generations never put in force. */
export function tidyAfterCrash({ folder, catalogs }: Shelf): void {
  if (existsSync(folder.incoming))
    for (const name of readdirSync(folder.incoming)) rmSync(join(folder.incoming, name), { force: true });
  catalogs.tidy();
}
