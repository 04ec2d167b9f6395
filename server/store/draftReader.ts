import { own } from '../../core/base/named.ts';
import type { EntryChange } from '../../core/setup/entries.ts';
import { changesBetween, isChange, partOf } from '../../core/setup/entries.ts';
import {
  type ReadSetup,
  readEntries,
  readEntry,
  readSetup,
  type SetAside,
  usualEntry,
} from '../../core/setup/readSetup.ts';
import { type SetupPart, setupParts } from '../../core/setup/registry.ts';
import type { Setup } from '../../core/setup/schema.ts';
import { type EntryEdit, withEntries } from '../../core/setup/withEntry.ts';
import { type Db, draftId, storefrontId } from './database.ts';

export interface Release {
  readonly number: number;
  readonly at: number;
  readonly who: string;
  readonly note: string;
  readonly setup: Setup;
}

/** A release without its document. */
export type ReleaseHead = Omit<Release, 'setup'>;

/** Reads the draft and the releases; each revision and each release is parsed once and kept. */
export interface DraftReader {
  revision(): number;
  draft(): Setup;
  /** Entries of the draft that this version cannot read; they stay where they are. */
  setAside(): readonly SetAside[];
  /** Number of the release that is live, or null. */
  liveNumber(): number | null;
  live(): Release | null;
  release(number: number): Release | null;
  releases(): ReleaseHead[];
  /** What a release changed against the one before it; nothing for the first. */
  changesOf(number: number): readonly EntryChange[];
  /** What the draft changes against what is live, in order of parts and keys. */
  changes(): readonly EntryChange[];
  /**
   * The same part by part, parts without changes left out. Where a part's changes stay as they are, so does their list:
   * what was worked out about it can be kept by it.
   */
  changesByPart(): readonly (readonly EntryChange[])[];
}

/** Releases kept parsed. A setup of 20,000 decisions takes about 12 MB. */
const releasesKept = 4;
/** Entries changed since the last look from which on reading everything anew is as quick. */
const mostApplied = 30_000;

export const entryKey = ({ part, key }: { readonly part: string; readonly key: string }): string => `${part}/${key}`;

interface EntryRow {
  readonly part: string;
  readonly key: string;
  readonly value: string;
}
interface State extends ReadSetup {
  readonly revision: number;
}
interface Difference {
  readonly live: number | null;
  readonly setup: Setup;
  readonly parts: ReadonlyMap<SetupPart, readonly EntryChange[]>;
}

const parsedRow = ({ part, key, value }: EntryRow): { part: string; key: string; value: unknown } => {
  try {
    return { part, key, value: JSON.parse(value) };
  } catch {
    // Damaged: as a text it fits no entry, and is set aside as it stands.
    return { part, key, value };
  }
};

const byKey = (a: EntryChange, b: EntryChange): number => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0);

/** The last values of entries that some journaled changes touched. */
const lastValues = (changes: Iterable<EntryChange>): Map<string, EntryChange> => {
  const last = new Map<string, EntryChange>();
  for (const change of changes) last.set(entryKey(change), change);
  return last;
};

/** A setup with entries as they are now; those that cannot be read are set aside, the others no longer are. */
function applied(state: State, revision: number, changes: Iterable<EntryChange>): State {
  const edits: EntryEdit[] = [];
  const setAside = new Map(state.setAside.map((each) => [entryKey(each), each]));
  for (const change of lastValues(changes).values()) {
    const { part, key, after } = change;
    setAside.delete(entryKey(change));
    const read = after === null ? { value: null } : readEntry(part, key, after);
    if ('reason' in read) setAside.set(entryKey(change), { part, key, value: after, reason: read.reason });
    edits.push({ part, key, value: 'reason' in read ? usualEntry(part, key) : read.value });
  }
  return { revision, setup: withEntries(state.setup, edits), setAside: [...setAside.values()] };
}

