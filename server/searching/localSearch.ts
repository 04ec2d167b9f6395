import type { Result, SearchAnswer } from '../../core/answer.ts';
import { movementDepth, withMovement } from '../../core/compare/movement.ts';
import { type Engine, openEngine, type PreparedSetup, prepareSetup } from '../../core/prepareSetup.ts';
import { rankedFamilies, type SearchRequest } from '../../core/ranking/rank.ts';
import { search } from '../../core/search.ts';
import { openCatalog } from '../catalog/catalogReader.ts';
import { type CatalogView, openStandingCatalog, type StandingCatalog } from '../catalog/standingCatalog.ts';
import type { DataFolder } from '../dataFolder.ts';
import type { Db } from '../store/database.ts';
import { openSetupStore } from '../store/setupStore.ts';

/** One search to answer: by which setup, and what to tell besides. */
export interface SearchTask {
  readonly from: 'draft' | 'live';
  readonly request: SearchRequest;
  /** Compare places with what is published. */
  readonly movement?: boolean;
  /** The catalog generation in force, its index shared in memory where another thread has it already. */
  readonly generation: number;
  readonly shared?: SharedArrayBuffer;
}

/** Answers searches in this thread. It keeps what it opened until the catalog, the draft or the release changes. */
export interface LocalSearch {
  answer(task: SearchTask): SearchAnswer;
  /** One product of a search wherever it stands, with its arithmetic, or null where the search does not show it. */
  why(task: SearchTask, product: string): { result: Result | null; total: number };
}

/** Products looked through for one that is asked about. */
const whyDepth = 2000;

/** A setup bound to the catalog as it stands under it. */
interface Ready {
  readonly version: string;
  readonly view: CatalogView;
  readonly engine: Engine;
  readonly setup: PreparedSetup;
}

export function openLocalSearch(folder: DataFolder, db: Db): LocalSearch {
  const setups = openSetupStore(db);
  const liveNumber = db.prepare<[], number>('SELECT release FROM storefront').pluck();
  let catalog: StandingCatalog | null = null;
  const ready: Record<'draft' | 'live', Ready | null> = { draft: null, live: null };

  const catalogFor = ({ generation, shared }: SearchTask): StandingCatalog => {
    if (catalog?.reader.generation !== generation) {
      catalog?.reader.close();
      catalog = openStandingCatalog(openCatalog(folder, generation, shared));
      ready.draft = null;
      ready.live = null;
    }
    return catalog;
  };
  const readyFor = (task: SearchTask, from: 'draft' | 'live' = task.from): Ready => {
    const standing = catalogFor(task);
    const version = `${from === 'draft' ? setups.revision() : (liveNumber.get() ?? 0)}/${standing.facts}`;
    const known = ready[from];
    if (known?.version === version) return known;
    const setup = from === 'draft' ? setups.draft() : setups.live()!.setup;
    const view = standing.view(setup);
    // An engine is scratch memory for one index: setups that share the index share it, as one search runs at a time.
    const engine =
      [ready.draft, ready.live].find((other) => other?.view.version === view.version)?.engine ??
      openEngine(view.snapshot);
    const fresh: Ready = { version, view, engine, setup: prepareSetup(engine, setup) };
    ready[from] = fresh;
    return fresh;
  };
  const answer = (task: SearchTask): SearchAnswer => {
    const { engine, setup, view } = readyFor(task);
    const found = search(engine, setup, task.request, view.record);
    if (!task.movement) return found;
    const { filters, query, typing } = task.request;
    const before = { query, filters, page: 1, limit: movementDepth, ...(typing === undefined ? {} : { typing }) };
    const live = readyFor(task, 'live');
    return withMovement(found, rankedFamilies(live.engine, live.setup, before, movementDepth));
  };
  return {
    answer,
    why(task, product) {
      const { engine, setup } = readyFor(task);
      const order = rankedFamilies(engine, setup, task.request, whyDepth);
      const place = order.indexOf(product) + 1;
      const page = answer({ ...task, request: { ...task.request, page: Math.max(1, place), limit: 1, explain: true } });
      return { result: place > 0 ? (page.results[0] ?? null) : null, total: page.total };
    },
  };
}
