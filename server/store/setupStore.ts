import { changesBetween, checkEdit, type EntryChange, entriesOf, isChange } from '../../core/setup/entries.ts';
import { makeOwn } from '../../core/setup/following.ts';
import { mergeEntry } from '../../core/setup/mergeSetups.ts';
import { readEntry } from '../../core/setup/readSetup.ts';
import { mostEntries, type Setup, setupVersion } from '../../core/setup/schema.ts';
import type { DraftRef } from '../../core/setup/setupRef.ts';
import { canonical } from '../../core/setup/terms/canonical.ts';
import type { FollowablePart } from '../../core/setup/terms/followable.ts';
import type { EntryEdit } from '../../core/setup/withEntry.ts';
import type { Db } from './database.ts';
import { type DraftReader, entryKey, type Names, openDraftReader } from './draftReader.ts';
import { refusedAsChain, refusedByFollowing } from './followChecks.ts';
import { openFollowersReader } from './followers.ts';
import { meant, openJournal, type TakenOver } from './journal.ts';
import { oncePerDatabase } from './oncePerDatabase.ts';
import { openReleases, type ReleaseReader } from './releaseReader.ts';
import { openReleaseWrites, type Publishing } from './releaseWrites.ts';
import type { ChangedAgain, ChangedSince, Refusal, StaleWrite, UnknownRevision, WriteOutcome } from './writeOutcome.ts';

/** Where changes come from that are taken over from another setup, and the release the draft is up to with them. */
export interface TakenFrom {
  readonly source: string;
  readonly base: number | null;
}

/** Who does what nobody asked for. */
const ourselves = 'Clever Shelf';
/** The draft that a storefront begins with. */
export const firstDraft = 'main';

/** Edits of the same entries by the same person within this time, in milliseconds, are one step for undo. */
const oneStep = 1500;

/** One draft, its journal and the releases of its storefront, for reading. */
export interface SetupReader extends DraftReader {
  /** The change of somebody's own that undo (redo) would take back (make again), or null. */
  nextUndo(who: string): readonly EntryChange[] | null;
  nextRedo(who: string): readonly EntryChange[] | null;
  /** The step that brought the draft to a revision, or null. */
  stepAt(revision: number): { readonly who: string; readonly changes: readonly EntryChange[] } | null;
}

/** The same with its writes. Every write is one transaction. */
export interface SetupStore extends SetupReader {
  /** Begins the storefront's first draft with a setup, which is its first release too. */
  begin(setup: Setup, at: number, who?: string): void;
  /**
   * What a storefront that has a setup already begins with once its first catalog is there: as long as nobody changed
   * anything all of it, live at once; else what it lacks, in the draft.
   */
  beginWithCatalog(usual: Setup, at: number): void;
  edit(edits: readonly EntryEdit[], seen: number, who: string, at: number): WriteOutcome;
  /**
   * Takes back somebody's own last step. Entries that others changed since are asked about (`ask`: refused, with both
   * values), left as they are (`keep`), or taken back like the others (`take`).
   */
  undo(seen: number, who: string, at: number, changedSince?: ChangedSince): WriteOutcome;
  redo(seen: number, who: string, at: number, changedSince?: ChangedSince): WriteOutcome;
  /** `heldBack` names storefronts whose followed parts stay as they are. */
  publish(seen: number, who: string, note: string, at: number, heldBack?: readonly string[]): WriteOutcome;
  publishAgain(number: number, who: string, at: number): WriteOutcome;
  /** Takes one step back, whoever made it and however long ago, as a new step of one's own. */
  takeStepBack(id: number, seen: number, who: string, at: number, changedSince?: ChangedSince): WriteOutcome;
  /** Makes a part that follows another storefront's the storefront's own, as it is there. */
  ownPart(part: FollowablePart, seen: number, who: string, at: number): WriteOutcome;
  /** Takes changes over from another setup, as one step; refused where anything was changed since `seen`. */
  takeOver(changes: readonly EntryChange[], from: TakenFrom, seen: number, who: string, at: number): WriteOutcome;
}

