import { demandKey, type LogEntry } from '../../core/demand/logEntry.ts';
import type { OtherClick } from '../../core/demand/otherClicks.ts';
import { noSuchStorefront } from '../refused.ts';
import type { Db } from '../store/database.ts';
import { type LogLine, readLog } from './readLog.ts';

export interface LogImported {
  readonly searches: number;
  readonly refused: number;
  /** The first refused lines. */
  readonly refusedLines: readonly { readonly line: number; readonly column: string; readonly reason: string }[];
}

/** A search as it was made, with the number it is told by. */
export interface SearchNoted extends Pick<LogEntry, 'session' | 'search' | 'filters' | 'results'> {
  readonly id: number;
  readonly at: number;
  readonly byDesk: boolean;
}
/** Something chosen besides products among results: a line of the search box, or a banner. */
export interface ClickNoted {
  readonly session: string;
  readonly inBox: boolean;
  readonly search: string;
  readonly kind: OtherClick;
  readonly target: string;
  readonly at: number;
}
/** What came of a search. */
export interface OutcomeNoted {
  readonly search: number;
  readonly kind: 'click' | 'basket' | 'purchase';
  readonly product: string;
  readonly place: number | null;
}

const aDay = 86_400_000;
/** Searches removed at once: other writes come in between. */
const prunedAtOnce = 2000;
const refusedKept = 200;
/** Lines taken in one transaction: few, so that an edit never waits long for its turn. */
const linesATransaction = 500;

/** Writes the shopper log. Numbers of searches are given here and nowhere else. */
export interface LogWriter {
  /** Numbers for so many searches to come, from the one answered on. */
  reserve(count: number): number;
  /** Writes what shoppers did, in one transaction. */
  note(
    storefront: string,
    searches: readonly SearchNoted[],
    outcomes: readonly OutcomeNoted[],
    clicks: readonly ClickNoted[],
  ): void;
  /** Says whether what shoppers do is written, and for how many days it is kept; null: for good. */
  keepLog(storefront: string, isOn: boolean, days: number | null): void;
  /** Removes what is older than each storefront keeps, at most so much at once; answers how many searches. */
  pruneLog(now: number): number;
  /** Takes a log file in besides what is there; lines that are there already are taken once. */
  bringIn(storefront: string, path: string): Promise<LogImported>;
  clear(storefront: string): void;
}

