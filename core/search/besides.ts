import type { SearchAnswer } from '../answer/answer.ts';
import { ownedPicture } from '../catalog/picture.ts';
import { type BesideKind, besideKinds, mostOfKind, searchMark } from '../setup/terms/besidesTerms.ts';
import { findContent, type PreparedContent } from './contentEngine.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import type { CardMaker } from './productCard.ts';
import { rank } from './rank.ts';
import { bindScope } from './scope.ts';
import type { SearchRequest } from './searchRequest.ts';

/** Longest text of an article shown with results. */
const longestExtract = 160;
const extract = (text: string): string =>
  text.length > longestExtract ? `${text.slice(0, longestExtract).trimEnd()}…` : text;

/** The articles and collections that have all the words of a search, at most so many of each, as answers tell them. */
export function contentFound(
  content: PreparedContent,
  query: string,
  most: number,
): Pick<SearchAnswer, 'collections' | 'articles'> {
  const { articles, collections } = findContent(content, query, most);
  return {
    collections: collections.map(({ id, title, picture }) => ({
      ...{ id, title },
      picture: ownedPicture(`collection:${id}`, picture),
    })),
    articles: articles.map(({ id, title, link, picture, plain }) => ({
      ...{ id, title, link },
      picture: ownedPicture(`article:${id}`, picture),
      extract: extract(plain),
    })),
  };
}

/**
 * The articles and collections found for a search, as many as stand beside its results: with the first of its pages, or all
 * of a kind where that is asked for. Where a kind has a tab of its own, only how many there are is told with the products.
 */
export function contentBeside(
  { setup }: Pick<PreparedSetup, 'setup'>,
  content: PreparedContent | null,
  { query, page, show }: Pick<SearchRequest, 'query' | 'page' | 'show'>,
  isInCollection: boolean,
): Pick<SearchAnswer, 'collections' | 'articles' | 'besides'> {
  const { after, ...kinds } = setup.resultsPage.besides;
  const isAsked = page === 1 || show !== undefined || besideKinds.some((kind) => kinds[kind].where === 'tab');
  const found =
    content && !isInCollection && isAsked
      ? contentFound(content, query, mostOfKind)
      : { articles: [], collections: [] };
  const shown = (kind: BesideKind): number => {
    const { where, most } = kinds[kind];
    if (show === kind) return mostOfKind;
    return where === 'tab' || where === 'none' || page > 1 ? 0 : most;
  };
  const placed = (kind: BesideKind) => {
    const { where } = kinds[kind];
    return { where, total: where === 'none' ? 0 : found[kind].length };
  };
  return {
    collections: found.collections.slice(0, shown('collections')),
    articles: found.articles.slice(0, shown('articles')),
    besides: { after, show: show ?? null, collections: placed('collections'), articles: placed('articles') },
  };
}

/** What a block finds: families' variants that show, and how many products there are. */
export interface FoundBlock {
  readonly collection: { readonly id: string; readonly title: string };
  readonly heading: string;
  readonly where: 'above' | 'below';
  readonly records: readonly number[];
  readonly total: number;
}

/**
 * The blocks of a search that look within a collection: what has all of its words there. None without words, on further
 * pages, in a collection or where filters are chosen. Overwrites what the engine found last. Cost: a search each.
 */
export function blocksFor(
  engine: Engine,
  prepared: PreparedSetup,
  request: SearchRequest,
  content: PreparedContent | null,
): FoundBlock[] {
  const { query, page, collection, filters, typing, box, device, show } = request;
  if (!content || query.trim() === '' || page > 1 || collection || box || show || Object.keys(filters).length > 0)
    return [];
  return prepared.setup.resultsPage.besides.blocks.flatMap(({ collection: id, heading, most, where }): FoundBlock[] => {
    const within = content.collections.find((each) => each.id === id);
    if (!within) return [];
    const asked = {
      query,
      filters: {},
      page: 1,
      limit: most,
      allWords: true,
      exactly: true,
      typing,
      device,
      collection: id,
    };
    const scope = bindScope(engine.snapshot, within, prepared.today);
    const { placed, candidates, total, dropped } = rank(engine, prepared, asked, most, scope);
    if (total === 0 || dropped.length > 0) return [];
    return [
      {
        collection: { id, title: within.title },
        heading: heading.replaceAll(searchMark, query.trim()),
        ...{ where, total },
        records: placed.map(({ candidate }) => candidates.representatives[candidate]!),
      },
    ];
  });
}

/** Blocks as answers tell them. Cost: a card each. */
export const toldBlocks = (blocks: readonly FoundBlock[], cardOf: CardMaker): SearchAnswer['blocks'] =>
  blocks.map(({ records, ...block }) => ({ ...block, cards: records.map(cardOf) }));
