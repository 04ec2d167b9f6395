import { own } from '../../core/base/named.ts';
import type { EntryChange } from '../../core/setup/entries.ts';
import { changesBetween, isChange, partOf } from '../../core/setup/entries.ts';
import { followedParts, withFollowed } from '../../core/setup/following.ts';
import { type ReadSetup, readEntries, readEntry, type SetAside, usualEntry } from '../../core/setup/readSetup.ts';
import { type SetupPart, setupParts } from '../../core/setup/registry.ts';
import type { Setup } from '../../core/setup/schema.ts';
import type { DraftRef } from '../../core/setup/setupRef.ts';
import { type EntryEdit, withEntries } from '../../core/setup/withEntry.ts';
import type { Db } from './database.ts';
import { oncePerDatabase } from './oncePerDatabase.ts';
import { readChanges } from './readChanges.ts';
import { openReleases, type ReleaseReader } from './releaseReader.ts';

/** Reads one draft beside the releases of its storefront; each revision is parsed once and kept. */
export interface DraftReader extends ReleaseReader {
  readonly ref: DraftRef;
  /** 0 where there is no such draft, or it has been taken out. */
  revision(): number;
  /** Up to which revision steps may have been removed from the journal. */
  prunedTo(): number;
  /** The draft as it is shown: with the parts it follows as they are live where they are followed from. */
  draft(): Setup;
  /** Its own entries, those under followed parts too. */
  stored(): Setup;
  /** Entries of the draft that this version cannot read; they stay where they are. */
  setAside(): readonly SetAside[];
  /** The release it was begun from or brought up to last, which its changes are told against; null where there is none. */
  baseNumber(): number | null;
  /** Whether another release is live by now, which it has to be brought up to before it can be published. */
  isBehind(): boolean;
  /** What the draft changes against its base, in order of parts and keys. */
  changes(): readonly EntryChange[];
  /**
   * The same part by part, parts without changes left out. Where a part's changes stay as they are, so does their list:
   * what was worked out about it can be kept by it.
   */
  changesByPart(): readonly (readonly EntryChange[])[];
}

/** Entries changed since the last look from which on reading everything anew is as quick. */
const mostApplied = 30_000;

export const entryKey = ({ part, key }: { readonly part: string; readonly key: string }): string => `${part}/${key}`;

/** A draft, as statements name it. */
export interface Names {
  readonly storefront: string;
  readonly draft: string;
}
interface EntryRow {
  readonly part: string;
  readonly key: string;
  readonly value: string;
}
interface State extends ReadSetup {
  readonly revision: number;
}
interface Difference {
  readonly base: number | null;
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

const statementsOf = oncePerDatabase((db) => {
  const readRevision = db
    .prepare<Names, number>(
      'SELECT revision FROM draft WHERE storefront = @storefront AND id = @draft AND removed_at IS NULL',
    )
    .pluck();
  const readBase = db
    .prepare<Names, number | null>('SELECT base_release FROM draft WHERE storefront = @storefront AND id = @draft')
    .pluck();
  const readPruned = db
    .prepare<Names, number>('SELECT pruned_to FROM draft WHERE storefront = @storefront AND id = @draft')
    .pluck();
  const readAll = db.prepare<Names, EntryRow>(
    'SELECT part, key, value FROM setup_entry WHERE storefront = @storefront AND draft = @draft',
  );
  const readSince = db
    .prepare<Names & { revision: number }, string>(
      `SELECT changes FROM journal WHERE storefront = @storefront AND draft = @draft AND revision > @revision ORDER BY id`,
    )
    .pluck();
  return { readRevision, readBase, readPruned, readAll, readSince };
});

/** `releasesOf` gives the releases of storefronts, where somebody reads them already. */
export function openDraftReader(
  db: Db,
  ref: DraftRef,
  releasesOf: (storefront: string) => ReleaseReader = openReleases(db),
): DraftReader {
  const releases = releasesOf(ref.storefront);
  const names = { storefront: ref.storefront, draft: ref.draft };
  const { readRevision, readBase, readPruned, readAll, readSince } = statementsOf(db);
  let state: State | null = null;
  let difference: Difference | null = null;

  const revision = (): number => readRevision.get(names) ?? 0;
  const read = db.transaction((): State => {
    const now = revision();
    if (state?.revision === now) return state;
    if (state && now > state.revision && state.revision >= (readPruned.get(names) ?? 0)) {
      const changes = readSince.all({ ...names, revision: state.revision }).flatMap(readChanges);
      if (changes.length <= mostApplied) return applied(state, now, changes);
    }
    return { revision: now, ...readEntries(readAll.all(names).map(parsedRow)) };
  });
  const current = (): State => {
    state = read();
    return state;
  };
  let shown: { readonly stored: Setup; readonly leaders: string; readonly setup: Setup } | null = null;
  const draft = (): Setup => {
    const { setup: stored } = current();
    const parts = followedParts(stored);
    if (parts.length === 0) return stored;
    const leaders = parts.map(([, leader]) => `${leader}@${releasesOf(leader).liveNumber()}`).join(' ');
    if (shown?.stored !== stored || shown.leaders !== leaders)
      shown = { stored, leaders, setup: withFollowed(stored, (leader) => releasesOf(leader).live()?.setup ?? null) };
    return shown.setup;
  };
  const baseNumber = (): number | null => readBase.get(names) ?? releases.liveNumber();
  const differenceNow = (): Difference => {
    const setup = draft();
    const number = baseNumber();
    const before = difference;
    if (before?.base === number && before.setup === setup) return before;
    const from = number === null ? undefined : releases.release(number)?.setup;
    const parts = new Map<SetupPart, readonly EntryChange[]>();
    if (!from) return { base: number, setup, parts };
    if (before?.base !== number) {
      const all = changesBetween(from, setup);
      for (const part of setupParts) {
        const changes = all.filter((change) => change.part === part);
        if (changes.length > 0) parts.set(part, changes);
      }
      return { base: number, setup, parts };
    }
    for (const part of setupParts) {
      const known = before.parts.get(part);
      const changes =
        before.setup[part] === setup[part] ? known : partChanges(part, known ?? [], before.setup, setup, from);
      if (changes && changes.length > 0) parts.set(part, changes);
    }
    return { base: number, setup, parts };
  };
  const changesByPart = (): readonly (readonly EntryChange[])[] => {
    difference = differenceNow();
    return [...difference.parts.values()];
  };
  return {
    ...releases,
    ref,
    revision,
    prunedTo: () => readPruned.get(names) ?? 0,
    draft,
    stored: () => current().setup,
    setAside: () => current().setAside,
    baseNumber,
    isBehind: () => baseNumber() !== releases.liveNumber(),
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