const backwards = (change: EntryChange): EntryChange => ({ ...change, before: change.after, after: change.before });

/** A write that is refused after it has begun: what it wrote is rolled back. */
class RolledBack extends Error {
  readonly refusal: Refusal;
  constructor(refusal: Refusal) {
    super(refusal.code);
    this.refusal = refusal;
  }
}

const statementsOf = oncePerDatabase((db) => {
  const readStored = db
    .prepare<Names & { part: string; key: string }, string>(
      'SELECT value FROM setup_entry WHERE storefront = @storefront AND draft = @draft AND part = @part AND key = @key',
    )
    .pluck();
  const countStored = db
    .prepare<Names & { part: string }, number>(
      'SELECT count(*) FROM setup_entry WHERE storefront = @storefront AND draft = @draft AND part = @part',
    )
    .pluck();
  const removeEntry = db.prepare(
    'DELETE FROM setup_entry WHERE storefront = @storefront AND draft = @draft AND part = @part AND key = @key',
  );
  const storeEntry = db.prepare(
    `INSERT OR REPLACE INTO setup_entry (storefront, draft, part, key, value)
     VALUES (@storefront, @draft, @part, @key, @value)`,
  );
  const bumpRevision = db
    .prepare<Names, number>(
      'UPDATE draft SET revision = revision + 1 WHERE storefront = @storefront AND id = @draft RETURNING revision',
    )
    .pluck();
  const setBase = db.prepare('UPDATE draft SET base_release = @base WHERE storefront = @storefront AND id = @draft');
  const noteMade = db.prepare('UPDATE storefront SET made_at = @at WHERE id = @storefront AND made_at = 0');
  const addDraft = db.prepare(
    `INSERT INTO draft (storefront, id, revision, format, name, who, made_at, base_release)
     VALUES (@storefront, @draft, 1, @format, @name, @who, @at, 1)`,
  );
  return { readStored, countStored, removeEntry, storeEntry, bumpRevision, setBase, noteMade, addDraft };
});

