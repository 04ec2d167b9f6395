import type { Result, SearchAnswer } from '../../core/answer.ts';
import { movementDepth, withMovement } from '../../core/compare/movement.ts';
import { type Engine, openEngine, type PreparedSetup, prepareSetup } from '../../core/prepareSetup.ts';
import { rankedFamilies, type SearchRequest } from '../../core/ranking/rank.ts';
import { search } from '../../core/search.ts';
import { type CatalogReader, openCatalog } from '../catalog/catalogReader.ts';
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

export function openLocalSearch(folder: DataFolder, db: Db): LocalSearch {
  const setups = openSetupStore(db);
  const liveNumber = db.prepare<[], number>('SELECT release FROM storefront').pluck();
  let catalog: CatalogReader | null = null;
  let engine: Engine | null = null;
  const prepared: Record<'draft' | 'live', { version: number; setup: PreparedSetup } | null> = {
    draft: null,
    live: null,
  };

  const engineFor = ({ generation, shared }: SearchTask): Engine => {
    if (!engine || catalog?.generation !== generation) {
      catalog?.close();
      catalog = openCatalog(folder, generation, shared);
      engine = openEngine(catalog.snapshot);
      prepared.draft = null;
      prepared.live = null;
    }
    return engine;
  };
  const setupFor = (from: 'draft' | 'live'): PreparedSetup => {
    const version = from === 'draft' ? setups.revision() : (liveNumber.get() ?? 0);
    const known = prepared[from];
    if (known?.version === version) return known.setup;
    const setup = from === 'draft' ? setups.draft() : setups.live()!.setup;
    const fresh = prepareSetup(engine!, setup);
    prepared[from] = { version, setup: fresh };
    return fresh;
  };
  const answer = (task: SearchTask): SearchAnswer => {
    const ready = engineFor(task);
    const found = search(ready, setupFor(task.from), task.request, (ordinal) => catalog!.record(ordinal));
    if (!task.movement) return found;
    const { filters, query, typing } = task.request;
    const before = { query, filters, page: 1, limit: movementDepth, ...(typing === undefined ? {} : { typing }) };
    return withMovement(found, rankedFamilies(ready, setupFor('live'), before, movementDepth));
  };
  return {
    answer,
    why(task, product) {
      const ready = engineFor(task);
      const setup = setupFor(task.from);
      const order = rankedFamilies(ready, setup, task.request, whyDepth);
      const place = order.indexOf(product) + 1;
      const page = answer({ ...task, request: { ...task.request, page: Math.max(1, place), limit: 1, explain: true } });
      return { result: place > 0 ? (page.results[0] ?? null) : null, total: page.total };
    },
  };
}
