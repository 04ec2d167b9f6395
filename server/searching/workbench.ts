import { instantOf, localDay } from '../../core/base/localTime.ts';
import type { ImportedContent } from '../../core/content/content.ts';
import { decidedContent, madeContent } from '../../core/content/decidedContent.ts';
import { decisionsByProduct } from '../../core/rules/decisions.ts';
import { periodOf } from '../../core/rules/periods.ts';
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
import type { NamesForChanges } from '../../core/setup/terms/part.ts';
import type { Language } from '../../core/text/languages.ts';
import type { CatalogReader } from '../catalog/catalogReader.ts';
import { contentVersion, readContent } from '../catalog/content.ts';
import { type CatalogView, type CurrentCatalog, openCurrentCatalog } from '../catalog/currentCatalog.ts';
import { namesOf } from '../catalog/namesOf.ts';
import type { DataFolder } from '../dataFolder.ts';
import { type LogStore, openLogStore } from '../demand/logStore.ts';
import { openNearTexts } from '../demand/nearTextStore.ts';
import { noSuchSetup } from '../refused.ts';
import type { Db } from '../store/database.ts';
import { openSetups, type SetupsReader } from '../store/setups.ts';
import { wordListOf } from './wordLists.ts';

/** Whether a thread looks for changes with every question, or only when it is told, so that no shopper waits for it. */
export type Follows = 'always' | 'when-told';

/** A setup bound to the catalog as it stands under it. */
export interface Ready {
  /** Generation, revision or release, facts, articles, day and what is in force by its dates: all that what follows depends on. */
  readonly version: string;
  /** Facts, and revision or release: what the view is made of. */
  readonly madeOf: string;
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
 * what it worked out until the setup, the facts or the day changes, or something begins or ends; another generation gets another workbench.
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
  /** The same as of a moment on the storefront's clock: what its dates put in force then. Without one it is now. */
  readyAt(ref: SetupRef, moment: string | undefined): Ready;
  /** Names for telling changes, those of collections as a setup decides them. */
  names(setup: Setup | null): NamesForChanges;
  /** A setup made ready from the catalog's own index and not kept. */
  passing(setup: Setup): Pick<Ready, 'view' | 'engine' | 'setup' | 'content'>;
  /** Takes over what was changed since; answers whether anything was. */
  catchUp(ref: SetupRef): boolean;
}

/** Articles and collections kept opened: what several setups decide alike is opened once. */
const contentsKept = 6;

/** Opens articles and collections as a setup decides them, each kind as long as it stays. */
function openContents(db: Db, storefront: string) {
  const known = new Map<string, ContentEngine>();
  let imported: { readonly version: number; readonly content: ImportedContent } | null = null;
  return (setup: Setup, language: Language, version: number): ContentEngine => {
    if (imported?.version !== version) imported = { version, content: readContent(db, storefront) };
    const key = `${version} ${language} ${madeContent(setup)}`;
    const opened = known.get(key) ?? openContent(decidedContent(imported.content, setup), language, last(known));
    known.delete(key);
    known.set(key, opened);
    if (known.size > contentsKept) known.delete(known.keys().next().value!);
    return opened;
  };
}
const last = (known: ReadonlyMap<string, ContentEngine>): ContentEngine | undefined => [...known.values()].at(-1);

/** Setups kept ready: what is live, and the drafts looked at last, so that going from one to another shows at once. */
const setupsKept = 16;
/** Bytes of the indexes that were patched for them; those with the same decisions share one. Beyond, fewer are kept, and always two. */
const patchBytesKept = 200_000_000;
/** Setups kept bound for another time than now. */
const otherTimesKept = 3;

/** Bytes of what was laid over the catalog's own index for these setups. */
function patchBytesOf(ready: Iterable<Ready>): number {
  const bytes = new Map(
    [...ready].map(({ view }) => [view.version, view.snapshot.bytes - view.snapshot.layers[0]!.byteLength]),
  );
  return [...bytes.values()].reduce((sum, each) => sum + each, 0);
}

