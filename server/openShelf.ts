import { existsSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Setup } from '../core/setup/schema.ts';
import type { NamesForChanges } from '../core/setup/terms/part.ts';
import { type CatalogStore, openCatalogStore } from './catalog/catalogStore.ts';
import { type MappingStore, openMappingStore } from './catalog/mappingStore.ts';
import { addTables, mendCatalog } from './catalog/mendCatalog.ts';
import { namesOf } from './catalog/namesOf.ts';
import {
  type DataFolder,
  dataFolder,
  forgetShop,
  noteShop,
  openDataFolder,
  refuseLostShop,
  StartProblem,
} from './dataFolder.ts';
import { type LogStore, openLogStore } from './demand/logStore.ts';
import { type FolderLock, lockFolder } from './folderLock.ts';
import { storageRefusal } from './storageProblem.ts';
import { type Db, openDatabase } from './store/database.ts';
import { type FollowersReader, openFollowersReader } from './store/followers.ts';
import { databaseVersion, versionOf } from './store/migrations.ts';
import type { ReleaseReader } from './store/releaseReader.ts';
import type { SetupReader } from './store/setupStore.ts';
import { openSetups } from './store/setups.ts';
import { openStorefrontReader, type StorefrontReader } from './store/storefronts.ts';
import { directWriter } from './store/writer.ts';
import { openWrites, type Writer } from './store/writes.ts';

/** What is kept of one storefront, for reading. Nothing here reaches another one's. */
export interface StorefrontShelf {
  readonly id: string;
  readonly catalogs: CatalogStore;
  readonly mappings: MappingStore;
  readonly log: LogStore;
  readonly releases: ReleaseReader;
  setups(draft: string): SetupReader;
  /** Names for telling changes, those of collections as a setup decides them. */
  names(setup: Setup | null): NamesForChanges;
}

/** A data folder opened for reading: what both the server and the terminal work on. */
export interface Shelf {
  readonly folder: DataFolder;
  readonly db: Db;
  readonly storefronts: StorefrontReader;
  readonly followers: FollowersReader;
  /** A storefront's own, whether or not there is one of that id. */
  at(storefront: string): StorefrontShelf;
}

/** A data folder this process holds alone. Everything is written through `writer`. */
export interface HeldShelf extends Shelf {
  readonly lock: FolderLock;
  readonly writer: Writer;
  close(): void;
}

function over(folder: DataFolder, db: Db): Shelf {
  const setups = openSetups(db);
  const known = new Map<string, StorefrontShelf>();
  const open = (id: string): StorefrontShelf => {
    const catalogs = openCatalogStore(db, folder, id);
    return {
      id,
      catalogs,
      mappings: openMappingStore(db, id),
      log: openLogStore(db, id),
      releases: setups.releases(id),
      setups: (draft) => setups.draft({ storefront: id, draft }),
      names: (setup) => namesOf({ db, storefront: id, catalog: catalogs.current(), setup }),
    };
  };
  return {
    folder,
    db,
    storefronts: openStorefrontReader(db),
    followers: openFollowersReader(db, setups.releases),
    at(storefront) {
      const shelf = known.get(storefront) ?? open(storefront);
      known.set(storefront, shelf);
      return shelf;
    },
  };
}

/** The storefront that a data folder begins with. */
export const firstStorefront = 'main';

/** What belongs to us in a data folder. */
const ownFiles = /^(shelf\.sqlite|lock\.sqlite|served-at\.txt|catalogs$|incoming$)/;

/** Tells what cannot be opened in one sentence, where it is the disk's or the database's doing. */
function opening<Opened>(folder: DataFolder, open: () => Opened): Opened {
  try {
    return open();
  } catch (error) {
    const refusal = error instanceof StartProblem ? null : storageRefusal(error, folder.database);
    throw refusal ? new StartProblem(refusal.message) : error;
  }
}

/**
 * Takes a data folder for this process and brings it to today's version. `fresh` empties it of everything that is ours
 * first. Throws a `StartProblem` where another process holds it, a newer version wrote it, or its shop is lost.
 */
export function prepareFolder(
  root: string,
  options: { readonly fresh?: boolean } = {},
): {
  readonly folder: DataFolder;
  readonly lock: FolderLock;
} {
  if (!options.fresh) refuseLostShop(root);
  const folder = openDataFolder(root);
  const lock = opening(folder, () => lockFolder(folder));
  try {
    if (options.fresh) {
      for (const name of readdirSync(root))
        if (ownFiles.test(name) && !name.startsWith('lock.'))
          rmSync(join(root, name), { recursive: true, force: true });
      forgetShop(root);
      openDataFolder(root);
    }
    opening(folder, () => {
      const db = openDatabase(folder.database);
      const { storefronts } = over(folder, db);
      if (!storefronts.first()) db.prepare('INSERT INTO storefront (id) VALUES (?)').run(firstStorefront);
      for (const { generation } of storefronts.storefronts()) addTables(folder, generation);
      db.close();
    });
    noteShop(root);
    return { folder, lock };
  } catch (error) {
    lock.release();
    throw error;
  }
}

/** Opens a prepared folder for reading, as the server's own thread does. */
export const readFolder = (folder: DataFolder): Shelf =>
  over(folder, openDatabase(folder.database, { readOnly: true, waits: 'server' }));

/** Opens a data folder with all that can be done to it in this thread: for the terminal and for tests. */
export function openShelf(root: string, options: { readonly fresh?: boolean } = {}): HeldShelf {
  const { folder, lock } = prepareFolder(root, options);
  const db = openDatabase(folder.database);
  const shelf = over(folder, db);
  for (const { generation } of shelf.storefronts.storefronts()) mendCatalog(folder, generation);
  return {
    ...shelf,
    lock,
    writer: directWriter(openWrites(folder, db), folder),
    close() {
      db.close();
      lock.release();
    },
  };
}

/**
 * Opens a data folder for looking only: beside a server that holds it, or, where none does, after bringing it to today's
 * version. Throws a `StartProblem` where no shop is kept there: who looks makes no folder.
 */
export function lookInto(root: string): Shelf {
  const folder = dataFolder(root);
  if (existsSync(folder.database)) {
    const db = openDatabase(folder.database, { readOnly: true });
    const isNow = versionOf(db) === databaseVersion;
    db.close();
    if (isNow) return readFolder(folder);
  } else {
    refuseLostShop(root);
    throw new StartProblem(
      `There is no shop in ${root}. Bring one in with “import FILE”, or start the application once.`,
    );
  }
  const { lock } = prepareFolder(root);
  lock.release();
  return readFolder(folder);
}

/** Removes files received but never read to the end: what a crash left behind. */
export function tidyIncoming(folder: DataFolder): void {
  if (!existsSync(folder.incoming)) return;
  for (const name of readdirSync(folder.incoming)) rmSync(join(folder.incoming, name), { force: true });
}
