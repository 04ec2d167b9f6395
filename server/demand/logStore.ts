import { type Demand, demandKey } from '../../core/demand/logEntry.ts';
import { mostSearchesListed } from '../../core/demand/mostSearchesListed.ts';
import type { AskedAgain } from '../../core/proposals/deadEnds.ts';
import type { Retry } from '../../core/proposals/proposeWords.ts';
import type { WhatNext } from '../../core/proposals/remedy.ts';
import { type FadedSearch, halfLifeDays } from '../../core/suggest/logPhrases.ts';
import type { Db } from '../store/database.ts';

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

/** A second search counts as another try of the first within this time, in milliseconds. */
const retryWithin = 5 * 60_000;
/** Of what was tried and opened after one search, the first so many. */
const nextKept = 10;
/** Searches whose counts are kept. */
const mostCounted = mostSearchesListed;

/** What shoppers of one storefront searched for, and what came of it; read only. */
export interface LogStore {
  /** Changes when a log was imported or cleared, and when what shoppers did since makes a difference to the counts. */
  version(): string;
  summary(): LogSummary;
  /** The searches made most often, by demand; counted anew when the version changes. */
  top(limit: number): Demand[];
  /** What was chosen besides products among results, by what it is. */
  chosen(): { readonly inBox: boolean; readonly kind: string; readonly times: number }[];
  /** Searches that found something, faded by their age against the newest one of the log; those made most first. */
  faded(limit: number): FadedSearch[];
  /** Searches that found nothing and were followed, in the same visit, by one that led to a click; most often first. */
  retries(limit: number): Retry[];
  /** Searches after which products were opened, and how often each was; those after which most were first. */
  opened(limit: number): { readonly search: string; readonly products: ReadonlyMap<string, number> }[];
  /** Searches that were followed straight away, in the same visit, by another one before anything was opened; most often first. */
  askedAgain(limit: number): AskedAgain[];
  /** What those who made a search tried next, and what they opened after it or after that. */
  whatNext(key: string): WhatNext;
  /** Whether there is such a search of a session. */
  hasSearch(search: number, session: string): boolean;
}

/** In milliseconds. */
const halfLife = halfLifeDays * 86_400_000;
/** The log must have grown by this share before it is counted anew: counting a long one takes seconds. */
const growth = 1.05;

