import type { Result, SearchAnswer } from '../../core/answer.ts';
import { type ListedRow, listedRow } from '../../core/browse/listedRow.ts';
import { type ListRequest, listProducts } from '../../core/browse/listProducts.ts';
import { type FirstPage, firstPage } from '../../core/compare/firstPage.ts';
import { movementDepth, withMovement } from '../../core/compare/movement.ts';
import {
  type ContentEngine,
  openContent,
  type PreparedContent,
  prepareContent,
} from '../../core/content/contentEngine.ts';
import { type AttributeValues, attributeValues } from '../../core/facets/attributeValues.ts';
import { type AskedSearch, type FiltersOfSearch, filtersOfSearches } from '../../core/facets/filterWorth.ts';
import { type FilterProposal, proposeFilters } from '../../core/facets/proposeFilters.ts';
import { coloursOf } from '../../core/facets/proposeGroups.ts';
import { type Engine, openEngine, type PreparedSetup, prepareSetup } from '../../core/prepareSetup.ts';
import { type Effect, effectsOf, type WeighedSearch } from '../../core/proposals/effect.ts';
import { rank, rankedFamilies, type SearchRequest } from '../../core/ranking/rank.ts';
import { decisionsByProduct } from '../../core/rules/decisions.ts';
import { isHidden } from '../../core/rules/hiddenRecords.ts';
import { collectionOf, search } from '../../core/search.ts';
import type { Decision } from '../../core/setup/schema.ts';
import type { EntryEdit } from '../../core/setup/withEntry.ts';
import type { Language } from '../../core/text/languages.ts';
import { openCatalog } from '../catalog/catalogReader.ts';
import { contentVersion, readContent } from '../catalog/content.ts';
import { type CatalogView, openStandingCatalog, type StandingCatalog } from '../catalog/standingCatalog.ts';
import type { DataFolder } from '../dataFolder.ts';
import { basicColours } from '../namedColours.ts';
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
  rows(task: RowsTask): Rows;
  /** Ids of all the products a list shows, in its order. */
  productIds(task: Pick<RowsTask, 'generation' | 'shared' | 'request'>): string[];
  /** What sets of edits to the draft would change for searches. */
  effects(
    task: Pick<SearchTask, 'generation' | 'shared'>,
    changes: readonly (readonly EntryEdit[])[],
    searches: readonly WeighedSearch[],
  ): Effect[];
  /** The first pages of searches, as far as they are compared. */
  firstPages(task: Pick<SearchTask, 'generation' | 'shared' | 'from'>, searches: readonly string[]): FirstPage[];
  /** Which filters stand beside searches under the draft, and what each leaves. */
  filtersOf(task: CatalogTask, searches: readonly AskedSearch[]): FiltersOfSearch[];
  /** The filters the catalog is good for and the draft does not have, tried on searches; best first. */
  filterProposals(task: CatalogTask, searches: readonly AskedSearch[]): FilterProposal[];
  /** What an attribute holds in the whole catalog and in one search under the draft. */
  valuesOf(task: CatalogTask, attribute: string, query: string): AttributeValues;
  /** Where a product stands for searches under the draft, from 1; null where it is not among the first. */
  places(task: Pick<SearchTask, 'generation' | 'shared'>, product: string, searches: readonly string[]): Place[];
}
type CatalogTask = Pick<SearchTask, 'generation' | 'shared'>;
export interface Place {
  readonly query: string;
  readonly place: number | null;
  /** Products found. */
  readonly of: number;
}

/** A stretch of the catalog's table under the draft. */
export interface RowsTask extends Pick<SearchTask, 'generation' | 'shared'> {
  readonly request: ListRequest;
  readonly columns: readonly string[];
  readonly offset: number;
  readonly count: number;
}
export interface Rows {
  /** Rows and products in all. */
  readonly total: number;
  readonly products: number;
  readonly rows: (ListedRow & { readonly isHidden: boolean })[];
}

/** Lists kept in order, so that scrolling does not sort anew. */
const listsKept = 6;

/** Products looked through for one that is asked about. */
const whyDepth = 2000;
/** Places of a search looked through on a product's page. */
const placesDepth = 500;

/** A setup bound to the catalog as it stands under it. */
interface Ready {
  readonly version: string;
  readonly view: CatalogView;
  readonly engine: Engine;
  readonly setup: PreparedSetup;
  readonly decisions: ReadonlyMap<string, readonly Decision[]>;
  readonly lists: Map<string, Uint32Array>;
  readonly content: PreparedContent;
}

/** Milliseconds in a day: newness is told by days. */
const day = 86_400_000;

