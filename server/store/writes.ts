import { statSync } from 'node:fs';
import { reservedIds } from '../../api/paths.ts';
import type { Mapping } from '../../core/catalog/mappingSchema.ts';
import type { DraftRef } from '../../core/setup/setupRef.ts';
import type { ContentKind } from '../../core/setup/terms/contentTerms.ts';
import { openCatalogWrites } from '../catalog/catalogWrites.ts';
import { importContent } from '../catalog/content.ts';
import { openMappingStore } from '../catalog/mappingStore.ts';
import type { DataFolder } from '../dataFolder.ts';
import { openLogWriter } from '../demand/logWriter.ts';
import { nearTextWriter } from '../demand/nearTextStore.ts';
import { togetherWriter } from '../demand/togetherStore.ts';
import { Refused } from '../refused.ts';
import type { Db } from './database.ts';
import { openDraftWrites } from './draftWrites.ts';
import { openHistoryWrites } from './historyWrites.ts';
import { openPreviewWrites } from './previews.ts';
import type { SetupStore } from './setupStore.ts';
import { openSetups } from './setups.ts';
import { openShopKeyWrites } from './shopKeys.ts';
import { openStorefrontWrites } from './storefrontWrites.ts';
import type { WriteOutcome } from './writeOutcome.ts';

/**
 * Everything that is ever written while a data folder is open, in one place, so that one thread can do it all: writes
 * then never wait for each other, and a slow or locked disk holds up nobody who reads.
 */
export function openWrites(folder: DataFolder, db: Db) {
  const setups = openSetups(db);
  const drafts = openDraftWrites(db, setups);
  const previews = openPreviewWrites(db);
  const keys = openShopKeyWrites(db);
  const history = openHistoryWrites(db);
  const storefronts = openStorefrontWrites(db, folder, setups, (id) => reservedIds.has(id));
  const log = openLogWriter(db);
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
  /** A write of a draft, which is named first. */
  const ofDraft = <Name extends 'edit' | 'undo' | 'redo' | 'publish' | 'publishAgain' | 'takeStepBack' | 'ownPart'>(
    name: Name,
  ) =>
    guarded(
      (ref: DraftRef, ...given: Parameters<SetupStore[Name]>): WriteOutcome =>
        (setups.draft(ref)[name] as (...given: Parameters<SetupStore[Name]>) => WriteOutcome)(...given),
    );
  return {
    edit: ofDraft('edit'),
    undo: ofDraft('undo'),
    redo: ofDraft('redo'),
    publish: ofDraft('publish'),
    publishAgain: ofDraft('publishAgain'),
    takeStepBack: ofDraft('takeStepBack'),
    ownPart: ofDraft('ownPart'),
    makePreview: guarded(previews.makePreview),
    withdrawPreview: guarded(previews.withdrawPreview),
    makeShopKey: guarded(keys.makeShopKey),
    changeShopKey: guarded(keys.changeShopKey),
    withdrawShopKey: guarded(keys.withdrawShopKey),
    pauseShop: guarded(keys.pauseShop),
    beginDraft: guarded(drafts.beginDraft),
    nameDraft: guarded(drafts.nameDraft),
    takeOutDraft: guarded(drafts.takeOutDraft),
    putBackDraft: guarded(drafts.putBackDraft),
    mergeInto: guarded(drafts.mergeInto),
    makeStorefront: guarded(storefronts.makeStorefront),
    nameStorefront: guarded(storefronts.nameStorefront),
    shareCatalog: guarded(storefronts.shareCatalog),
    archiveStorefront: guarded(storefronts.archiveStorefront),
    removeStorefront: guarded(storefronts.removeStorefront),
    keepNearTexts: guarded(nearTextWriter(db)),
    keepTogether: guarded(togetherWriter(db)),
    /** Does not make a proposal again; with null, makes all declined ones again. */
    decline: guarded((storefront: string, proposal: string | null): void => {
      if (proposal === null) declineNone.run(storefront);
      else declineOne.run(storefront, proposal);
    }),
    reserveGeneration: guarded(catalogs.reserveGeneration),
    putInForce: guarded(catalogs.putInForce),
    putBack: guarded(catalogs.putBack),
    acceptFacts: guarded(catalogs.acceptFacts),
    keepHistory: guarded(history.keepHistory),
    keepLog: guarded(log.keepLog),
    pruneLog: guarded(log.pruneLog),
    pruneHistory: guarded(history.pruneHistory),
    keepMapping: guarded((storefront: string, mapping: Mapping, at: number) =>
      openMappingStore(db, storefront).keep(mapping, at),
    ),
    correctFamilies: guarded((storefront: string, records: readonly string[], family: string | null) =>
      openMappingStore(db, storefront).correct(records, family),
    ),
    bringInContent: guarded((storefront: string, kind: ContentKind, path: string) =>
      importContent(db, storefront, kind, path),
    ),
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
  'takeStepBack',
  'ownPart',
  'makePreview',
  'withdrawPreview',
  'makeShopKey',
  'changeShopKey',
  'withdrawShopKey',
  'pauseShop',
  'beginDraft',
  'nameDraft',
  'takeOutDraft',
  'putBackDraft',
  'mergeInto',
  'makeStorefront',
  'nameStorefront',
  'shareCatalog',
  'archiveStorefront',
  'removeStorefront',
  'keepNearTexts',
  'keepTogether',
  'decline',
  'reserveGeneration',
  'putInForce',
  'putBack',
  'acceptFacts',
  'keepHistory',
  'keepLog',
  'pruneLog',
  'pruneHistory',
  'keepMapping',
  'correctFamilies',
  'bringInContent',
  'bringInLog',
  'clearLog',
  'noteLog',
  'reserveSearches',
] as const satisfies readonly (keyof Writes)[];
