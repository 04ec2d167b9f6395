import type { CatalogStore } from '../catalog/catalogStore.ts';
import type { ImportJobs } from '../catalog/importJobs.ts';
import type { MappingStore } from '../catalog/mappingStore.ts';
import type { DataFolder } from '../dataFolder.ts';
import type { LogStore } from '../demand/logStore.ts';
import type { SimulatedFeed } from '../feed/simulatedFeed.ts';
import type { Searcher } from '../searching/searcher.ts';
import type { Db } from '../store/database.ts';
import type { SetupStore } from '../store/setupStore.ts';

/** What the routes work with. */
export interface Services {
  readonly db: Db;
  readonly folder: DataFolder;
  readonly setups: SetupStore;
  readonly catalogs: CatalogStore;
  readonly imports: ImportJobs;
  readonly mappings: MappingStore;
  readonly feed: SimulatedFeed;
  readonly log: LogStore;
  readonly searcher: Searcher;
  readonly now: () => number;
}
