import { named, own } from '../base/named.ts';
import { attributeProfiler } from '../catalog/profileAttributes.ts';
import type { AttributeValue, CatalogRecord } from '../catalog/record.ts';
import type { Collections } from '../conditions/asked.ts';
import type { Article, Collection, Content } from '../content/decidedContent.ts';
import { snapshotBuilder } from '../index/buildSnapshot.ts';
import { patchSnapshot } from '../index/patchSnapshot.ts';
import { openSnapshot } from '../index/snapshot.ts';
import { hidingKey } from '../setup/hidingKey.ts';
import type { Hiding } from '../setup/parts/hiding.ts';
import type { Setup } from '../setup/schema.ts';
import { type ContentKind, contentAttributes, leftOutKey } from '../setup/terms/contentTerms.ts';
import { holdsAt, type When } from '../setup/terms/span.ts';
import type { Language } from '../text/languages.ts';
import { type Engine, openEngine, type PreparedSetup, prepareSetup } from './prepareSetup.ts';
import { rank } from './rank.ts';

/** Articles and collections with an index of their own each: they never take a product's place, nor its words' rarity. */
export interface ContentEngine {
  readonly content: Content;
  /** The collections by id, as conditions name them. */
  readonly members: Collections;
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

/** What search reads of an item, made once: items that did not change stay the same ones. */
const recordsOf = new WeakMap<Article | Collection, CatalogRecord>();
function readAs<Item extends Article | Collection>(item: Item, make: (item: Item) => CatalogRecord): CatalogRecord {
  const known = recordsOf.get(item) ?? make(item);
  recordsOf.set(item, known);
  return known;
}
const ofArticle = ({ id, title, plain, tags }: Article): CatalogRecord =>
  recordOf(id, { title, text: plain, tags: tags.length > 0 ? [...tags] : undefined });
const ofCollection = ({ id, title, text }: Collection): CatalogRecord => recordOf(id, { title, text });
const readOf = {
  article: ({ articles }: Content): CatalogRecord[] => articles.map((each) => readAs(each, ofArticle)),
  collection: ({ collections }: Content): CatalogRecord[] => collections.map((each) => readAs(each, ofCollection)),
};

const isAlike = (a: CatalogRecord, b: CatalogRecord): boolean =>
  a.values === b.values || JSON.stringify(a.values) === JSON.stringify(b.values);

/** Changes laid over an index before it is built anew, and layers of them. */
const mostPatched = 100;
const mostLayers = 12;

/** The index of before with what changed laid over it; null where it has to be built anew. */
function patched(engine: Engine, before: readonly CatalogRecord[], after: readonly CatalogRecord[]): Engine | null {
  const { snapshot } = engine;
  if (before.length !== after.length || before.some(({ id }, at) => id !== after[at]!.id)) return null;
  const changes = after.flatMap((record, ordinal) =>
    isAlike(before[ordinal]!, record) ? [] : [{ ordinal, before: before[ordinal]!, after: record }],
  );
  if (changes.length === 0) return engine;
  const known = new Set(snapshot.attributes.map(({ key }) => key));
  const isIndexed = changes.every(({ after: { values } }) => Object.keys(values).every((key) => known.has(key)));
  if (!isIndexed || changes.length > mostPatched || snapshot.layers.length >= mostLayers) return null;
  const patch = patchSnapshot(snapshot, changes);
  return patch ? openEngine(openSnapshot(...snapshot.layers, patch)!) : engine;
}

/**
 * Indexes articles and collections; of a kind of which little changed since `before`, the change is laid over its index.
 * Cost: that of building the index of each kind of which an item came, went or changed much.
 */
export function openContent(content: Content, language: Language = 'en', before?: ContentEngine): ContentEngine {
  const engineFor = (kind: ContentKind): Engine | null => {
    const records = readOf[kind](content);
    const known = before?.engines[kind];
    return (
      (known?.snapshot.language === language && patched(known, readOf[kind](before!.content), records)) ||
      engineOf(records, language)
    );
  };
  const members = new Map(content.collections.map((collection) => [collection.id, collection]));
  return { content, members, engines: { article: engineFor('article'), collection: engineFor('collection') } };
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

/** A setup under which one kind is searched: its own weights, nothing arranged, left-out items and those of another time hidden. */
function setupFor(setup: Setup, kind: ContentKind, notNow: readonly string[]): Setup {
  const { weights } = contentSetting(setup, kind);
  const hidings = Object.values(setup.content).flatMap((entry): Hiding[] =>
    entry.what === 'leftOut' && entry.kind === kind ? [{ what: 'product', product: entry.id }] : [],
  );
  for (const product of notNow) hidings.push({ what: 'product', product });
  return {
    ...setup,
    attributes: Object.fromEntries(
      Object.entries(weights).map(([key, weight]) => [key, { searchable: weight > 0, weight, onCard: false }]),
    ),
    relevance: { ...setup.relevance, closeCall: { width: 0 }, tieBreakers: { signals: [] } },
    filters: {},
    plans: {},
    houseRules: {},
    products: {},
    hiding: Object.fromEntries(hidings.map((hiding) => [hidingKey(hiding), hiding])),
  };
}

/** A setup bound to the content, for searching it often. */
export type PreparedContent = ContentEngine & {
  readonly prepared: Readonly<Record<ContentKind, PreparedSetup | null>>;
  /** The collections that are there at that time. */
  readonly collections: readonly Collection[];
};

/** `when` is the time for which it is asked: a collection of another time is neither found nor has a page. */
export function prepareContent(opened: ContentEngine, setup: Setup, when: When): PreparedContent {
  const { collections } = opened.content;
  const notNow = collections.filter((collection) => !holdsAt(collection, when)).map(({ id }) => id);
  const prepare = (kind: ContentKind): PreparedSetup | null => {
    const engine = opened.engines[kind];
    const hidden = kind === 'collection' ? notNow : [];
    return engine && contentSetting(setup, kind).found
      ? prepareSetup(engine, setupFor(setup, kind, hidden), when.now)
      : null;
  };
  return {
    ...opened,
    prepared: { article: prepare('article'), collection: prepare('collection') },
    collections: notNow.length === 0 ? collections : collections.filter(({ id }) => !notNow.includes(id)),
  };
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

/** The articles and collections that have all the words of a search, at most so many of each, best first. */
export function findContent(
  content: PreparedContent,
  query: string,
  most: number,
): { articles: Article[]; collections: Collection[] } {
  const pick = <Item extends { readonly id: string }>(items: readonly Item[], ids: readonly string[]): Item[] =>
    ids.flatMap((id) => items.find((item) => item.id === id) ?? []);
  return {
    articles: pick(content.content.articles, idsFound(content, 'article', query, most)),
    collections: pick(content.content.collections, idsFound(content, 'collection', query, most)),
  };
}
