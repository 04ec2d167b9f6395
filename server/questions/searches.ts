import type { Result, SearchAnswer } from '../../core/answer/answer.ts';
import { named } from '../../core/base/named.ts';
import { type CatalogRecord, firstText, heldBy } from '../../core/catalog/record.ts';
import { kindsOf } from '../../core/companions/kinds.ts';
import { type FirstPage, firstPage } from '../../core/compare/firstPage.ts';
import { movementDepth, withMovement } from '../../core/compare/movement.ts';
import { decisionKey } from '../../core/rules/decisions.ts';
import { climb, rankedFamilies } from '../../core/search/climb.ts';
import { explainWords } from '../../core/search/explainWords.ts';
import { laidOut } from '../../core/search/laidOut.ts';
import { rank } from '../../core/search/rank.ts';
import { collectionOf, search } from '../../core/search/search.ts';
import type { SearchRequest } from '../../core/search/searchRequest.ts';
import type { Decision } from '../../core/setup/parts/products.ts';
import type { Setup } from '../../core/setup/schema.ts';
import { type DraftRef, liveOf, type SetupRef } from '../../core/setup/setupRef.ts';
import type { CatalogView } from '../catalog/currentCatalog.ts';
import type { Workbench } from '../searching/workbench.ts';
import { openStorefrontReader } from '../store/storefronts.ts';
import { rulesAbout } from './rulesAbout.ts';

/** One search to answer, and what to tell besides. */
export interface SearchTask {
  readonly request: SearchRequest;
  /** Compare places with what is published. */
  readonly movement?: boolean;
  /** The moment it is asked as of, on the storefront's clock; absent: now. */
  readonly at?: string | undefined;
}

export interface Place {
  readonly query: string;
  readonly place: number | null;
  /** Products found. */
  readonly of: number;
}

export interface AnsweredPages {
  readonly generation: number;
  readonly pages: readonly FirstPage[];
}

/** Products looked through for one that is asked about. */
const whyDepth = 2000;
/** Places of a search looked through on a product's page. */
const placesDepth = 500;

const shownFirst = (query: string): SearchRequest => ({ query, filters: {}, page: 1, limit: 24 });

/** Decisions that give some products, spread over the catalog, the title of the one before and a word that no other has. */
function titlesPassedOn({ snapshot, record }: CatalogView, products: number, from: number): Setup['products'] {
  const step = Math.max(1, Math.floor(snapshot.families / products));
  const firstOf = (family: number): CatalogRecord => record(snapshot.recordsOf(family)[0]);
  const decisions: [string, Decision][] = [];
  for (let family = 1 + (from % step); family < snapshot.families && decisions.length < products; family += step) {
    const value = firstText(heldBy(firstOf(family - 1), 'title'));
    const about = { product: snapshot.familyId(family), variant: null, attribute: 'title' };
    if (value) decisions.push([decisionKey(about), { ...about, act: 'set', value: `${value} qzx${from}w${family}` }]);
  }
  return named(decisions);
}

