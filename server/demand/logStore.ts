import { type Demand, demandKey, type LogEntry } from '../../core/demand/logEntry.ts';
import type { Retry } from '../../core/proposals/proposeWords.ts';
import { type Db, storefrontId } from '../store/database.ts';
import { type LogLine, readLog } from './readLog.ts';

export interface LogSummary {
  readonly searches: number;
  readonly sessions: number;
  readonly foundNothing: number;
  readonly clicks: number;
  readonly purchases: number;
  /** First and last moment, milliseconds since 1970; null where the log is empty. */
  readonly from: number | null;
  readonly to: number | null;
}

export interface LogImported {
  readonly searches: number;
  readonly refused: number;
  /** The first refused lines. */
  readonly refusedLines: readonly { readonly line: number; readonly column: string; readonly reason: string }[];
}

/** A second search counts as another try of the first within this time, in milliseconds. */
const retryWithin = 5 * 60_000;
/** Searches whose counts are kept. */
const mostCounted = 1000;
const refusedKept = 200;
const linesATransaction = 5_000;

/** What shoppers searched for, and what came of it. */
export interface LogStore {
  summary(): LogSummary;
  /** The searches made most often, by demand. */
  top(limit: number): Demand[];
  /** Searches that found nothing and were followed, in the same visit, by one that led to a click; most often first. */
  retries(limit: number): Retry[];
  /** Notes a search as it is made; answers its number, for what comes of it. */
  noteSearch(entry: Pick<LogEntry, 'session' | 'search' | 'filters' | 'results'>, at: number, byDesk: boolean): number;
  /** Notes what came of a search of the same session; false where there is no such search. */
  noteOutcome(
    search: number,
    session: string,
    kind: 'click' | 'basket' | 'purchase',
    product: string,
    place: number | null,
  ): boolean;
  /** Takes a log file in besides what is there; lines that are there already are taken once. */
  bringIn(path: string): Promise<LogImported>;
  clear(): void;
}

