import Database from 'better-sqlite3';
import { Document } from 'flexsearch';
import MiniSearch from 'minisearch';
import { attributeProfiler } from '../core/catalog/profileAttributes.ts';
import { type CatalogRecord, textsOf } from '../core/catalog/record.ts';
import { type ImportedContent, importedArticle, importedCollection } from '../core/content/content.ts';
import { decidedContent } from '../core/content/decidedContent.ts';
import { snapshotBuilder } from '../core/index/buildSnapshot.ts';
import { openSnapshot } from '../core/index/snapshot.ts';
import { allowedEdits } from '../core/query/spelling.ts';
import { openContent, prepareContent } from '../core/search/contentEngine.ts';
import { openEngine, prepareSetup } from '../core/search/prepareSetup.ts';
import { search } from '../core/search/search.ts';
import { initialSetup } from '../core/setup/initialSetup.ts';
import type { Setup } from '../core/setup/schema.ts';
import { tokenize } from '../core/text/tokenize.ts';
import { type Contender, filterKeys, pageSize, textKeys, weights } from './contender.ts';
import { measureEdits } from './edits.ts';
import { plainFilters } from './plainFilters.ts';

const textOf = (record: CatalogRecord, key: string): string =>
  key === 'sku' ? record.sku : textsOf(record.values[key]).join(' ');

/** Heap in use after collecting; the bench runs with --expose-gc. */
function heap(): number {
  globalThis.gc?.();
  globalThis.gc?.();
  return process.memoryUsage().heapUsed;
}

function timed<T>(work: () => T): { result: T; milliseconds: number; bytes: number } {
  const before = heap();
  const start = performance.now();
  const result = work();
  const milliseconds = performance.now() - start;
  return { result, milliseconds, bytes: heap() - before };
}

/**
 * Articles and collections, as every shop has: each kind has an engine of its own, and code that several engines of a
 * process share is compiled for all of them, which was measured to take half as long again in its hottest loops.
 */
const content: ImportedContent = {
  articles: [importedArticle.parse({ id: 'a', title: 'Paper and ink', text: 'Which paper takes which ink.' })],
  collections: [importedCollection.parse({ id: 'c', title: 'For beginners', products: ['f0'] })],
};

export function cleverShelf(
  records: readonly CatalogRecord[],
  change: (setup: Setup) => Setup = (setup) => setup,
): Contender {
  const profiler = attributeProfiler();
  for (const record of records) profiler.add(record);
  const profiles = profiler.finish();
  const { result: buffer, milliseconds } = timed(() => {
    const builder = snapshotBuilder(profiles);
    for (const record of records) builder.add(record);
    return builder.finish();
  });
  const snapshot = openSnapshot(buffer)!;
  const engine = openEngine(snapshot);
  const first = initialSetup(profiles);
  const setup = {
    ...first,
    attributes: Object.fromEntries(
      Object.entries(first.attributes).map(([key, setting]) => [
        key,
        { ...setting, searchable: key in weights, weight: weights[key] ?? 0 },
      ]),
    ),
    filters: Object.fromEntries(
      filterKeys.map((key, order) => [
        key,
        {
          attribute: key,
          label: key,
          kind: key === 'price' ? ('range' as const) : ('ticks' as const),
          order,
          counts: true,
          valueOrder: 'count' as const,
        },
      ]),
    ),
  };
  const prepared = prepareSetup(engine, change(setup), 0);
  const besides = prepareContent(openContent(decidedContent(content, prepared.setup)), prepared.setup, prepared.when);
  return {
    name: 'Clever Shelf',
    settings:
      'all stages: families, close calls, three tie-breakers, spelling tolerance, filter counts by family; articles and collections besides',
    bytes: buffer.byteLength,
    buildMilliseconds: milliseconds,
    search(query, typing) {
      const request = { query, typing, filters: {}, page: 1, limit: pageSize };
      const answer = search(engine, prepared, request, (record) => records[record]!, besides);
      return { families: answer.results.map(({ familyId }) => familyId), total: answer.total };
    },
    edits: () => measureEdits(records, snapshot, engine, prepared.setup),
  };
}