/** Searches, and where products stand in them. */
export function searchQuestions(bench: Workbench) {
  const { ready, readyAt, catchUp, current, log } = bench;
  const answer = (ref: SetupRef, task: SearchTask): SearchAnswer => {
    const { engine, setup, view, content } = readyAt(ref, task.at);
    const found = search(engine, setup, laidOut(task.request, setup.setup.resultsPage.layout), view.record, content);
    // Inside a collection every product stands among others than in a search: places there are not compared.
    if (!task.movement || task.request.collection) return found;
    const before = { ...task.request, page: 1, limit: movementDepth };
    const live = ready(liveOf(ref.storefront));
    return withMovement(found, rankedFamilies(live.engine, live.setup, before, movementDepth));
  };
  const answerAll = (ref: SetupRef, searches: readonly string[]): void => {
    for (const query of searches) answer(ref, { request: shownFirst(query) });
  };
  return {
    answer,
    /** Takes over what was changed of a setup and, where anything was, makes it ready by some searches. */
    follow(ref: SetupRef, searches: readonly string[]): void {
      if (catchUp(ref)) answerAll(ref, searches);
    },
    /** Answers the searches made most and some others, so that the next ones find code, catalog and setup ready here. */
    warm(ref: SetupRef, most: number, others: readonly string[], over: number): void {
      const searches = [...others, ...(most > 0 ? log.top(most).map(({ search }) => search) : [])];
      for (let time = 0; time < over; time++) answerAll(ref, searches);
      // The first who looks at a product does not wait for what it is alike to be sorted.
      kindsOf(ready(ref).engine.snapshot);
    },
    /**
     * Makes a setup in which `products` products have other titles ready, searches in it and forgets it, `over` times: the
     * first draft with changed words that somebody looks at then finds the code compiled.
     */
    rehearse(ref: SetupRef, products: number, searches: readonly string[], over: number): void {
      const { setup, view } = ready(ref);
      for (let time = 0; time < over; time++) {
        const passing = bench.passing({ ...setup.setup, products: titlesPassedOn(view, products, time) });
        for (const query of searches)
          search(passing.engine, passing.setup, shownFirst(query), passing.view.record, passing.content);
      }
    },
    /** The storefront's drafts that somebody changed last, the latest first: what somebody is likely to come back to. */
    draftsTouched({ storefront }: SetupRef, most: number): DraftRef[] {
      const drafts = openStorefrontReader(bench.db).drafts(storefront);
      const open = drafts.filter(({ removedAt }) => removedAt === null).sort((a, b) => b.touchedAt - a.touchedAt);
      return open.slice(0, most).map(({ id }) => ({ storefront, draft: id }));
    },
    /** One product of a search wherever it stands, with its arithmetic, or null where the search does not show it. */
    why(ref: SetupRef, task: SearchTask, product: string): { result: Result | null; total: number } {
      const { engine, setup, content } = readyAt(ref, task.at);
      const { scope } = collectionOf(engine, setup, task.request, content);
      const order = rankedFamilies(engine, setup, task.request, whyDepth, scope);
      const place = order.indexOf(product) + 1;
      const page = answer(ref, {
        ...task,
        request: { ...task.request, page: Math.max(1, place), limit: 1, asLaidOut: false, explain: true },
      });
      return { result: place > 0 ? (page.results[0] ?? null) : null, total: page.total };
    },
    /** How a search was read word by word, and what hides the products that it would find. */
    words(ref: SetupRef, query: string, asWords: readonly string[]) {
      const { engine, setup, view } = ready(ref);
      const request = { query, filters: {}, asWords, page: 1, limit: 1 };
      const climbed = climb(engine, setup, request, 1);
      // How the search was read, also where another one was looked for in the end.
      const ranking = climbed.near ? rank(engine, setup, request, 1) : climbed.ranking;
      const { words, hidden } = explainWords(engine, setup, query, ranking);
      const hiding = new Set(
        ranking.effects.flatMap(({ what, source }) =>
          (what === 'hide' || what === 'only') && source.kind === 'plan' ? [source.id] : [],
        ),
      );
      return {
        words,
        hidden: hidden.map((product) => {
          const [first, end] = engine.snapshot.recordsOf(engine.snapshot.findFamily(product));
          const records = Array.from({ length: end - first }, (_, at) => view.record(first + at));
          const rules = rulesAbout(engine.snapshot, setup, { product, records, first })
            .filter(({ kind, isInForce }) => isInForce && (kind === 'hidden' || kind === 'file'))
            // Other searches’ plans hide it there, not here.
            .filter(({ plan }) => plan === null || hiding.has(plan))
            .map(({ text }) => text);
          if (rules.length === 0) rules.push('It is sold out, and what is sold out does not show.');
          return { product, title: firstText(records[0]!.values.title), rules };
        }),
      };
    },
    /** The first pages of searches, as far as they are compared, and which catalog they are of. */
    firstPages(ref: SetupRef, searches: readonly string[]): AnsweredPages {
      const { engine, setup } = ready(ref);
      return {
        generation: current.reader.generation,
        pages: searches.map((query) => firstPage(engine, setup, query)),
      };
    },
    /** Where a product stands for searches, from 1; null where it is not among the first. */
    places(ref: SetupRef, product: string, searches: readonly string[]): Place[] {
      const { engine, setup } = ready(ref);
      return searches.map((query) => {
        const { ranking } = climb(engine, setup, { query, filters: {}, page: 1, limit: 1 }, placesDepth);
        const families = ranking.placed.map(({ candidate }) => ranking.candidates.families[candidate]!);
        const place = families.indexOf(engine.snapshot.findFamily(product)) + 1;
        return { query, place: place > 0 ? place : null, of: ranking.total };
      });
    },
  };
}