export function openLogStore(db: Db): LogStore {
  const insert = db.prepare(
    `INSERT INTO search_log (storefront, at, session, search, key, filters, results, by_desk) VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
  );
  const outcome = db.prepare('INSERT INTO search_outcome (search_id, kind, product, place) VALUES (?, ?, ?, ?)');
  const known = db
    .prepare<[string, number, string, string], number>(
      'SELECT 1 FROM search_log WHERE storefront = ? AND at = ? AND session = ? AND search = ?',
    )
    .pluck();
  const add = (entry: LogEntry): boolean => {
    const at = Date.parse(entry.time);
    if (known.get(storefrontId, at, entry.session, entry.search)) return false;
    const { lastInsertRowid } = insert.run(
      storefrontId,
      at,
      entry.session,
      entry.search,
      demandKey(entry.search),
      JSON.stringify(entry.filters),
      entry.results,
      0,
    );
    for (const { product, place } of entry.clicks) outcome.run(lastInsertRowid, 'click', product, place);
    for (const product of entry.baskets) outcome.run(lastInsertRowid, 'basket', product, null);
    for (const product of entry.purchases) outcome.run(lastInsertRowid, 'purchase', product, null);
    return true;
  };
  const lastWritten = db
    .prepare<[], string>(
      `SELECT coalesce((SELECT max(id) FROM search_log), 0) || '/' || coalesce((SELECT max(rowid) FROM search_outcome), 0)`,
    )
    .pluck();
  let counted: { readonly state: string; readonly top: readonly Demand[] } | null = null;
  const countTop = (limit: number): Demand[] => {
    const outcomes = db
      .prepare<[string], { key: string; kind: string; many: number; place: number | null }>(
        `SELECT l.key AS key, o.kind AS kind, count(DISTINCT l.id) AS many, avg(o.place) AS place
         FROM search_outcome o JOIN search_log l ON l.id = o.search_id
         WHERE l.storefront = ? AND l.by_desk = 0 GROUP BY l.key, o.kind`,
      )
      .all(storefrontId);
    const byKey = new Map(outcomes.map((row) => [`${row.kind}/${row.key}`, row]));
    return db
      .prepare<[string, number], Omit<Demand, 'clicked' | 'bought' | 'clickPlace'>>(
        // With max(at) in the row, SQLite takes the bare column from the latest row of the group: as it is typed now.
        `SELECT key, search, searches, sessions, foundNothing
         FROM (SELECT key, search, max(at), count(*) AS searches, count(DISTINCT session) AS sessions,
                 sum(results = 0) AS foundNothing
               FROM search_log WHERE storefront = ? AND by_desk = 0 AND key <> '' GROUP BY key
               ORDER BY searches DESC, key LIMIT ?)`,
      )
      .all(storefrontId, limit)
      .map((row) => ({
        ...row,
        clicked: byKey.get(`click/${row.key}`)?.many ?? 0,
        bought: byKey.get(`purchase/${row.key}`)?.many ?? 0,
        clickPlace: byKey.get(`click/${row.key}`)?.place ?? null,
      }));
  };
  return {
    summary() {
      const counted = db
        .prepare<
          [string],
          { searches: number; sessions: number; foundNothing: number; first: number | null; last: number | null }
        >(
          `SELECT count(*) AS searches, count(DISTINCT session) AS sessions, coalesce(sum(results = 0), 0) AS foundNothing,
             min(at) AS first, max(at) AS last FROM search_log WHERE storefront = ? AND by_desk = 0`,
        )
        .get(storefrontId)!;
      const kinds = db
        .prepare<[string], { kind: string; many: number }>(
          `SELECT kind, count(*) AS many FROM search_outcome JOIN search_log ON search_log.id = search_id
           WHERE storefront = ? AND by_desk = 0 GROUP BY kind`,
        )
        .all(storefrontId);
      const many = (kind: string): number => kinds.find((each) => each.kind === kind)?.many ?? 0;
      const { searches, sessions, foundNothing, first, last } = counted;
      return {
        searches,
        sessions,
        foundNothing,
        clicks: many('click'),
        purchases: many('purchase'),
        from: first,
        to: last,
      };
    },
    top(limit) {
      // Counting the log takes a tenth of a second; until something is written to it, the counts are the same.
      const state = lastWritten.get() ?? '';
      if (counted?.state !== state) counted = { state, top: countTop(mostCounted) };
      return limit <= mostCounted ? counted.top.slice(0, limit) : countTop(limit);
    },
    retries(limit) {
      const without = new Map(
        db
          .prepare<[string], [string, number]>(
            `SELECT key, count(DISTINCT session) FROM search_log
             WHERE storefront = ? AND by_desk = 0 AND results = 0 GROUP BY key`,
          )
          .raw()
          .all(storefrontId),
      );
      return db
        .prepare<{ storefront: string; within: number; limit: number }, Omit<Retry, 'of'>>(
          `SELECT a.key AS "from", b.key AS "to", count(DISTINCT a.session) AS sessions
           FROM search_log a JOIN search_log b ON b.storefront = a.storefront AND b.session = a.session
             AND b.at > a.at AND b.at <= a.at + @within AND b.key <> a.key AND b.results > 0
           WHERE a.storefront = @storefront AND a.by_desk = 0 AND a.results = 0 AND a.key <> ''
             AND EXISTS (SELECT 1 FROM search_outcome o WHERE o.search_id = b.id AND o.kind = 'click')
           GROUP BY a.key, b.key ORDER BY sessions DESC, "from", "to" LIMIT @limit`,
        )
        .all({ storefront: storefrontId, within: retryWithin, limit })
        .map((retry) => ({ ...retry, of: without.get(retry.from) ?? retry.sessions }));
    },
    noteSearch({ session, search, filters, results }, at, byDesk) {
      const row = insert.run(
        storefrontId,
        at,
        session,
        search,
        demandKey(search),
        JSON.stringify(filters),
        results,
        byDesk ? 1 : 0,
      );
      return Number(row.lastInsertRowid);
    },
    noteOutcome(search, session, kind, product, place) {
      const own = db.prepare('SELECT 1 FROM search_log WHERE id = ? AND session = ?').get(search, session);
      if (own) outcome.run(search, kind, product, place);
      return own !== undefined;
    },
    async bringIn(path) {
      let searches = 0;
      let refused = 0;
      const refusedLines: { line: number; column: string; reason: string }[] = [];
      const take = db.transaction((batch: readonly LogLine[]) => {
        for (const line of batch)
          if ('entry' in line) searches += add(line.entry) ? 1 : 0;
          else if (refused++ < refusedKept) refusedLines.push(line);
      });
      let batch: LogLine[] = [];
      for await (const line of readLog(path)) {
        batch.push(line);
        if (batch.length >= linesATransaction) {
          take.immediate(batch);
          batch = [];
        }
      }
      take.immediate(batch);
      return { searches, refused, refusedLines };
    },
    clear() {
      db.transaction(() => {
        db.prepare('DELETE FROM search_outcome').run();
        db.prepare('DELETE FROM search_log WHERE storefront = ?').run(storefrontId);
      }).immediate();
    },
  };
}
