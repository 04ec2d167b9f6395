import {
  canonical,
  checkEdit,
  type EditRefusal,
  type EntryChange,
  entriesOf,
  setupFromEntries,
} from '../../core/setup/entries.ts';
import { type Setup, type SetupPart, setupSchema } from '../../core/setup/schema.ts';
import type { EntryEdit } from '../../core/setup/withEntry.ts';
import { type Db, draftId, storefrontId } from './database.ts';

export interface Release {
  readonly number: number;
  readonly at: number;
  readonly who: string;
  readonly note: string;
  readonly setup: Setup;
}

/** Someone else changed the same entries (or the draft) since the writer looked. */
export interface StaleWrite {
  readonly code: 'stale-write';
  readonly revision: number;
  readonly changes: readonly EntryChange[];
}
export type WriteOutcome = { readonly revision: number } | { readonly refusal: EditRefusal | StaleWrite | NothingToDo };
export interface NothingToDo {
  readonly code: 'nothing-to-undo' | 'nothing-to-redo' | 'nothing-to-publish' | 'unknown-release';
}

interface JournalRow {
  readonly id: number;
  readonly who: string;
  readonly at: number;
  readonly changes: string;
}

/** Edits of the same entries by the same person within this time, in milliseconds, are one step for undo. */
const oneStep = 1500;

const entryKey = ({ part, key }: { readonly part: string; readonly key: string }): string => `${part}/${key}`;

/** The draft, its journal and the releases of the storefront. Every write is one transaction. */
export interface SetupStore {
  revision(): number;
  draft(): Setup;
  live(): Release | null;
  releases(): Release[];
  /** The change that undo (redo) would take back (make again), or null. */
  nextUndo(): readonly EntryChange[] | null;
  nextRedo(): readonly EntryChange[] | null;
  begin(setup: Setup, at: number): void;
  edit(edits: readonly EntryEdit[], seen: number, who: string, at: number): WriteOutcome;
  undo(seen: number, who: string, at: number): WriteOutcome;
  redo(seen: number, who: string, at: number): WriteOutcome;
  publish(seen: number, who: string, note: string, at: number): WriteOutcome;
  publishAgain(number: number, who: string, at: number): WriteOutcome;
}