export function openDraftReader(db: Db): DraftReader {
  const names = { storefront: storefrontId, draft: draftId };
  const readRevision = db
    .prepare<typeof names, number>('SELECT revision FROM draft WHERE storefront = @storefront AND id = @draft')
    .pluck();
  const readAll = db.prepare<typeof names, EntryRow>(
    'SELECT part, key, value FROM setup_entry WHERE storefront = @storefront AND draft = @draft',
  );
  const readSince = db
    .prepare<typeof names & { revision: number }, string>(
      `SELECT changes FROM journal WHERE storefront = @storefront AND draft = @draft AND revision > @revision ORDER BY id`,
    )
    .pluck();
  const readLiveNumber = db.prepare<[string], number | null>('SELECT release FROM storefront WHERE id = ?').pluck();
  const readRelease = db.prepare<
    [string, number],
    { number: number; at: number; who: string; note: string; document: string }
  >('SELECT number, at, who, note, document FROM release WHERE storefront = ? AND number = ?');
  const readHeads = db.prepare<[string], ReleaseHead>(
    'SELECT number, at, who, note FROM release WHERE storefront = ? ORDER BY number DESC',
  );
  const readChanges = db
    .prepare<[string, number], string | null>('SELECT changes FROM release WHERE storefront = ? AND number = ?')
    .pluck();

  let state: State | null = null;
  let difference: Difference | null = null;
  const known = new Map<number, Release>();

  const revision = (): number => readRevision.get(names) ?? 0;
  const read = db.transaction((): State => {
    const now = revision();
    if (state?.revision === now) return state;
    if (state && now > state.revision) {
      const changes = readSince
        .all({ ...names, revision: state.revision })
        .flatMap((text) => JSON.parse(text) as EntryChange[]);
      if (changes.length <= mostApplied) return applied(state, now, changes);
    }
    return { revision: now, ...readEntries(readAll.all(names).map(parsedRow)) };
  });
  const current = (): State => {
    state = read();
    return state;
  };
  const release = (number: number): Release | null => {
    const kept = known.get(number);
    if (kept) {
      known.delete(number);
      known.set(number, kept);
      return kept;
    }
    const row = readRelease.get(storefrontId, number);
    if (!row) return null;
    const { document, ...head } = row;
    const found = { ...head, setup: readSetup(JSON.parse(document)).setup };
    if (known.size >= releasesKept) known.delete(known.keys().next().value!);
    known.set(number, found);
    return found;
  };
  const liveNumber = (): number | null => readLiveNumber.get(storefrontId) ?? null;
  const live = (): Release | null => {
    const number = liveNumber();
    return number === null ? null : release(number);
  };
  const differenceNow = (): Difference => {
    const { setup } = current();
    const number = liveNumber();
    const before = difference;
    if (before?.live === number && before.setup === setup) return before;
    const from = live()?.setup;
    const parts = new Map<SetupPart, readonly EntryChange[]>();
    if (!from) return { live: number, setup, parts };
    if (before?.live !== number) {
      const all = changesBetween(from, setup);
      for (const part of setupParts) {
        const changes = all.filter((change) => change.part === part);
        if (changes.length > 0) parts.set(part, changes);
      }
      return { live: number, setup, parts };
    }
    for (const part of setupParts) {
      const known = before.parts.get(part);
      const changes =
        before.setup[part] === setup[part] ? known : partChanges(part, known ?? [], before.setup, setup, from);
      if (changes && changes.length > 0) parts.set(part, changes);
    }
    return { live: number, setup, parts };
  };
  const changesByPart = (): readonly (readonly EntryChange[])[] => {
    difference = differenceNow();
    return [...difference.parts.values()];
  };
  return {
    revision,
    draft: () => current().setup,
    setAside: () => current().setAside,
    liveNumber,
    live,
    release,
    releases: () => readHeads.all(storefrontId),
    changesOf(number) {
      const noted = readChanges.get(storefrontId, number);
      if (noted) return JSON.parse(noted) as EntryChange[];
      const [before, after] = [release(number - 1), release(number)];
      return before && after ? changesBetween(before.setup, after.setup) : [];
    },
    changes: () => changesByPart().flat(),
    changesByPart,
  };
}

/** The changes of one part after it has become another: only entries that are other objects than before are compared again. */
function partChanges(
  part: SetupPart,
  known: readonly EntryChange[],
  before: Setup,
  after: Setup,
  live: Setup,
): readonly EntryChange[] {
  const changes = new Map(known.map((change) => [change.key, change]));
  for (const key of touchedKeys(before[part], after[part])) {
    const change = {
      part,
      key,
      before: own(partOf(live, part), key) ?? null,
      after: own(partOf(after, part), key) ?? null,
    };
    if (isChange(change)) changes.set(key, change);
    else changes.delete(key);
  }
  return [...changes.values()].sort(byKey);
}

/** Names under which two versions of a part have different objects. */
function* touchedKeys(
  was: Readonly<Record<string, unknown>>,
  is: Readonly<Record<string, unknown>>,
): Generator<string> {
  for (const key in is) if (was[key] !== is[key]) yield key;
  for (const key in was) if (!(key in is)) yield key;
}