export function openLocalSearch(folder: DataFolder, db: Db, now: () => number): LocalSearch {
  const setups = openSetupStore(db);
  const liveNumber = db.prepare<[], number>('SELECT release FROM storefront').pluck();
  let catalog: StandingCatalog | null = null;
  let opened: { readonly version: number; readonly language: Language; readonly engine: ContentEngine } | null = null;
  const ready: Record<'draft' | 'live', Ready | null> = { draft: null, live: null };

  const catalogFor = ({ generation, shared }: Pick<SearchTask, 'generation' | 'shared'>): StandingCatalog => {
    if (catalog?.reader.generation !== generation) {
      catalog?.reader.close();
      catalog = openStandingCatalog(openCatalog(folder, generation, shared));
      ready.draft = null;
      ready.live = null;
    }
    return catalog;
  };
  const readyFor = (task: Pick<SearchTask, 'generation' | 'shared'>, from: 'draft' | 'live'): Ready => {
    const standing = catalogFor(task);
    const inVersion = contentVersion(db);
    const today = Math.floor(now() / day);
    const number = from === 'draft' ? setups.revision() : (liveNumber.get() ?? 0);
    const version = `${number}/${standing.facts}/${inVersion}/${today}`;
    const known = ready[from];
    if (known?.version === version) return known;
    const setup = from === 'draft' ? setups.draft() : setups.live()!.setup;
    const view = standing.view(setup);
    // An engine is scratch memory for one index: setups that share the index share it, as one search runs at a time.
    const engine =
      [ready.draft, ready.live].find((other) => other?.view.version === view.version)?.engine ??
      openEngine(view.snapshot);
    const { language } = view.snapshot;
    if (opened?.version !== inVersion || opened.language !== language)
      opened = { version: inVersion, language, engine: openContent(readContent(db), language) };
    const decisions = decisionsByProduct(setup);
    const fresh: Ready = {
      version,
      view,
      engine,
      setup: prepareSetup(engine, setup, today),
      decisions,
      lists: new Map(),
      content: prepareContent(opened.engine, setup),
    };
    ready[from] = fresh;
    return fresh;
  };
  const answer = (task: SearchTask): SearchAnswer => {
    const { engine, setup, view, content } = readyFor(task, task.from);
    const found = search(engine, setup, task.request, view.record, content);
    // Inside a collection every product stands among others than in a search: places there are not compared.
    if (!task.movement || task.request.collection) return found;
    const before = { ...task.request, page: 1, limit: movementDepth };
    const live = readyFor(task, 'live');
    return withMovement(found, rankedFamilies(live.engine, live.setup, before, movementDepth));
  };
  const listFor = (ready: Ready, request: ListRequest): Uint32Array => {
    const key = JSON.stringify(request);
    let list = ready.lists.get(key);
    if (!list) {
      const { snapshot } = ready.view;
      const decided = new Set([...ready.decisions.keys()].map((product) => snapshot.findFamily(product)));
      list = listProducts(ready.engine, ready.setup, request, decided);
      if (ready.lists.size >= listsKept) ready.lists.clear();
      ready.lists.set(key, list);
    }
    return list;
  };
  const familiesIn = ({ view }: Ready, request: ListRequest, list: Uint32Array): Set<number> =>
    new Set(request.kind === 'products' ? list : list.map((record) => view.snapshot.recordFamily[record]!));
  return {
    answer,
    rows({ request, columns, offset, count, ...task }) {
      const ready = readyFor(task, 'draft');
      const { view, setup, decisions } = ready;
      const { snapshot } = view;
      const list = listFor(ready, request);
      const rows = Array.from(list.subarray(offset, offset + count), (item) => {
        const [from, to] = request.kind === 'products' ? snapshot.recordsOf(item) : [item, item + 1];
        const ordinals = Array.from({ length: to - from }, (_, at) => from + at);
        const facts = ordinals.map((ordinal) => catalog!.reader.record(ordinal));
        const records = ordinals.map(view.record);
        const variant = request.kind === 'variants' ? records[0]!.id : null;
        const about = decisions.get(records[0]!.familyId) ?? [];
        return {
          ...listedRow(records, facts, variant, columns, about, setup.setup),
          isHidden: ordinals.every((ordinal) => isHidden(setup.hidden, ordinal)),
        };
      });
      return { total: list.length, products: familiesIn(ready, request, list).size, rows };
    },
    productIds({ request, ...task }) {
      const ready = readyFor(task, 'draft');
      return [...familiesIn(ready, request, listFor(ready, request))].map((family) =>
        ready.view.snapshot.familyId(family),
      );
    },
    effects(task, changes, searches) {
      const { engine, setup } = readyFor(task, 'draft');
      return effectsOf(engine, setup.setup, setup.today, changes, searches);
    },
    firstPages(task, searches) {
      const { engine, setup } = readyFor(task, task.from);
      return searches.map((query) => firstPage(engine, setup, query));
    },
    filtersOf(task, searches) {
      const { engine, setup } = readyFor(task, 'draft');
      return filtersOfSearches(engine, setup, searches);
    },
    filterProposals(task, searches) {
      const { engine, setup } = readyFor(task, 'draft');
      return proposeFilters(engine, setup, searches, (texts) => coloursOf(texts, basicColours()));
    },
    valuesOf(task, attribute, query) {
      const { engine, setup } = readyFor(task, 'draft');
      return attributeValues(engine, setup, attribute, query);
    },
    places(task, product, searches) {
      const { engine, setup } = readyFor(task, 'draft');
      return searches.map((query) => {
        const ranking = rank(engine, setup, { query, filters: {}, page: 1, limit: 1 }, placesDepth);
        const families = ranking.placed.map(({ candidate }) => ranking.candidates.families[candidate]!);
        const place = families.indexOf(engine.snapshot.findFamily(product)) + 1;
        return { query, place: place > 0 ? place : null, of: ranking.total };
      });
    },
    why(task, product) {
      const { engine, setup, content } = readyFor(task, task.from);
      const { scope } = collectionOf(engine, task.request, content);
      const order = rankedFamilies(engine, setup, task.request, whyDepth, scope);
      const place = order.indexOf(product) + 1;
      const page = answer({ ...task, request: { ...task.request, page: Math.max(1, place), limit: 1, explain: true } });
      return { result: place > 0 ? (page.results[0] ?? null) : null, total: page.total };
    },
  };
}
