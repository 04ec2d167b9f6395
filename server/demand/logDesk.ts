import { Refused } from '../refused.ts';
import type { Writer } from '../store/writes.ts';
import type { LogStore } from './logStore.ts';
import type { ClickNoted, OutcomeNoted, SearchNoted } from './logWriter.ts';

/**
 * Takes down what shoppers of a storefront do without making anybody wait: it is kept here and written in batches. What has not been
 * written yet is lost when the machine fails, which costs some counts and no shop.
 */
export interface LogDesk {
  /** Resolves when searches can be noted. */
  ready(): Promise<void>;
  /** Notes a search; answers its number, for what comes of it. */
  noteSearch(search: Omit<SearchNoted, 'id' | 'at'>): number;
  /** Notes what came of a search of a session; false where there is no such search. */
  noteOutcome(session: string, outcome: OutcomeNoted): boolean;
  /** Notes something chosen in the box, or a banner. */
  noteClick(click: Omit<ClickNoted, 'at'>): void;
  /** Resolves when everything noted before is written. */
  written(): Promise<void>;
  close(): Promise<void>;
}

const everyMilliseconds = 250;
/** Numbers asked for at a time, and how many are left when the next ones are asked for. */
const reservedAtOnce = 5000;
const fewLeft = 1000;
/** What is kept while nothing can be written; beyond, the oldest is let go. */
const mostKept = 50_000;

export function openLogDesk(options: {
  readonly storefront: string;
  readonly writer: Pick<Writer, 'noteLog' | 'reserveSearches'>;
  readonly log: Pick<LogStore, 'hasSearch'>;
  readonly now: () => number;
  readonly onError: (error: unknown) => void;
}): LogDesk {
  const { storefront, writer, log, now, onError } = options;
  let searches: SearchNoted[] = [];
  let outcomes: OutcomeNoted[] = [];
  let clicks: ClickNoted[] = [];
  /** Sessions of searches that are not written yet. */
  const unwritten = new Map<number, string>();
  let runs: { next: number; end: number }[] = [];
  let writing: Promise<void> = Promise.resolve();
  let asking: Promise<void> | null = null;

  const reserve = (): Promise<void> => {
    asking ??= writer
      .reserveSearches(reservedAtOnce)
      .then((next) => {
        runs = [...runs.filter((run) => run.next < run.end), { next, end: next + reservedAtOnce }];
      })
      .catch(onError)
      .finally(() => {
        asking = null;
      });
    return asking;
  };
  const left = (): number => runs.reduce((sum, { next, end }) => sum + end - next, 0);
  const flush = (): Promise<void> => {
    writing = writing.then(async () => {
      if (searches.length + outcomes.length + clicks.length === 0) return;
      const batch = [searches, outcomes, clicks] as const;
      [searches, outcomes, clicks] = [[], [], []];
      try {
        await writer.noteLog(storefront, ...batch);
        for (const { id } of batch[0]) unwritten.delete(id);
      } catch (error) {
        onError(error);
        searches = [...batch[0], ...searches].slice(-mostKept);
        outcomes = [...batch[1], ...outcomes].slice(-mostKept);
        clicks = [...batch[2], ...clicks].slice(-mostKept);
      }
    });
    return writing;
  };
  const timer = setInterval(() => void flush(), everyMilliseconds);
  timer.unref();
  return {
    ready: reserve,
    noteSearch(search) {
      if (left() < fewLeft) void reserve();
      const run = runs.find(({ next, end }) => next < end);
      if (!run)
        throw new Refused(503, { code: 'storage-busy', message: 'The log cannot be written now. Nothing was noted.' });
      const id = run.next++;
      searches.push({ ...search, id, at: now() });
      unwritten.set(id, search.session);
      if (searches.length > mostKept) unwritten.delete(searches.shift()!.id);
      return id;
    },
    noteOutcome(session, outcome) {
      const known = unwritten.get(outcome.search);
      if (known === undefined ? !log.hasSearch(outcome.search, session) : known !== session) return false;
      outcomes.push(outcome);
      if (outcomes.length > mostKept) outcomes.shift();
      return true;
    },
    noteClick(click) {
      clicks.push({ ...click, at: now() });
      if (clicks.length > mostKept) clicks.shift();
    },
    written: flush,
    async close() {
      clearInterval(timer);
      await flush();
    },
  };
}
