import type { CatalogStore } from '../catalog/catalogStore.ts';
import type { ImportJobs } from '../catalog/importJobs.ts';
import type { MappingStore } from '../catalog/mappingStore.ts';
import type { DataFolder } from '../dataFolder.ts';
import type { LogDesk } from '../demand/logDesk.ts';
import type { LogStore } from '../demand/logStore.ts';
import type { TopSearches } from '../demand/topSearches.ts';
import type { SimulatedFeed } from '../feed/simulatedFeed.ts';
import type { PictureDesk } from '../pictures/pictureDesk.ts';
import type { Searcher } from '../searching/searcher.ts';
import type { Db } from '../store/database.ts';
import type { SetupReader } from '../store/setupStore.ts';
import type { Writer } from '../store/writes.ts';

/** What the routes work with. They read here, ask the searcher what is computed, and write through the writer. */
export interface Services {
  readonly db: Db;
  readonly folder: DataFolder;
  readonly setups: SetupReader;
  readonly catalogs: CatalogStore;
  readonly imports: ImportJobs;
  readonly mappings: MappingStore;
  readonly feed: SimulatedFeed;
  readonly log: LogStore;
  readonly logDesk: LogDesk;
  readonly topSearches: TopSearches;
  readonly pictures: PictureDesk;
  readonly searcher: Searcher;
  readonly writer: Writer;
  readonly now: () => number;
  /** Names this server answers under besides those of its own machine. */
  readonly hosts: readonly string[];
  /** Takes note of our own mistakes. */
  noteMistake(error: unknown): void;
}