export function openLogStore(db: Db, storefront: string): LogStore {
  const own = db.prepare('SELECT 1 FROM search_log WHERE id = ? AND session = ? AND storefront = ?');
  const imports = db.prepare<[string], number>('SELECT version FROM log_note WHERE storefront = ?').pluck();
  const lastRows = db
    .prepare<[], [number, number]>(
      'SELECT coalesce((SELECT max(id) FROM search_log), 0), coalesce((SELECT max(rowid) FROM search_outcome), 0)',
    )
    .raw();
  const step = (rows: number): number => Math.floor(Math.log(rows + 1) / Math.log(growth));
  const version = (): string => {
    const [searches, outcomes] = lastRows.get()!;
    return `${imports.get(storefront) ?? 0}/${step(searches)}/${step(outcomes)}`;
  };
  let counted: { readonly state: string; readonly top: readonly Demand[] } | null = null;
  const countTop = (limit: number): Demand[] => {
    const outcomes = db
      .prepare<[string], { key: string; kind: string; many: number; place: number | null }>(
        `SELECT l.key AS key, o.kind AS kind, count(DISTINCT l.id) AS many, avg(o.place) AS place
         FROM search_outcome o JOIN search_log l ON l.id = o.search_id
         WHERE l.storefront = ? AND l.by_desk = 0 GROUP BY l.key, o.kind`,
      )
      .all(storefront);
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
      .all(storefront, limit)
      .map((row) => ({
        ...row,
        clicked: byKey.get(`click/${row.key}`)?.many ?? 0,
        bought: byKey.get(`purchase/${row.key}`)?.many ?? 0,
        clickPlace: byKey.get(`click/${row.key}`)?.place ?? null,
      }));
  };
  /** By search, how often it was chosen where the box offered it, faded: that it was taken is worth what a click is. */
  const chosenInBox = (): Map<string, number> => {
    const chosen = new Map<string, number>();
    const rows = db
      .prepare<{ storefront: string; halfLife: number }, { target: string; faded: number }>(
        `WITH newest AS (SELECT max(at) AS at FROM search_log WHERE storefront = @storefront)
         SELECT target, sum(pow(0.5, max(0, n.at - c.at) / @halfLife)) AS faded FROM other_click c, newest n
         WHERE storefront = @storefront AND in_box = 1 AND kind = 'search' GROUP BY target`,
      )
      .all({ storefront, halfLife });
    for (const { target, faded } of rows) {
      const key = demandKey(target);
      chosen.set(key, (chosen.get(key) ?? 0) + faded);
    }
    return chosen;
  };
  return {
    version,
    hasSearch: (search, session) => own.get(search, session, storefront) !== undefined,
    summary() {
      const counted = db
        .prepare<
          [string],
          { searches: number; sessions: number; foundNothing: number; first: number | null; last: number | null }
        >(
          `SELECT count(*) AS searches, count(DISTINCT session) AS sessions, coalesce(sum(results = 0), 0) AS foundNothing,
             min(at) AS first, max(at) AS last FROM search_log WHERE storefront = ? AND by_desk = 0`,
        )
        .get(storefront)!;
      const kinds = db
        .prepare<[string], { kind: string; many: number }>(
          `SELECT kind, count(*) AS many FROM search_outcome JOIN search_log ON search_log.id = search_id
           WHERE storefront = ? AND by_desk = 0 GROUP BY kind`,
        )
        .all(storefront);
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
      const state = version();
      if (counted?.state !== state) counted = { state, top: countTop(mostCounted) };
      return limit <= mostCounted ? counted.top.slice(0, limit) : countTop(limit);
    },
    chosen: () =>
      db
        .prepare<[string], { inBox: number; kind: string; times: number }>(
          `SELECT in_box AS inBox, kind, count(*) AS times FROM other_click WHERE storefront = ?
           GROUP BY in_box, kind ORDER BY times DESC, kind`,
        )
        .all(storefront)
        .map((row) => ({ ...row, inBox: row.inBox === 1 })),
    faded(limit) {
      const chosen = chosenInBox();
      return db
        .prepare<{ storefront: string; limit: number; halfLife: number }, FadedSearch>(
          `WITH newest AS (SELECT max(at) AS at FROM search_log WHERE storefront = @storefront),
             own AS (SELECT id, key, search, session, l.at AS at, pow(0.5, (n.at - l.at) / @halfLife) AS share
               FROM search_log l, newest n WHERE storefront = @storefront AND by_desk = 0 AND key <> '' AND results > 0),
             came AS (SELECT own.key AS key, sum(share * (o.kind = 'click')) AS clicks,
                 sum(share * (o.kind = 'purchase')) AS purchases
               FROM search_outcome o JOIN own ON own.id = o.search_id GROUP BY own.key)
           SELECT search, searches, sessions, fadedSearches, coalesce(clicks, 0) AS fadedClicks,
             coalesce(purchases, 0) AS fadedPurchases
           FROM (SELECT key, search, max(at), count(*) AS searches, count(DISTINCT session) AS sessions,
                   sum(share) AS fadedSearches FROM own GROUP BY key ORDER BY fadedSearches DESC, key LIMIT @limit) s
           LEFT JOIN came ON came.key = s.key ORDER BY fadedSearches DESC, s.key`,
        )
        .all({ storefront, limit, halfLife })
        .map((row) => ({ ...row, fadedClicks: row.fadedClicks + (chosen.get(demandKey(row.search)) ?? 0) }));
    },
    askedAgain(limit) {
      return db
        .prepare<{ storefront: string; within: number; limit: number }, AskedAgain>(
          `WITH again AS (SELECT a.key AS key, count(DISTINCT a.session) AS sessions
             FROM search_log a JOIN search_log b ON b.storefront = a.storefront AND b.session = a.session
               AND b.at > a.at AND b.at <= a.at + @within AND b.key <> a.key AND b.key <> ''
             WHERE a.storefront = @storefront AND a.by_desk = 0 AND a.key <> '' AND a.results > 0
               AND NOT EXISTS (SELECT 1 FROM search_outcome o WHERE o.search_id = a.id)
             GROUP BY a.key ORDER BY sessions DESC, a.key LIMIT @limit)
           SELECT again.key AS search, again.sessions AS sessions, count(DISTINCT l.session) AS "of"
           FROM again JOIN search_log l ON l.key = again.key AND l.storefront = @storefront AND l.by_desk = 0
           GROUP BY again.key ORDER BY again.sessions DESC, again.key`,
        )
        .all({ storefront, within: retryWithin, limit });
    },
    whatNext(key) {
      const next = { storefront, key, within: retryWithin, limit: nextKept };
      return {
        tried: db
          .prepare<typeof next, { to: string; sessions: number }>(
            `SELECT b.key AS "to", count(DISTINCT a.session) AS sessions
             FROM search_log a JOIN search_log b ON b.storefront = a.storefront AND b.session = a.session
               AND b.at > a.at AND b.at <= a.at + @within AND b.key <> a.key AND b.results > 0
             WHERE a.storefront = @storefront AND a.by_desk = 0 AND a.key = @key
               AND EXISTS (SELECT 1 FROM search_outcome o WHERE o.search_id = b.id)
             GROUP BY b.key HAVING sessions > 1 ORDER BY sessions DESC, b.key LIMIT @limit`,
          )
          .all(next),
        opened: db
          .prepare<typeof next, string>(
            `SELECT o.product FROM search_log a JOIN search_log b ON b.storefront = a.storefront AND b.session = a.session
               AND b.at >= a.at AND b.at <= a.at + @within
             JOIN search_outcome o ON o.search_id = b.id
             WHERE a.storefront = @storefront AND a.by_desk = 0 AND a.key = @key
             GROUP BY o.product HAVING count(DISTINCT a.session) > 1
             ORDER BY count(DISTINCT a.session) DESC, o.product LIMIT @limit`,
          )
          .pluck()
          .all(next),
      };
    },
    opened(limit) {
      const rows = db
        .prepare<{ storefront: string; limit: number }, [string, string, number]>(
          `WITH led AS (SELECT l.key AS key, count(*) AS many FROM search_outcome o JOIN search_log l ON l.id = o.search_id
             WHERE l.storefront = @storefront AND l.by_desk = 0 AND o.kind = 'click' AND l.key <> ''
             GROUP BY l.key ORDER BY many DESC, l.key LIMIT @limit)
           SELECT l.key, o.product, count(*) FROM search_outcome o JOIN search_log l ON l.id = o.search_id
             JOIN led ON led.key = l.key
           WHERE l.storefront = @storefront AND l.by_desk = 0 AND o.kind = 'click'
           GROUP BY l.key, o.product ORDER BY led.many DESC, l.key, count(*) DESC, o.product`,
        )
        .raw()
        .all({ storefront, limit });
      const bySearch = new Map<string, Map<string, number>>();
      for (const [key, product, many] of rows) {
        const own = bySearch.get(key) ?? new Map<string, number>();
        bySearch.set(key, own.set(product, many));
      }
      return [...bySearch].map(([search, products]) => ({ search, products }));
    },
    retries(limit) {
      const without = new Map(
        db
          .prepare<[string], [string, number]>(
            `SELECT key, count(DISTINCT session) FROM search_log
             WHERE storefront = ? AND by_desk = 0 AND results = 0 GROUP BY key`,
          )
          .raw()
          .all(storefront),
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
        .all({ storefront: storefront, within: retryWithin, limit })
        .map((retry) => ({ ...retry, of: without.get(retry.from) ?? retry.sessions }));
    },
  };
}