export function openSetupStore(db: Db): SetupStore {
  const names = { storefront: storefrontId, draft: draftId };
  const readRevision = db
    .prepare<typeof names, number>('SELECT revision FROM draft WHERE storefront = @storefront AND id = @draft')
    .pluck();
  const readEntries = db.prepare<typeof names, { part: SetupPart; key: string; value: string }>(
    'SELECT part, key, value FROM setup_entry WHERE storefront = @storefront AND draft = @draft',
  );
  const readEntry = db
    .prepare<typeof names & { part: string; key: string }, string>(
      'SELECT value FROM setup_entry WHERE storefront = @storefront AND draft = @draft AND part = @part AND key = @key',
    )
    .pluck();
  const lastStep = (state: 'done' | 'undone', order: 'DESC' | 'ASC') =>
    db.prepare<typeof names, JournalRow>(
      `SELECT id, who, at, changes FROM journal
       WHERE storefront = @storefront AND draft = @draft AND kind = 'edit' AND state = '${state}' ORDER BY id ${order} LIMIT 1`,
    );
  const lastDone = lastStep('done', 'DESC');
  const firstUndone = lastStep('undone', 'ASC');
  const lastJournaled = db.prepare<typeof names, { id: number }>(
    'SELECT id FROM journal WHERE storefront = @storefront AND draft = @draft ORDER BY id DESC LIMIT 1',
  );
  const changesSince = db
    .prepare<typeof names & { revision: number }, string>(
      'SELECT changes FROM journal WHERE storefront = @storefront AND draft = @draft AND revision > @revision ORDER BY id',
    )
    .pluck();
  const readReleases = db.prepare<
    { storefront: string },
    { number: number; at: number; who: string; note: string; document: string }
  >('SELECT number, at, who, note, document FROM release WHERE storefront = @storefront ORDER BY number DESC');
  const readLive = db.prepare<
    { storefront: string },
    { number: number; at: number; who: string; note: string; document: string }
  >(
    `SELECT number, at, who, note, document FROM release
     WHERE storefront = @storefront AND number = (SELECT release FROM storefront WHERE id = @storefront)`,
  );

  const revision = (): number => readRevision.get(names) ?? 0;
  const draft = (): Setup =>
    setupFromEntries(readEntries.all(names).map(({ part, key, value }) => ({ part, key, value: JSON.parse(value) })));
  const toRelease = (row: { number: number; at: number; who: string; note: string; document: string }): Release => ({
    number: row.number,
    at: row.at,
    who: row.who,
    note: row.note,
    setup: setupSchema.parse(JSON.parse(row.document)),
  });
  const live = (): Release | null => {
    const row = readLive.get({ storefront: storefrontId });
    return row ? toRelease(row) : null;
  };

  const writeEntry = ({ part, key, value }: EntryEdit): void => {
    if (value === null)
      db.prepare('DELETE FROM setup_entry WHERE storefront = ? AND draft = ? AND part = ? AND key = ?').run(
        storefrontId,
        draftId,
        part,
        key,
      );
    else
      db.prepare('INSERT OR REPLACE INTO setup_entry (storefront, draft, part, key, value) VALUES (?, ?, ?, ?, ?)').run(
        storefrontId,
        draftId,
        part,
        key,
        JSON.stringify(value),
      );
  };
  const bump = (): number => {
    db.prepare('UPDATE draft SET revision = revision + 1 WHERE storefront = ? AND id = ?').run(storefrontId, draftId);
    return revision();
  };
  const journal = (
    kind: 'edit' | 'undo' | 'redo',
    changes: readonly EntryChange[],
    who: string,
    at: number,
  ): number => {
    const now = bump();
    db.prepare(
      `INSERT INTO journal (storefront, draft, revision, who, at, kind, changes, state) VALUES (?, ?, ?, ?, ?, ?, ?, 'done')`,
    ).run(storefrontId, draftId, now, who, at, kind, JSON.stringify(changes));
    return now;
  };
  /** What others changed in these entries since the writer looked, or null where nothing. */
  const stale = (keys: ReadonlySet<string> | null, seen: number): StaleWrite | null => {
    const now = revision();
    if (seen === now) return null;
    const changes = changesSince
      .all({ ...names, revision: seen })
      .flatMap((text) => JSON.parse(text) as EntryChange[])
      .filter((change) => keys === null || keys.has(entryKey(change)));
    return keys !== null && changes.length === 0 ? null : { code: 'stale-write', revision: now, changes };
  };
  const insertRelease = (setup: Setup, who: string, note: string, at: number): void => {
    const number =
      (db.prepare('SELECT max(number) FROM release WHERE storefront = ?').pluck().get(storefrontId) as number | null) ??
      0;
    db.prepare('INSERT INTO release (storefront, number, at, who, note, document) VALUES (?, ?, ?, ?, ?, ?)').run(
      storefrontId,
      number + 1,
      at,
      who,
      note,
      canonical(setup),
    );
    db.prepare('UPDATE storefront SET release = ? WHERE id = ?').run(number + 1, storefrontId);
  };
  /** Joins an edit to the one before it where both are one movement of the hand (a slider, typing). */
  const joinToLast = (changes: readonly EntryChange[], who: string, at: number): number | null => {
    const last = lastDone.get(names);
    if (!last || lastJournaled.get(names)?.id !== last.id || last.who !== who || at - last.at > oneStep) return null;
    // What has been published in between is a step of its own: undo must be able to go back to just that.
    if ((readLive.get({ storefront: storefrontId })?.at ?? 0) >= last.at) return null;
    const before = JSON.parse(last.changes) as EntryChange[];
    const sameEntries =
      before.length === changes.length &&
      before.every((change, index) => entryKey(change) === entryKey(changes[index]!));
    if (!sameEntries) return null;
    const joined = before
      .map((change, index) => ({ ...change, after: changes[index]!.after }))
      .filter((change) => canonical(change.before) !== canonical(change.after));
    const now = bump();
    // Done and taken back in one movement: there is nothing left to undo.
    if (joined.length === 0) db.prepare('DELETE FROM journal WHERE id = ?').run(last.id);
    else
      db.prepare('UPDATE journal SET changes = ?, revision = ?, at = ? WHERE id = ?').run(
        JSON.stringify(joined),
        now,
        at,
        last.id,
      );
    return now;
  };
  const step = (kind: 'undo' | 'redo', seen: number, who: string, at: number): WriteOutcome => {
    const row = (kind === 'undo' ? lastDone : firstUndone).get(names);
    if (!row) return { refusal: { code: kind === 'undo' ? 'nothing-to-undo' : 'nothing-to-redo' } };
    const changes = (JSON.parse(row.changes) as EntryChange[]).map((change) =>
      kind === 'undo' ? { ...change, before: change.after, after: change.before } : change,
    );
    const refusal = stale(new Set(changes.map(entryKey)), seen);
    if (refusal) return { refusal };
    for (const { part, key, after } of changes) writeEntry({ part, key, value: after });
    db.prepare('UPDATE journal SET state = ? WHERE id = ?').run(kind === 'undo' ? 'undone' : 'done', row.id);
    return { revision: journal(kind, changes, who, at) };
  };
  const inOne = <Arguments extends unknown[], Outcome>(work: (...given: Arguments) => Outcome) =>
    db.transaction(work).immediate;

  return {
    revision,
    draft,
    live,
    releases: () => readReleases.all({ storefront: storefrontId }).map(toRelease),
    nextUndo() {
      const row = lastDone.get(names);
      return row ? (JSON.parse(row.changes) as EntryChange[]) : null;
    },
    nextRedo() {
      const row = firstUndone.get(names);
      return row ? (JSON.parse(row.changes) as EntryChange[]) : null;
    },
    begin: inOne((setup: Setup, at: number) => {
      db.prepare('INSERT INTO draft (storefront, id, revision) VALUES (?, ?, 1)').run(storefrontId, draftId);
      for (const entry of entriesOf(setup)) writeEntry(entry);
      insertRelease(setup, 'Clever Shelf', 'The setup to begin with', at);
    }),
    edit: inOne((edits: readonly EntryEdit[], seen: number, who: string, at: number): WriteOutcome => {
      const checked: EntryEdit[] = [];
      for (const edit of edits) {
        const outcome = checkEdit(edit);
        if ('refusal' in outcome) return { refusal: outcome.refusal };
        checked.push(outcome.edit);
      }
      const refusal = stale(new Set(checked.map(entryKey)), seen);
      if (refusal) return { refusal };
      const changes = checked
        .map(({ part, key, value }): EntryChange => {
          const before = readEntry.get({ ...names, part, key });
          return { part, key, before: before === undefined ? null : JSON.parse(before), after: value };
        })
        .filter(({ before, after }) => canonical(before) !== canonical(after));
      if (changes.length === 0) return { revision: revision() };
      for (const { part, key, after } of changes) writeEntry({ part, key, value: after });
      db.prepare(`UPDATE journal SET state = 'gone' WHERE storefront = ? AND draft = ? AND state = 'undone'`).run(
        storefrontId,
        draftId,
      );
      return { revision: joinToLast(changes, who, at) ?? journal('edit', changes, who, at) };
    }),
    undo: inOne((seen: number, who: string, at: number) => step('undo', seen, who, at)),
    redo: inOne((seen: number, who: string, at: number) => step('redo', seen, who, at)),
    publish: inOne((seen: number, who: string, note: string, at: number): WriteOutcome => {
      const refusal = stale(null, seen);
      if (refusal) return { refusal };
      const setup = draft();
      if (canonical(setup) === canonical(live()?.setup)) return { refusal: { code: 'nothing-to-publish' } };
      insertRelease(setup, who, note, at);
      return { revision: revision() };
    }),
    publishAgain: inOne((number: number, who: string, at: number): WriteOutcome => {
      const row = readReleases.all({ storefront: storefrontId }).find((release) => release.number === number);
      if (!row) return { refusal: { code: 'unknown-release' } };
      insertRelease(toRelease(row).setup, who, `Release ${number} again`, at);
      return { revision: revision() };
    }),
  };
}
