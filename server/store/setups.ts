import { type DraftRef, keyOf } from '../../core/setup/setupRef.ts';
import type { Db } from './database.ts';
import type { ReleaseReader } from './releaseReader.ts';
import { openReleases } from './releaseReader.ts';
import { openSetupStore, type SetupReader, type SetupStore } from './setupStore.ts';

/** Drafts and releases of all storefronts, each opened once and kept: for reading. */
export interface SetupsReader {
  draft(ref: DraftRef): SetupReader;
  releases(storefront: string): ReleaseReader;
}
/** The same with the drafts' writes. */
export interface SetupStores extends SetupsReader {
  draft(ref: DraftRef): SetupStore;
}

/** Drafts kept parsed. One of 20,000 decisions takes about 12 MB. */
const draftsKept = 12;

export function openSetups(db: Db): SetupStores {
  const drafts = new Map<string, SetupStore>();
  const releasesOf = openReleases(db);
  return {
    draft(ref) {
      const key = keyOf(ref);
      const known = drafts.get(key) ?? openSetupStore(db, ref, releasesOf);
      drafts.delete(key);
      drafts.set(key, known);
      if (drafts.size > draftsKept) drafts.delete(drafts.keys().next().value!);
      return known;
    },
    releases: releasesOf,
  };
}
