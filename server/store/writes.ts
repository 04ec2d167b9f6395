import { statSync } from 'node:fs';
import type { ContentKind } from '../../core/content/contentKinds.ts';
import { openCatalogWrites } from '../catalog/catalogWrites.ts';
import { importContent } from '../catalog/content.ts';
import { openMappingStore } from '../catalog/mappingStore.ts';
import type { DataFolder } from '../dataFolder.ts';
import { openLogWriter } from '../demand/logWriter.ts';
import { Refused } from '../refused.ts';
import { type Db, storefrontId } from './database.ts';
import { openSetupStore } from './setupStore.ts';

/**
 * Everything that is ever written while a data folder is open, in one place, so that one thread can do it all: writes
 * then never wait for each other, and a slow or locked disk holds up nobody who reads.
 */
export function openWrites(folder: DataFolder, db: Db) {
  const { edit, undo, redo, publish, publishAgain } = openSetupStore(db);
  const log = openLogWriter(db);
  const mappings = openMappingStore(db);
  const catalogs = openCatalogWrites(db, folder);
  const opened = statSync(folder.database).ino;
  const declineOne = db.prepare('INSERT OR IGNORE INTO declined (storefront, proposal) VALUES (?, ?)');
  const declineNone = db.prepare('DELETE FROM declined WHERE storefront = ?');

  /** A database whose file was taken away still takes writes, into nothing. */
  const guarded =
    <Arguments extends unknown[], Answer>(work: (...given: Arguments) => Answer) =>
    (...given: Arguments): Answer => {
      if (statSync(folder.database, { throwIfNoEntry: false })?.ino !== opened)
        throw new Refused(503, {
          code: 'data-folder-gone',
          message: `The data folder ${folder.root} was moved or deleted while the application was running. Nothing was saved. Put it back and start the application again.`,
        });
      return work(...given);
    };
  return {
    edit: guarded(edit),
    undo: guarded(undo),
    redo: guarded(redo),
    publish: guarded(publish),
    publishAgain: guarded(publishAgain),
    /** Does not make a proposal again; with null, makes all declined ones again. */
    decline: guarded((proposal: string | null): void => {
      if (proposal === null) declineNone.run(storefrontId);
      else declineOne.run(storefrontId, proposal);
    }),
    reserveGeneration: guarded(catalogs.reserveGeneration),
    putInForce: guarded(catalogs.putInForce),
    putBack: guarded(catalogs.putBack),
    acceptFacts: guarded(catalogs.acceptFacts),
    keepMapping: guarded(mappings.keep),
    correctFamilies: guarded(mappings.correct),
    bringInContent: guarded((kind: ContentKind, path: string) => importContent(db, kind, path)),
    bringInLog: guarded(log.bringIn),
    clearLog: guarded(log.clear),
    noteLog: guarded(log.note),
    reserveSearches: guarded(log.reserve),
  };
}

export type Writes = ReturnType<typeof openWrites>;
/** The same from another thread. */
export type Writer = {
  readonly [Name in keyof Writes]: (...given: Parameters<Writes[Name]>) => Promise<Awaited<ReturnType<Writes[Name]>>>;
} & { close(): Promise<void> };

export const writeNames = [
  'edit',
  'undo',
  'redo',
  'publish',
  'publishAgain',
  'decline',
  'reserveGeneration',
  'putInForce',
  'putBack',
  'acceptFacts',
  'keepMapping',
  'correctFamilies',
  'bringInContent',
  'bringInLog',
  'clearLog',
  'noteLog',
  'reserveSearches',
] as const satisfies readonly (keyof Writes)[];