export function openLogWriter(db: Db): LogWriter {
  const insert = db.prepare(
    `INSERT INTO search_log (id, storefront, at, session, search, key, filters, results, by_desk)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  );
  const outcome = db.prepare('INSERT INTO search_outcome (search_id, kind, product, place) VALUES (?, ?, ?, ?)');
  const known = db
    .prepare<[string, number, string, string], number>(
      'SELECT 1 FROM search_log WHERE storefront = ? AND at = ? AND session = ? AND search = ?',
    )
    .pluck();
  const noteChange = db.prepare(
    'INSERT INTO log_note (storefront, version) VALUES (?, 1) ON CONFLICT (storefront) DO UPDATE SET version = version + 1',
  );
  const isThere = db.prepare<[string], number>('SELECT 1 FROM storefront WHERE id = ?').pluck();
  const otherClick = db.prepare(
    'INSERT INTO other_click (storefront, at, session, in_box, search, kind, target) VALUES (?, ?, ?, ?, ?, ?, ?)',
  );
  const keep = db.prepare('UPDATE storefront SET log_off = ?, log_days = ? WHERE id = ?');
  const limited = db.prepare<[], { id: string; days: number }>(
    'SELECT id, log_days AS days FROM storefront WHERE log_days IS NOT NULL',
  );
  const old = db
    .prepare<{ storefront: string; before: number; most: number }, number>(
      'SELECT id FROM search_log WHERE storefront = @storefront AND at < @before ORDER BY at LIMIT @most',
    )
    .pluck();
  const dropOutcomes = db.prepare('DELETE FROM search_outcome WHERE search_id = ?');
  const dropSearch = db.prepare('DELETE FROM search_log WHERE id = ?');
  const dropClicks = db.prepare('DELETE FROM other_click WHERE storefront = ? AND at < ?');
  const lastId = db.prepare<[], number | null>('SELECT max(id) FROM search_log').pluck();
  let next = 0;
  const reserve = (count: number): number => {
    next = Math.max(next, (lastId.get() ?? 0) + 1);
    next += count;
    return next - count;
  };
  const add = (storefront: string, entry: LogEntry): boolean => {
    const at = Date.parse(entry.time);
    if (known.get(storefront, at, entry.session, entry.search)) return false;
    const id = reserve(1);
    const filters = JSON.stringify(entry.filters);
    insert.run(id, storefront, at, entry.session, entry.search, demandKey(entry.search), filters, entry.results, 0);
    for (const { product, place } of entry.clicks) outcome.run(id, 'click', product, place);
    for (const product of entry.baskets) outcome.run(id, 'basket', product, null);
    for (const product of entry.purchases) outcome.run(id, 'purchase', product, null);
    const { session, search } = entry;
    for (const { kind, target } of entry.box) otherClick.run(storefront, at, session, 1, search, kind, target);
    for (const link of entry.banners) otherClick.run(storefront, at, session, 0, search, 'banner', link);
    return true;
  };
  return {
    reserve,
    note: db.transaction(
      (
        storefront: string,
        searches: readonly SearchNoted[],
        outcomes: readonly OutcomeNoted[],
        clicks: readonly ClickNoted[],
      ) => {
        // What its last shoppers did is written after it was removed: it is let go.
        if (!isThere.get(storefront)) return;
        for (const { id, at, session, search, filters, results, byDesk } of searches) {
          const text = JSON.stringify(filters);
          insert.run(id, storefront, at, session, search, demandKey(search), text, results, byDesk ? 1 : 0);
        }
        for (const { search, kind, product, place } of outcomes) outcome.run(search, kind, product, place);
        for (const { at, session, inBox, search, kind, target } of clicks)
          otherClick.run(storefront, at, session, inBox ? 1 : 0, search, kind, target);
      },
    ).immediate,
    keepLog(storefront, isOn, days) {
      if (keep.run(isOn ? 0 : 1, days, storefront).changes === 0) throw noSuchStorefront();
    },
    pruneLog: db.transaction((now: number): number => {
      let removed = 0;
      for (const { id: storefront, days } of limited.all()) {
        const before = now - days * aDay;
        const ids = old.all({ storefront, before, most: prunedAtOnce - removed });
        for (const id of ids) {
          dropOutcomes.run(id);
          dropSearch.run(id);
        }
        dropClicks.run(storefront, before);
        if (ids.length > 0) noteChange.run(storefront);
        removed += ids.length;
      }
      return removed;
    }).immediate,
    async bringIn(storefront, path) {
      let searches = 0;
      let refused = 0;
      const refusedLines: { line: number; column: string; reason: string }[] = [];
      const insert = db.transaction((batch: readonly LogLine[]) => {
        for (const line of batch)
          if ('entry' in line) searches += add(storefront, line.entry) ? 1 : 0;
          else if (refused++ < refusedKept) refusedLines.push(line);
      }).immediate;
      let batch: LogLine[] = [];
      try {
        for await (const line of readLog(path)) {
          batch.push(line);
          if (batch.length < linesATransaction) continue;
          insert(batch);
          batch = [];
          // Other writes come in between.
          await new Promise(setImmediate);
        }
        insert(batch);
      } finally {
        noteChange.run(storefront);
      }
      return { searches, refused, refusedLines };
    },
    clear: db.transaction((storefront: string) => {
      db.prepare('DELETE FROM search_outcome WHERE search_id IN (SELECT id FROM search_log WHERE storefront = ?)').run(
        storefront,
      );
      db.prepare('DELETE FROM search_log WHERE storefront = ?').run(storefront);
      db.prepare('DELETE FROM other_click WHERE storefront = ?').run(storefront);
      noteChange.run(storefront);
    }).immediate,
  };
}
