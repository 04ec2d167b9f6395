import { named, own } from '../base/named.ts';
import { attributeProfiler } from '../catalog/profileAttributes.ts';
import type { AttributeValue, CatalogRecord } from '../catalog/record.ts';
import type { Article, Collection, Content } from '../content/content.ts';
import { type ContentKind, contentAttributes, leftOutKey } from '../content/contentKinds.ts';
import { snapshotBuilder } from '../index/buildSnapshot.ts';
import { openSnapshot } from '../index/snapshot.ts';
import { hidingKey } from '../setup/hidingKey.ts';
import type { Hiding } from '../setup/parts/hiding.ts';
import type { Setup } from '../setup/schema.ts';
import type { Language } from '../text/languages.ts';
import { type Engine, openEngine, type PreparedSetup, prepareSetup } from './prepareSetup.ts';
import { rank } from './rank.ts';

/** Articles and collections with an index of their own each: they never take a product's place, nor its words' rarity. */
export interface ContentEngine {
  readonly content: Content;
  readonly engines: Readonly<Record<ContentKind, Engine | null>>;
}

const recordOf = (id: string, values: Record<string, AttributeValue | undefined>): CatalogRecord => {
  const filled = Object.entries(values).filter(
    (entry): entry is [string, AttributeValue] => entry[1] !== undefined && entry[1] !== '' && String(entry[1]) !== '',
  );
  return { id, familyId: id, sku: '', values: named(filled) };
};

function engineOf(records: readonly CatalogRecord[], language: Language): Engine | null {
  if (records.length === 0) return null;
  const profiler = attributeProfiler();
  for (const record of records) profiler.add(record);
  const builder = snapshotBuilder(profiler.finish(), language);
  for (const record of records) builder.add(record);
  return openEngine(openSnapshot(builder.finish())!);
}

export function openContent(content: Content, language: Language = 'en'): ContentEngine {
  return {
    content,
    engines: {
      article: engineOf(
        content.articles.map(({ id, title, text, tags }) =>
          recordOf(id, { title, text, tags: tags.length > 0 ? tags : undefined }),
        ),
        language,
      ),
      collection: engineOf(
        content.collections.map(({ id, title, text }) => recordOf(id, { title, text })),
        language,
      ),
    },
  };
}

/** What a setup decides about one kind: whether search finds it, and how much each attribute counts. */
export function contentSetting(setup: Setup, kind: ContentKind): { found: boolean; weights: Record<string, number> } {
  const entry = own(setup.content, kind);
  const usual = Object.fromEntries(contentAttributes[kind].map(([key, , weight]) => [key, weight]));
  return entry?.what === 'kind'
    ? { found: entry.found, weights: { ...usual, ...entry.weights } }
    : { found: true, weights: usual };
}

export const isLeftOut = (setup: Setup, kind: ContentKind, id: string): boolean =>
  Object.hasOwn(setup.content, leftOutKey(kind, id));

/** A setup under which one kind is searched: its own weights, nothing arranged, left-out items hidden. */
function setupFor(setup: Setup, kind: ContentKind): Setup {
  const { weights } = contentSetting(setup, kind);
  const hidings = Object.values(setup.content).flatMap((entry): Hiding[] =>
    entry.what === 'leftOut' && entry.kind === kind ? [{ what: 'product', product: entry.id }] : [],
  );
  return {
    ...setup,
    attributes: Object.fromEntries(
      Object.entries(weights).map(([key, weight]) => [key, { searchable: weight > 0, weight, onCard: false }]),
    ),
    relevance: { ...setup.relevance, closeCall: { width: 0 }, tieBreakers: { signals: [] } },
    filters: {},
    plans: {},
    products: {},
    hiding: Object.fromEntries(hidings.map((hiding) => [hidingKey(hiding), hiding])),
  };
}

/** A setup bound to the content, for searching it often. */
export type PreparedContent = ContentEngine & {
  readonly prepared: Readonly<Record<ContentKind, PreparedSetup | null>>;
};

export function prepareContent(opened: ContentEngine, setup: Setup): PreparedContent {
  const prepare = (kind: ContentKind): PreparedSetup | null => {
    const engine = opened.engines[kind];
    return engine && contentSetting(setup, kind).found ? prepareSetup(engine, setupFor(setup, kind), 0) : null;
  };
  return { ...opened, prepared: { article: prepare('article'), collection: prepare('collection') } };
}

function idsFound(content: PreparedContent, kind: ContentKind, query: string, limit: number): string[] {
  const engine = content.engines[kind];
  const prepared = content.prepared[kind];
  if (!engine || !prepared || query.trim() === '') return [];
  // An article that has only some of the words is no answer to them.
  const ranking = rank(engine, prepared, { query, filters: {}, page: 1, limit, allWords: true }, limit);
  if (ranking.dropped.length > 0) return [];
  return ranking.placed.map(({ candidate }) => engine.snapshot.familyId(ranking.candidates.families[candidate]!));
}

const mostArticles = 4;
const mostCollections = 6;

/** The articles and collections that have all the words of a search, best first. */
export function findContent(
  content: PreparedContent,
  query: string,
): { articles: Article[]; collections: Collection[] } {
  const pick = <Item extends { readonly id: string }>(items: readonly Item[], ids: readonly string[]): Item[] =>
    ids.flatMap((id) => items.find((item) => item.id === id) ?? []);
  return {
    articles: pick(content.content.articles, idsFound(content, 'article', query, mostArticles)),
    collections: pick(content.content.collections, idsFound(content, 'collection', query, mostCollections)),
  };
}
