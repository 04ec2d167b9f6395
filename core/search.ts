import type { Card, Result, SearchAnswer } from './answer.ts';
import type { CatalogRecord } from './catalog/record.ts';
import { findContent, type PreparedContent } from './content/contentEngine.ts';
import { bindScope } from './content/scope.ts';
import { countFilter } from './facets/filters.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import type { QueryWord } from './query/understand.ts';
import { pullsOn, rank, type SearchRequest } from './ranking/rank.ts';
import { whyHere } from './ranking/whyHere.ts';
import { isHidden } from './rules/hiddenRecords.ts';
import { totalPull } from './rules/plansForSearch.ts';
import { cardOf } from './suggest/card.ts';

/** Reads a record by its number in the catalog. */
export type RecordReader = (record: number) => CatalogRecord;

/** A card for a family known by id, shown by its first visible variant in stock; null where it is gone or hidden. */
function cardOfFamily(engine: Engine, prepared: PreparedSetup, readRecord: RecordReader, id: string): Card | null {
  const family = engine.snapshot.findFamily(id);
  if (family < 0) return null;
  const [from, to] = engine.snapshot.recordsOf(family);
  const visible = Array.from({ length: to - from }, (_, index) => from + index).filter(
    (record) => !isHidden(prepared.hiddenFromEmptyShelf, record),
  );
  const shown = visible.find((record) => engine.inStock[record] === 1) ?? visible[0];
  return shown === undefined ? null : cardOf(readRecord(shown), to - from, prepared.setup);
}

function emptyShelf(
  engine: Engine,
  prepared: PreparedSetup,
  query: string,
  readRecord: RecordReader,
): SearchAnswer['emptyShelf'] {
  const { message, searches, products } = prepared.setup.emptyShelf.content;
  return {
    message: message.replaceAll('{search}', query.trim()),
    searches,
    products: products.flatMap((id) => cardOfFamily(engine, prepared, readRecord, id) ?? []),
  };
}

/** What the words were taken for where they were taken as misspelt: the likeliest correction of each. */
function correctionsOf(engine: Engine, words: readonly QueryWord[]): SearchAnswer['corrections'] {
  return words.flatMap(({ text, typed, expansions }) => {
    if (typed !== undefined) return [{ from: typed, to: text }];
    const [first] = expansions;
    if (!first || (first.how !== 'oneEdit' && first.how !== 'twoEdits')) return [];
    return [{ from: text, to: engine.snapshot.terms.get(first.term) }];
  });
}

const longestExtract = 160;

/** Collections and articles beside the products: on the first page of a search, and not inside a collection. */
function contentFound(
  content: PreparedContent | null,
  { query, page }: SearchRequest,
  isInCollection: boolean,
): Pick<SearchAnswer, 'collections' | 'articles'> {
  if (!content || page > 1 || isInCollection) return { collections: [], articles: [] };
  const { articles, collections } = findContent(content, query);
  const extract = (text: string): string =>
    text.length > longestExtract ? `${text.slice(0, longestExtract).trimEnd()}…` : text;
  return {
    collections: collections.map(({ id, title, picture }) => ({ id, title, picture: picture || null })),
    articles: articles.map(({ id, title, link, picture, text }) => ({
      id,
      title,
      link,
      picture: picture || null,
      extract: extract(text),
    })),
  };
}

/**
 * Answers one search: the single definition of what a shopper sees, used by the shop, the desk's preview and the
 * terminal alike. Pure but for the engine's scratch memory; records are read only for the page's cards.
 */
export function search(
  engine: Engine,
  prepared: PreparedSetup,
  request: SearchRequest,
  readRecord: RecordReader,
  content: PreparedContent | null = null,
): SearchAnswer {
  const { snapshot } = engine;
  const within = request.collection
    ? content?.content.collections.find(({ id }) => id === request.collection)
    : undefined;
  const scope = within ? bindScope(snapshot, within) : null;
  const ranking = rank(engine, prepared, request, request.page * request.limit, scope);
  const { candidates } = ranking;
  const first = (request.page - 1) * request.limit;
  const results = ranking.placed.slice(first).map(({ candidate, pin }, offset): Result => {
    const family = candidates.families[candidate]!;
    const [from, to] = snapshot.recordsOf(family);
    const pull = totalPull(pullsOn(engine, ranking, candidate));
    const applied = pin === null ? null : ranking.pins[pin]!.pin;
    return {
      ...cardOf(readRecord(candidates.representatives[candidate]!), to - from, prepared.setup),
      place: first + offset + 1,
      score: ranking.scores[candidate]!,
      ...(request.marks && {
        marks: {
          ...(applied && { pin: { plan: applied.plan, planName: applied.planName } }),
          ...(pull !== 1 && { pull }),
          ...(candidate === ranking.skuCandidate && { exactSku: true }),
        },
      }),
      ...(request.explain && { why: whyHere(engine, prepared, ranking, first + offset) }),
    };
  });
  return {
    query: request.query,
    total: ranking.total,
    page: request.page,
    limit: request.limit,
    results,
    filters: prepared.filters.map((filter, place) =>
      countFilter(
        filter,
        1 << place,
        ranking.records,
        ranking.failing,
        request.filters[filter.key] ?? [],
        candidates.representatives,
      ),
    ),
    sorting: prepared.setup.relevance.sorting.orders.map(({ key, label, signals }) => ({
      key,
      label,
      chosen: ranking.sorted ? key === ranking.sorted.order.key : signals.length === 0,
    })),
    understood: ranking.understood && {
      text: ranking.understood.text,
      from: ranking.understood.from,
      to: ranking.understood.to,
    },
    leadsTo: ranking.skuCandidate >= 0 ? snapshot.familyId(candidates.families[ranking.skuCandidate]!) : null,
    corrections: correctionsOf(engine, ranking.words),
    dropped: [...ranking.dropped],
    ignoredFilters: [...ranking.ignoredFilters],
    collection: within ? { id: within.id, title: within.title, text: within.text } : null,
    ...contentFound(content, request, within !== undefined),
    emptyShelf: ranking.foundAny ? null : emptyShelf(engine, prepared, request.query, readRecord),
  };
}