export function miniSearch(records: readonly CatalogRecord[]): Contender {
  const { result, milliseconds, bytes } = timed(() => {
    const index = new MiniSearch<CatalogRecord & { at: number }>({
      idField: 'at',
      fields: [...textKeys],
      tokenize,
      processTerm: (term) => term,
      extractField: (record, key) => (key === 'at' ? (record.at as never) : textOf(record, key)),
    });
    index.addAll(records.map((record, at) => ({ ...record, at })));
    return index;
  });
  const page = plainFilters(records);
  const options = { combineWith: 'AND', boost: { ...weights } } as const;
  return {
    name: 'minisearch',
    settings:
      'all words, boosts as our weights; prefix on the last word while typing; nothing found: fuzzy by word length',
    bytes,
    buildMilliseconds: milliseconds,
    search(query, typing) {
      const isLast = (_: string, index: number, terms: string[]) => typing && index === terms.length - 1;
      let hits = result.search(query, { ...options, prefix: isLast });
      if (hits.length === 0)
        hits = result.search(query, { ...options, prefix: isLast, fuzzy: (term) => allowedEdits(term.length) });
      return page(hits.map(({ id }) => id as number));
    },
  };
}

export function flexSearch(records: readonly CatalogRecord[]): Contender {
  const { result, milliseconds, bytes } = timed(() => {
    const index = new Document({
      document: { id: 'at', index: ['all'] },
      tokenize: 'forward',
      encode: tokenize,
      context: false,
    });
    // One field of all texts: its document search joins fields by "any", and all words must match here.
    for (const [at, record] of records.entries())
      index.add({ at, all: textKeys.map((key) => textOf(record, key)).join(' ') });
    return index;
  });
  const page = plainFilters(records);
  return {
    name: 'flexsearch',
    settings: 'one joined field, forward tokens (prefixes), all words; it has no correction of single typos',
    bytes,
    buildMilliseconds: milliseconds,
    search(query) {
      const [field] = result.search(query, { limit: records.length }) as { result: number[] }[];
      return page(field?.result ?? []);
    },
  };
}

export function fts5(records: readonly CatalogRecord[]): Contender {
  const db = new Database(':memory:');
  const columns = [...textKeys];
  const { milliseconds } = timed(() => {
    db.exec(
      `CREATE VIRTUAL TABLE record USING fts5(${columns.join(', ')}, content='', prefix='2 3 4', tokenize='porter unicode61')`,
    );
    const insert = db.prepare(
      `INSERT INTO record (rowid, ${columns.join(', ')}) VALUES (?, ${columns.map(() => '?').join(', ')})`,
    );
    db.transaction(() => {
      for (const [at, record] of records.entries()) insert.run(at + 1, ...columns.map((key) => textOf(record, key)));
    })();
  });
  const page = plainFilters(records);
  const ranked = db
    .prepare<[string], number>(
      `SELECT rowid FROM record WHERE record MATCH ? ORDER BY bm25(record, ${columns.map((key) => weights[key] ?? 1).join(', ')})`,
    )
    .pluck();
  const size = db.pragma('page_count', { simple: true }) as number;
  return {
    name: 'SQLite FTS5',
    settings: 'porter stemmer, prefix index, all words, bm25 by our weights; it has no spelling tolerance',
    bytes: size * (db.pragma('page_size', { simple: true }) as number),
    buildMilliseconds: milliseconds,
    search(query, typing) {
      const words = tokenize(query).map((word) => `"${word}"`);
      if (words.length === 0) return page([]);
      const text = words.join(' ') + (typing ? '*' : '');
      return page(ranked.all(text).map((rowid) => rowid - 1));
    },
  };
}
