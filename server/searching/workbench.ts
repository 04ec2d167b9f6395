import { decisionsByProduct } from '../../core/rules/decisions.ts';
import {
  type ContentEngine,
  openContent,
  type PreparedContent,
  prepareContent,
} from '../../core/search/contentEngine.ts';
import { type Engine, openEngine, type PreparedSetup, prepareSetup } from '../../core/search/prepareSetup.ts';
import type { Decision } from '../../core/setup/parts/products.ts';
import type { Language } from '../../core/text/languages.ts';
import type { CatalogReader } from '../catalog/catalogReader.ts';
import { contentVersion, readContent } from '../catalog/content.ts';
import { type CatalogView, type CurrentCatalog, openCurrentCatalog } from '../catalog/currentCatalog.ts';
import type { DataFolder } from '../dataFolder.ts';
import { type LogStore, openLogStore } from '../demand/logStore.ts';
import type { Db } from '../store/database.ts';
import { type DraftReader, openDraftReader } from '../store/draftReader.ts';
import { wordListOf } from './wordLists.ts';

export type Side = 'draft' | 'live';

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
 * What one thread answers from: one generation of the catalog, the draft and the release that is live. It keeps what it
 * worked out until the setup, the facts or the day changes; another generation gets another workbench.
 */
export interface Workbench {
  readonly folder: DataFolder;
  readonly current: CurrentCatalog;
  readonly setups: DraftReader;
  readonly log: LogStore;
  ready(side: Side): Ready;
  /** Takes over what was changed since; answers whether anything was. */
  catchUp(side: Side): boolean;
}

/** Milliseconds in a day: newness is told by days. */
const day = 86_400_000;

export function openWorkbench(options: {
  readonly folder: DataFolder;
  /** A connection of this thread's own; nothing is written through it. */
  readonly db: Db;
  readonly reader: CatalogReader;
  readonly now: () => number;
  readonly follows?: Follows;
}): Workbench {
  const { folder, db, reader, now, follows = 'always' } = options;
  const setups = openDraftReader(db);
  const current = openCurrentCatalog(reader);
  let opened: { readonly version: number; readonly language: Language; readonly engine: ContentEngine } | null = null;
  const known: Record<Side, Ready | null> = { draft: null, live: null };
  const upToDate = (side: Side): Ready => {
    const inVersion = contentVersion(db);
    const today = Math.floor(now() / day);
    const number = side === 'draft' ? setups.revision() : (setups.liveNumber() ?? 0);
    const version = [reader.generation, number, current.facts, inVersion, today].join('/');
    const before = known[side];
    if (before?.version === version) return before;
    const setup = side === 'draft' ? setups.draft() : setups.live()!.setup;
    const view = current.view(setup);
    // An engine is scratch memory for one index: setups that share the index share it, as one search runs at a time.
    const engine =
      [known.draft, known.live].find((other) => other?.view.version === view.version)?.engine ??
      openEngine(view.snapshot, wordListOf(view.snapshot.language));
    const { language } = view.snapshot;
    if (opened?.version !== inVersion || opened.language !== language)
      opened = { version: inVersion, language, engine: openContent(readContent(db), language) };
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
  const catchUp = (side: Side): boolean => {
    const before = known[side];
    const after = upToDate(side);
    known[side] = after;
    return after !== before;
  };
  return {
    folder,
    current,
    setups,
    log: openLogStore(db),
    catchUp,
    ready(side) {
      if (follows === 'always' || !known[side]) catchUp(side);
      return known[side]!;
    },
  };
}