/** `releasesOf` gives the releases of storefronts, where somebody reads them already. */
export function openSetupStore(
  db: Db,
  ref: DraftRef,
  releasesOf: (storefront: string) => ReleaseReader = openReleases(db),
): SetupStore {
  const { storefront } = ref;
  const names = { storefront, draft: ref.draft };
  const reader = openDraftReader(db, ref, releasesOf);
  const followers = openFollowersReader(db, releasesOf);
  const releases = openReleaseWrites(db, releasesOf, followers);
  const { revision } = reader;
  const journal = openJournal(db, ref);
  const { readStored, countStored, removeEntry, storeEntry, bumpRevision, setBase, noteMade, addDraft } =
    statementsOf(db);
  /** An entry as it is stored, whether or not it can be read; null where there is none. */
  const stored = (part: string, key: string): unknown => {
    const text = readStored.get({ ...names, part, key });
    if (text === undefined) return null;
    try {
      return JSON.parse(text);
    } catch {
      return text;
    }
  };
  const writeEntry = ({ part, key, value }: EntryEdit): void => {
    if (value === null) removeEntry.run({ ...names, part, key });
    else storeEntry.run({ ...names, part, key, value: JSON.stringify(value) });
  };
  /** Journals a step, which brings the draft to its next revision. */
  const note = (
    kind: 'edit' | 'undo' | 'redo',
    changes: readonly EntryChange[],
    who: string,
    at: number,
    taken: TakenOver | null = null,
  ): { readonly revision: number } => {
    const now = bumpRevision.get(names)!;
    journal.add(kind, now, changes, who, at, taken);
    return { revision: now };
  };
  /** What others changed in these entries since the writer looked, or null where nothing. */
  const stale = (keys: ReadonlySet<string> | null, seen: number): StaleWrite | UnknownRevision | null => {
    const now = revision();
    if (seen === now) return null;
    if (seen > now || seen < reader.prunedTo()) return { code: 'unknown-revision', revision: now };
    const since = journal.since(seen).filter(({ change }) => keys === null || keys.has(entryKey(change)));
    if (keys !== null && since.length === 0) return null;
    const changes = since.map(({ change }) => change);
    return { code: 'stale-write', revision: now, changes, who: [...new Set(since.map(({ who }) => who))] };
  };
  /** Edits as they are where others changed the same entries since `seen` and both can stand, or why they cannot. */
  const putTogether = (
    edits: readonly EntryEdit[],
    seen: number,
  ): { readonly edits: readonly EntryEdit[] } | { readonly refusal: StaleWrite | UnknownRevision } => {
    const refusal = stale(new Set(edits.map(entryKey)), seen);
    if (!refusal) return { edits };
    if (refusal.code !== 'stale-write') return { refusal };
    const together: EntryEdit[] = [];
    const since = journal.since(seen);
    for (const edit of edits) {
      const first = since.find(({ change }) => entryKey(change) === entryKey(edit));
      if (first && !first.isWhole) return { refusal };
      const merged = first ? mergeEntry(edit, first.change.before, stored(edit.part, edit.key)) : edit;
      if (!merged) return { refusal };
      together.push(merged);
    }
    return { edits: together };
  };
  /** Makes a setup live, and with it what others follow of it. */
  const release = (setup: Setup, publishing: Publishing, heldBack: readonly string[] = []): readonly string[] => {
    setBase.run({ ...names, base: releases.insert(storefront, setup, publishing) });
    return releases.renewFollowers(storefront, new Set(heldBack), publishing);
  };
  const refuseFollowed = (changes: readonly EntryChange[]): void => {
    const refusal = refusedByFollowing(releasesOf, storefront, changes, reader.stored());
    if (refusal) throw new RolledBack(refusal);
  };
  const refuseChains = (setup: Setup): void => {
    const refusal = refusedAsChain(releasesOf, storefront, setup, followers.followerIn);
    if (refusal) throw new RolledBack(refusal);
  };
  /**
   * Joins an edit to the one before it where both are one movement of the hand (a slider, typing). Entries that end as
   * they began stay in the step: who looked in between saw something else.
   */
  const joinToLast = (changes: readonly EntryChange[], who: string, at: number): number | null => {
    const last = journal.lastDone(who);
    if (!last || last.source !== null || journal.lastId() !== last.id || at - last.at > oneStep) return null;
    // What has been published in between is a step of its own: undo must be able to go back to just that.
    if ((reader.live()?.at ?? 0) >= last.at) return null;
    const before = last.changes;
    const sameEntries =
      before.length === changes.length &&
      before.every((change, index) => entryKey(change) === entryKey(changes[index]!));
    if (!sameEntries) return null;
    const joined = before.map((change, index) => ({ ...change, after: changes[index]!.after }));
    const now = bumpRevision.get(names)!;
    // Done and taken back in one movement: there is nothing left to undo.
    const state = joined.some(isChange) ? 'done' : 'gone';
    journal.join(last.id, now, joined, at, state);
    return now;
  };
  /** The changes that are made of those wanted, each from what the entry is now; refused where others are to be asked about. */
  const sortOut = (
    after: number,
    wanted: readonly EntryChange[],
    changedSince: ChangedSince,
  ): { readonly changes: EntryChange[] } | { readonly refusal: ChangedAgain } => {
    const now = wanted.map((change) => ({ change, is: stored(change.part, change.key) }));
    const isMine = ({ change, is }: (typeof now)[number]): boolean => canonical(change.before) === canonical(is);
    const others = now
      .filter((each) => !isMine(each))
      .map(({ change: { part, key, after }, is }): EntryChange => ({ part, key, before: after, after: is }))
      .filter(isChange);
    if (others.length > 0 && changedSince === 'ask')
      return { refusal: { code: 'changed-since', changes: others, who: journal.changedAfter(after, others) } };
    const changes = now
      .filter((each) => changedSince === 'take' || isMine(each))
      .map(({ change: { part, key, after }, is }): EntryChange => ({ part, key, before: is, after }));
    return { changes: changes.filter(isChange) };
  };
  const step = (
    kind: 'undo' | 'redo',
    seen: number,
    who: string,
    at: number,
    changedSince: ChangedSince,
  ): WriteOutcome => {
    const row = kind === 'undo' ? journal.lastDone(who) : journal.firstUndone(who);
    if (!row) return { refusal: { code: kind === 'undo' ? 'nothing-to-undo' : 'nothing-to-redo' } };
    if (seen > revision()) return { refusal: { code: 'unknown-revision', revision: revision() } };
    const wanted = kind === 'undo' ? row.changes.map(backwards) : row.changes;
    const sorted = sortOut(row.id, wanted, changedSince);
    if ('refusal' in sorted) return sorted;
    const { changes } = sorted;
    if (changes.length === 0) {
      // All of it is somebody else's by now and stays: the step before it is next.
      journal.setState(row.id, 'gone');
      return { revision: revision() };
    }
    refuseFollowed(changes);
    for (const { part, key, after } of changes) writeEntry({ part, key, value: after });
    journal.setState(row.id, kind === 'undo' ? 'undone' : 'done');
    // Without what a merge brought, the draft is no longer up to what it was brought up to.
    if (row.source !== null) setBase.run({ ...names, base: kind === 'undo' ? row.baseBefore : row.baseAfter });
    return note(kind, changes, who, at);
  };
  /** Throws where what has just been written could not be read again, or is more than a part holds. */
  const holdToSchema = (changes: readonly EntryChange[]): void => {
    for (const { part, key, after } of changes) {
      const read = after === null ? null : readEntry(part, key, after);
      if (read && 'reason' in read)
        throw new RolledBack({ code: 'invalid-entry', part, key, field: '', message: read.reason });
    }
    for (const part of new Set(changes.map((change) => change.part)))
      if (countStored.get({ ...names, part })! > mostEntries(part)) {
        const message = `There can be at most ${mostEntries(part)} entries in ${part}.`;
        throw new RolledBack({ code: 'too-many-entries', part, key: '', field: '', message });
      }
  };
  const inOne =
    <Arguments extends unknown[]>(work: (...given: Arguments) => WriteOutcome) =>
    (...given: Arguments): WriteOutcome => {
      try {
        return db
          .transaction((): WriteOutcome => (revision() === 0 ? { refusal: { code: 'unknown-draft' } } : work(...given)))
          .immediate();
      } catch (error) {
        if (error instanceof RolledBack) return { refusal: error.refusal };
        throw error;
      }
    };

  return {
    ...reader,
    nextUndo: (who) => meant(journal.lastDone(who)),
    nextRedo: (who) => meant(journal.firstUndone(who)),
    stepAt(revision) {
      const step = journal.at(revision);
      return step && { who: step.who, changes: meant(step)! };
    },
    begin: db.transaction((setup: Setup, at: number, who = ourselves) => {
      addDraft.run({ ...names, name: 'Main draft', who, at, format: setupVersion });
      for (const entry of entriesOf(setup)) writeEntry(entry);
      noteMade.run({ storefront, at });
      release(setup, { who, note: 'Initial setup', at });
    }).immediate,
    beginWithCatalog: db.transaction((usual: Setup, at: number) => {
      const own = reader.draft();
      const isUntouched = journal.lastId() === null && Object.keys(own.attributes).length === 0;
      const changes = changesBetween(own, usual).filter(
        ({ part, before }) => isUntouched || (part === 'attributes' && before === null),
      );
      if (changes.length === 0) return;
      for (const { part, key, after } of changes) writeEntry({ part, key, value: after });
      note('edit', changes, ourselves, at);
      if (isUntouched && !reader.isBehind()) release(reader.draft(), { who: ourselves, note: 'First catalog', at });
    }).immediate,
    edit: inOne((edits: readonly EntryEdit[], seen: number, who: string, at: number): WriteOutcome => {
      const checked: EntryEdit[] = [];
      for (const edit of edits) {
        const outcome = checkEdit(edit);
        if ('refusal' in outcome) return { refusal: outcome.refusal };
        checked.push(outcome.edit);
      }
      const put = putTogether(checked, seen);
      if ('refusal' in put) return put;
      const changes = put.edits
        .map(({ part, key, value }): EntryChange => ({ part, key, before: stored(part, key), after: value }))
        .filter(isChange);
      if (changes.length === 0) return { revision: revision() };
      refuseFollowed(changes);
      for (const { part, key, after } of changes) writeEntry({ part, key, value: after });
      holdToSchema(changes);
      journal.dropUndone(who);
      const joined = joinToLast(changes, who, at);
      return joined === null ? note('edit', changes, who, at) : { revision: joined };
    }),
    undo: inOne((seen: number, who: string, at: number, changedSince: ChangedSince = 'ask') =>
      step('undo', seen, who, at, changedSince),
    ),
    redo: inOne((seen: number, who: string, at: number, changedSince: ChangedSince = 'ask') =>
      step('redo', seen, who, at, changedSince),
    ),
    publish: inOne(
      (seen: number, who: string, note: string, at: number, heldBack: readonly string[] = []): WriteOutcome => {
        const refusal = stale(null, seen);
        if (refusal) return { refusal };
        if (reader.isBehind()) return { refusal: { code: 'behind' } };
        if (reader.changes().length === 0) return { refusal: { code: 'nothing-to-publish' } };
        refuseChains(reader.draft());
        const reached = release(reader.draft(), { who, note, at }, heldBack);
        return { revision: revision(), reached };
      },
    ),
    ownPart: inOne((part: FollowablePart, seen: number, who: string, at: number): WriteOutcome => {
      const refusal = stale(new Set([entryKey({ part: 'following', key: part })]), seen);
      if (refusal) return { refusal };
      const changes = makeOwn(part, reader.draft(), reader.stored())
        .map((made): EntryChange => ({ ...made, before: stored(made.part, made.key), after: made.value }))
        .filter(isChange);
      if (changes.length === 0) return { revision: revision() };
      for (const { part, key, after } of changes) writeEntry({ part, key, value: after });
      holdToSchema(changes);
      journal.dropUndone(who);
      return note('edit', changes, who, at);
    }),
    takeOver: inOne(
      (
        changes: readonly EntryChange[],
        { source, base }: TakenFrom,
        seen: number,
        who: string,
        at: number,
      ): WriteOutcome => {
        const refusal = stale(null, seen);
        if (refusal) return { refusal };
        for (const { part, key, after } of changes) writeEntry({ part, key, value: after });
        holdToSchema(changes);
        journal.dropUndone(who);
        const outcome = note('edit', changes, who, at, { source, before: reader.baseNumber(), after: base });
        setBase.run({ ...names, base });
        return outcome;
      },
    ),
    takeStepBack: inOne(
      (id: number, seen: number, who: string, at: number, changedSince: ChangedSince = 'ask'): WriteOutcome => {
        if (seen > revision()) return { refusal: { code: 'unknown-revision', revision: revision() } };
        const row = journal.byId(id);
        if (!row) return { refusal: { code: 'unknown-step' } };
        const sorted = sortOut(id, row.changes.map(backwards), changedSince);
        if ('refusal' in sorted) return sorted;
        const { changes } = sorted;
        if (changes.length === 0) return { refusal: { code: 'nothing-to-take-back' } };
        refuseFollowed(changes);
        for (const { part, key, after } of changes) writeEntry({ part, key, value: after });
        holdToSchema(changes);
        journal.dropUndone(who);
        return note('edit', changes, who, at);
      },
    ),
    publishAgain: inOne((number: number, who: string, at: number): WriteOutcome => {
      const earlier = reader.release(number);
      if (!earlier) return { refusal: { code: 'unknown-release' } };
      refuseChains(earlier.setup);
      const reached = release(earlier.setup, { who, note: `Release ${number} again`, at });
      return { revision: revision(), reached };
    }),
  };
}
