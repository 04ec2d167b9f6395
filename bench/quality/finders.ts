import Database from 'better-sqlite3';
import { Document } from 'flexsearch';
import MiniSearch from 'minisearch';
import { type AttributeProfile, attributeProfiler, isIndexedAsText } from '../../core/catalog/profileAttributes.ts';
import { type CatalogRecord, textsOf } from '../../core/catalog/record.ts';
import { snapshotBuilder } from '../../core/index/buildSnapshot.ts';
import { openSnapshot, type Snapshot } from '../../core/index/snapshot.ts';
import { shownFamilies } from '../../core/search/closeMatches.ts';
import { openEngine, prepareSetup } from '../../core/search/prepareSetup.ts';
import { initialSetup } from '../../core/setup/initialSetup.ts';
import type { Language } from '../../core/text/languages.ts';
import { tokenize } from '../../core/text/tokenize.ts';
import { wordListOf } from '../../server/searching/wordLists.ts';

/** Places looked at for the reciprocal rank, and products of a page, which is filled up. */
const depth = 50;
const aPage = 24;

/** One program asked for the best families of a search, in order. */
export interface Finder {
  readonly name: string;
  readonly settings: string;
  find(query: string, typing: boolean): readonly string[];
}

/** Records of one catalog with what every finder is given: the texts that are searched, and how much each counts. */
export interface Shelf {
  readonly records: readonly CatalogRecord[];
  readonly profiles: readonly AttributeProfile[];
  readonly language: Language;
  readonly keys: readonly string[];
  readonly weights: Readonly<Record<string, number>>;
}

export function shelfOf({ records, language }: Pick<Shelf, 'records' | 'language'>): Shelf {
  const profiler = attributeProfiler();
  for (const record of records) profiler.add(record);
  const profiles = profiler.finish();
  const { attributes } = initialSetup(profiles);
  const keys = profiles
    .filter((profile) => isIndexedAsText(profile) && attributes[profile.key]?.searchable)
    .map(({ key }) => key);
  return {
    records,
    profiles,
    language,
    keys,
    weights: Object.fromEntries(keys.map((key) => [key, attributes[key]!.weight])),
  };
}

const textOf = (record: CatalogRecord, key: string): string =>
  key === 'sku' ? record.sku : textsOf(record.values[key]).join(' ');

/** Families in order of their best record, each once. */
function familiesOf(records: readonly CatalogRecord[], hits: Iterable<number>): string[] {
  const families = new Set<string>();
  for (const hit of hits) {
    families.add(records[hit]!.familyId);
    if (families.size >= depth) break;
  }
  return [...families];
}

export function snapshotOf({
  records,
  profiles,
  language,
}: Pick<Shelf, 'records' | 'profiles' | 'language'>): Snapshot {
  const builder = snapshotBuilder(profiles, language);
  for (const record of records) builder.add(record);
  return openSnapshot(builder.finish())!;
}

/** Our engine as a catalog begins; `tolerance` off for seeing whether forgiving slips ever does harm. */
export function cleverShelf({ records, profiles, language }: Shelf, tolerance = true): Finder {
  const engine = openEngine(snapshotOf({ records, profiles, language }), wordListOf(language));
  const first = initialSetup(profiles);
  const prepared = prepareSetup(engine, { ...first, relevance: { ...first.relevance, spelling: { tolerance } } }, 0);
  return {
    name: 'Clever Shelf',
    settings: 'as a catalog begins: nothing set by hand',
    find: (query, typing) =>
      shownFamilies(engine, prepared, { query, filters: {}, page: 1, limit: aPage, typing }, depth),
  };
}

export function miniSearch({ records, keys, weights }: Shelf): Finder[] {
  const index = new MiniSearch<CatalogRecord & { at: number }>({
    idField: 'at',
    fields: [...keys],
    tokenize,
    extractField: (record, key) => (key === 'at' ? (record.at as never) : textOf(record, key)),
  });
  index.addAll(records.map((record, at) => ({ ...record, at })));
  const familiesFor = (query: string, options: object): string[] =>
    familiesOf(
      records,
      (function* () {
        for (const { id } of index.search(query, { boost: { ...weights }, ...options })) yield id as number;
      })(),
    );
  return [
    {
      name: 'minisearch any',
      settings: 'any word, prefixes and fuzzy 0.2 on every word, boosts as the weights',
      find: (query) => familiesFor(query, { prefix: true, fuzzy: 0.2 }),
    },
    {
      name: 'minisearch all',
      settings: 'all words; nothing found: all words with fuzzy 0.2 and prefixes; then any',
      find(query, typing) {
        const isLast = (_: string, at: number, terms: string[]) => typing && at === terms.length - 1;
        for (const options of [
          { combineWith: 'AND', prefix: isLast },
          { combineWith: 'AND', prefix: true, fuzzy: 0.2 },
          { prefix: true, fuzzy: 0.2 },
        ]) {
          const found = familiesFor(query, options);
          if (found.length > 0) return found;
        }
        return [];
      },
    },
  ];
}

export function flexSearch({ records, keys }: Shelf): Finder {
  const index = new Document({
    document: { id: 'at', index: ['all'] },
    tokenize: 'forward',
    encode: tokenize,
    context: true,
  });
  for (const [at, record] of records.entries())
    index.add({ at, all: keys.map((key) => textOf(record, key)).join(' ') });
  return {
    name: 'flexsearch',
    settings: 'one joined field, forward tokens, context; nothing found: suggestions',
    find(query) {
      for (const suggest of [false, true]) {
        const [field] = index.search(query, { limit: depth * 4, suggest }) as { result: number[] }[];
        if (field?.result.length) return familiesOf(records, field.result);
      }
      return [];
    },
  };
}

export function fts5({ records, keys, weights }: Shelf): Finder {
  const db = new Database(':memory:');
  const columns = keys.map((_, at) => `c${at}`);
  db.exec(`CREATE VIRTUAL TABLE record USING fts5(${columns.join(', ')}, tokenize='porter unicode61')`);
  const insert = db.prepare(
    `INSERT INTO record (rowid, ${columns.join(', ')}) VALUES (?, ${columns.map(() => '?').join(', ')})`,
  );
  db.transaction(() => {
    for (const [at, record] of records.entries()) insert.run(at + 1, ...keys.map((key) => textOf(record, key)));
  })();
  const ranked = db
    .prepare<[string], number>(
      `SELECT rowid FROM record WHERE record MATCH ? ORDER BY bm25(record, ${keys.map((key) => weights[key] ?? 1).join(', ')}) LIMIT ${depth * 4}`,
    )
    .pluck();
  return {
    name: 'SQLite FTS5',
    settings: 'porter stemmer, bm25 by the weights, all words; nothing found: any word',
    find(query, typing) {
      const words = tokenize(query).map((word) => `"${word}"`);
      if (words.length === 0) return [];
      const last = typing ? '*' : '';
      for (const text of [words.join(' ') + last, words.join(' OR ') + last]) {
        const found = familiesOf(
          records,
          ranked.all(text).map((rowid) => rowid - 1),
        );
        if (found.length > 0) return found;
      }
      return [];
    },
  };
}
