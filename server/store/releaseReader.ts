import type { EntryChange } from '../../core/setup/entries.ts';
import { changesBetween } from '../../core/setup/entries.ts';
import { readSetup } from '../../core/setup/readSetup.ts';
import type { Setup } from '../../core/setup/schema.ts';
import type { Db } from './database.ts';
import { oncePerDatabase } from './oncePerDatabase.ts';
import { readChanges as parsedChanges } from './readChanges.ts';

export interface Release {
  readonly number: number;
  readonly at: number;
  readonly who: string;
  readonly note: string;
  readonly setup: Setup;
}

/** A release without its document. */
export type ReleaseHead = Omit<Release, 'setup'>;

/** Reads the releases of one storefront; each is parsed once, and the last few are kept. */
export interface ReleaseReader {
  /** Number of the release that is live, or null. */
  liveNumber(): number | null;
  live(): Release | null;
  release(number: number): Release | null;
  releases(): ReleaseHead[];
  /** What a release changed against the one before it; nothing for the first. */
  changesOf(number: number): readonly EntryChange[];
}

/** Releases kept parsed. A setup of 20,000 decisions takes about 12 MB. */
const releasesKept = 4;

const statementsOf = oncePerDatabase((db) => {
  const readLiveNumber = db.prepare<[string], number | null>('SELECT release FROM storefront WHERE id = ?').pluck();
  const readRelease = db.prepare<[string, number], ReleaseHead & { document: string }>(
    'SELECT number, at, who, note, document FROM release WHERE storefront = ? AND number = ?',
  );
  const readHeads = db.prepare<[string], ReleaseHead>(
    'SELECT number, at, who, note FROM release WHERE storefront = ? ORDER BY number DESC',
  );
  const readChanges = db
    .prepare<[string, number], string | null>('SELECT changes FROM release WHERE storefront = ? AND number = ?')
    .pluck();
  return { readLiveNumber, readRelease, readHeads, readChanges };
});

function openReleaseReader(db: Db, storefront: string): ReleaseReader {
  const { readLiveNumber, readRelease, readHeads, readChanges } = statementsOf(db);
  const known = new Map<number, Release>();

  const release = (number: number): Release | null => {
    const kept = known.get(number);
    if (kept) {
      known.delete(number);
      known.set(number, kept);
      return kept;
    }
    const row = readRelease.get(storefront, number);
    if (!row) return null;
    const { document, ...head } = row;
    const found = { ...head, setup: readSetup(JSON.parse(document)).setup };
    if (known.size >= releasesKept) known.delete(known.keys().next().value!);
    known.set(number, found);
    return found;
  };
  const liveNumber = (): number | null => readLiveNumber.get(storefront) ?? null;
  return {
    liveNumber,
    release,
    live() {
      const number = liveNumber();
      return number === null ? null : release(number);
    },
    releases: () => readHeads.all(storefront),
    changesOf(number) {
      const noted = readChanges.get(storefront, number);
      if (noted) return parsedChanges(noted);
      const [before, after] = [release(number - 1), release(number)];
      return before && after ? changesBetween(before.setup, after.setup) : [];
    },
  };
}

/** The releases of each storefront, opened once and kept. */
export function openReleases(db: Db): (storefront: string) => ReleaseReader {
  const known = new Map<string, ReleaseReader>();
  return (storefront) => {
    const reader = known.get(storefront) ?? openReleaseReader(db, storefront);
    known.set(storefront, reader);
    return reader;
  };
}