export function openWorkbench(options: {
  readonly folder: DataFolder;
  readonly storefront: string;
  /** A connection of this thread's own; nothing is written through it. */
  readonly db: Db;
  readonly reader: CatalogReader;
  readonly now: () => number;
  readonly follows?: Follows;
  readonly mostPatchBytes?: number;
}): Workbench {
  const { folder, storefront, db, reader, now, follows = 'always', mostPatchBytes = patchBytesKept } = options;
  const setups = openSetups(db);
  const releases = setups.releases(storefront);
  const current = openCurrentCatalog(reader);
  const contentOf = openContents(db, storefront);
  const nearTexts = openNearTexts(db, storefront);
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
    const at = now();
    const today = localDay(setup.storefront.shop.timeZone, at);
    const state = [reader.generation, number, current.facts, inVersion, nearTexts.version()];
    const version = [...state, today, periodOf(setup, at)].join('/');
    const before = known.get(keyOf(ref));
    if (before?.version === version) return before;
    const madeOf = `${current.facts}/${number}`;
    // Another day, other articles or other near texts leave the index as it is.
    const view = before?.madeOf === madeOf ? before.view : current.view(setup);
    return {
      ...boundTo(view, setup, at, inVersion),
      version,
      madeOf,
      decisions: decisionsByProduct(setup),
      lists: new Map(),
    };
  };
  /** A setup bound to a view of the catalog, as of an instant. */
  const boundTo = (
    view: CatalogView,
    setup: Setup,
    at: number,
    inVersion: number,
  ): Pick<Ready, 'view' | 'engine' | 'setup' | 'content'> => {
    // An engine is scratch memory for one index: setups that share the index share it, as one search runs at a time.
    const engine =
      [...known.values()].find((other) => other.view.version === view.version)?.engine ??
      openEngine(view.snapshot, wordListOf(view.snapshot.language), nearTexts.near(view.snapshot.language));
    return { view, engine, ...boundFor(engine, contentOf(setup, view.snapshot.language, inVersion), setup, at) };
  };
  const keep = (key: string, ready: Ready): void => {
    known.delete(key);
    known.set(key, ready);
    for (const [oldest] of known) {
      if (known.size <= 2 || (known.size <= setupsKept && patchBytesOf(known.values()) <= mostPatchBytes)) break;
      known.delete(oldest);
    }
  };
  const ready = (ref: SetupRef): Ready => {
    const key = keyOf(ref);
    if (follows === 'always' || !known.has(key)) catchUp(ref);
    return known.get(key)!;
  };
  /** By version and moment, setups bound for another time; the one asked for last at the end. */
  const otherTimes = new Map<string, Pick<Ready, 'setup' | 'content'>>();
  const readyAt = (ref: SetupRef, moment: string | undefined): Ready => {
    const here = ready(ref);
    const { setup } = here.setup;
    const { timeZone } = setup.storefront.shop;
    const at = moment === undefined ? Number.NaN : instantOf(timeZone, moment);
    if (Number.isNaN(at)) return here;
    // Another day of the same stretch of time may differ in what is new.
    const key = [keyOf(ref), here.version, localDay(timeZone, at), periodOf(setup, at)].join('/');
    const bound = otherTimes.get(key) ?? boundFor(here.engine, here.content, setup, at);
    otherTimes.delete(key);
    otherTimes.set(key, bound);
    if (otherTimes.size > otherTimesKept) otherTimes.delete(otherTimes.keys().next().value!);
    return { ...here, ...bound };
  };
  const boundFor = (
    engine: Engine,
    content: ContentEngine,
    setup: Setup,
    at: number,
  ): Pick<Ready, 'setup' | 'content'> => {
    const bound = prepareSetup(engine, setup, at, content.members);
    return { setup: bound, content: prepareContent(content, setup, bound.when) };
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
    names: (setup) => namesOf({ db, storefront, catalog: reader, setup }),
    log: openLogStore(db, storefront),
    passing: (setup) => boundTo(current.passingView(setup), setup, now(), contentVersion(db, storefront)),
    catchUp,
    ready,
    readyAt,
  };
}
