import { localDay } from '../../core/base/localDay.ts';
import { decisionsByProduct } from '../../core/rules/decisions.ts';
import {
  type ContentEngine,
  openContent,
  type PreparedContent,
  prepareContent,
} from '../../core/search/contentEngine.ts';
import { type Engine, openEngine, type PreparedSetup, prepareSetup } from '../../core/search/prepareSetup.ts';
import type { Decision } from '../../core/setup/parts/products.ts';
import type { Setup } from '../../core/setup/schema.ts';
import { keyOf, type SetupRef } from '../../core/setup/setupRef.ts';
import type { Language } from '../../core/text/languages.ts';
import type { CatalogReader } from '../catalog/catalogReader.ts';
import { contentVersion, readContent } from '../catalog/content.ts';
import { type CatalogView, type CurrentCatalog, openCurrentCatalog } from '../catalog/currentCatalog.ts';
import type { DataFolder } from '../dataFolder.ts';
import { type LogStore, openLogStore } from '../demand/logStore.ts';
import { noSuchSetup } from '../refused.ts';
import type { Db } from '../store/database.ts';
import { openSetups, type SetupsReader } from '../store/setups.ts';
import { wordListOf } from './wordLists.ts';

/** Whether a thread looks for changes with every question, or only when it is told, so that no shopper waits for it. */
export type Follows = 'always' | 'when-told';

/** A setup bound to the catalog as it stands under it. */
export interface Ready {
  /** Generation, revision or release, facts, articles and day: all that what follows depends on. */
  readonly version: string;
  readonly view: CatalogView;
  readonly engine: Engine;
  readonly setup: PreparedSetup;
  readonly decisions: ReadonlyMap<string, readonly Decision[]>;
  /** Lists kept in order, so that scrolling does not sort anew. */
  readonly lists: Map<string, Uint32Array>;
  readonly content: PreparedContent;
}

/**
 * What one thread answers from: one generation of one storefront's catalog, under any of the storefront's setups. It keeps
 * what it worked out until the setup, the facts or the day changes; another generation gets another workbench.
 */
export interface Workbench {
  readonly folder: DataFolder;
  readonly storefront: string;
  readonly current: CurrentCatalog;
  /** The thread's own connection; nothing is written through it. */
  readonly db: Db;
  readonly setups: SetupsReader;
  readonly log: LogStore;
  /** A setup bound to the catalog; refused where there is none of that name. */
  ready(ref: SetupRef): Ready;
  /** Takes over what was changed since; answers whether anything was. */
  catchUp(ref: SetupRef): boolean;
}

/** Setups kept ready: what is live, and the drafts looked at last. Those with the same decisions share one patched index. */
const setupsKept = 6;

export function openWorkbench(options: {
  readonly folder: DataFolder;
  readonly storefront: string;
  /** A connection of this thread's own; nothing is written through it. */
  readonly db: Db;
  readonly reader: CatalogReader;
  readonly now: () => number;
  readonly follows?: Follows;
}): Workbench {
  const { folder, storefront, db, reader, now, follows = 'always' } = options;
  const setups = openSetups(db);
  const releases = setups.releases(storefront);
  const current = openCurrentCatalog(reader);
  let opened: { readonly version: number; readonly language: Language; readonly engine: ContentEngine } | null = null;
  /** By the setup's key, the one asked for last at the end. */
  const known = new Map<string, Ready>();
  /** A setup as it stands, and what says whether it has changed. */
  const standing = (ref: SetupRef): { readonly number: string; readonly setup: Setup } => {
    if ('draft' in ref) {
      const draft = setups.draft(ref);
      const revision = draft.revision();
      if (revision === 0) throw noSuchSetup(ref);
      return { number: `${ref.draft}@${revision}`, setup: draft.draft() };
    }
    const number = ref.release === 'live' ? releases.liveNumber() : ref.release;
    const release = number === null ? null : releases.release(number);
    if (!release) throw noSuchSetup(ref);
    return { number: String(number), setup: release.setup };
  };
  const upToDate = (ref: SetupRef): Ready => {
    if (ref.storefront !== storefront) throw new Error(`A workbench of ${storefront} was asked about ${keyOf(ref)}.`);
    const inVersion = contentVersion(db, storefront);
    const { number, setup } = standing(ref);
    const today = localDay(setup.storefront.shop.timeZone, now());
    const version = [reader.generation, number, current.facts, inVersion, today].join('/');
    const before = known.get(keyOf(ref));
    if (before?.version === version) return before;
    const view = current.view(setup);
    // An engine is scratch memory for one index: setups that share the index share it, as one search runs at a time.
    const engine =
      [...known.values()].find((other) => other.view.version === view.version)?.engine ??
      openEngine(view.snapshot, wordListOf(view.snapshot.language));
    const { language } = view.snapshot;
    if (opened?.version !== inVersion || opened.language !== language)
      opened = { version: inVersion, language, engine: openContent(readContent(db, storefront), language) };
    return {
      version,
      view,
      engine,
      setup: prepareSetup(engine, setup, today),
      decisions: decisionsByProduct(setup),
      lists: new Map(),
      content: prepareContent(opened.engine, setup),
    };
  };
  const keep = (key: string, ready: Ready): void => {
    known.delete(key);
    known.set(key, ready);
    if (known.size > setupsKept) known.delete(known.keys().next().value!);
  };
  const catchUp = (ref: SetupRef): boolean => {
    const key = keyOf(ref);
    const before = known.get(key);
    const after = upToDate(ref);
    keep(key, after);
    return after !== before;
  };
  return {
    folder,
    current,
    db,
    setups,
    storefront,
    log: openLogStore(db, storefront),
    catchUp,
    ready(ref) {
      const key = keyOf(ref);
      if (follows === 'always' || !known.has(key)) catchUp(ref);
      return known.get(key)!;
    },
  };
}
