import { type EntryChange, isChange } from '../../core/setup/entries.ts';
import type { DraftRef } from '../../core/setup/setupRef.ts';
import type { Db } from './database.ts';
import { entryKey, type Names } from './draftReader.ts';
import { oncePerDatabase } from './oncePerDatabase.ts';
import { readChanges } from './readChanges.ts';

/** One step of a draft as it was journaled. */
export interface Step {
  readonly id: number;
  readonly who: string;
  readonly at: number;
  readonly changes: readonly EntryChange[];
  /** Of a merge, what it was of and the release the draft was up to before and after; else null. */
  readonly source: string | null;
  readonly baseBefore: number | null;
  readonly baseAfter: number | null;
}

/** Of a merge: the setup it is of, by its name, and the release the draft is up to before and after. */
export interface TakenOver {
  readonly source: string;
  readonly before: number | null;
  readonly after: number | null;
}

/** A change made after some revision. One of a step that began before that does not tell what stood in between. */
export interface ChangeSince {
  readonly who: string;
  readonly change: EntryChange;
  readonly isWhole: boolean;
}

type StepState = 'done' | 'undone' | 'gone';
type Row = Omit<Step, 'changes'> & { readonly changes: string };

/** What was done in one draft, step by step. Its writes stand in somebody else's transaction. */
export interface Journal {
  /** Somebody's last step that is done; the first that is undone. */
  lastDone(who: string): Step | null;
  firstUndone(who: string): Step | null;
  byId(id: number): Step | null;
  /** The step that brought the draft to a revision. */
  at(revision: number): Step | null;
  /** Number of the last step of anybody, or null. */
  lastId(): number | null;
  since(revision: number): ChangeSince[];
  /** Who changed some entries after a step. */
  changedAfter(id: number, changes: readonly EntryChange[]): string[];
  add(
    kind: 'edit' | 'undo' | 'redo',
    revision: number,
    changes: readonly EntryChange[],
    who: string,
    at: number,
    taken?: TakenOver | null,
  ): void;
  /** Makes a step's changes others, as of a later revision. */
  join(id: number, revision: number, changes: readonly EntryChange[], at: number, state: StepState): void;
  setState(id: number, state: StepState): void;
  /** Lets go of what somebody could have made again. */
  dropUndone(who: string): void;
}

/** Reads steps, keeping the last one: it may have ten thousands of changes, and is asked for with every state. */
function stepReader(): (row: Row | undefined) => Step | null {
  let known: { readonly row: Row; readonly step: Step } | null = null;
  return (row) => {
    if (!row) return null;
    if (known?.row.id !== row.id || known.row.changes !== row.changes)
      known = { row, step: { ...row, changes: readChanges(row.changes) } };
    return known.step;
  };
}

const statementsOf = oncePerDatabase((db) => {
  const ofDraft = 'WHERE storefront = @storefront AND draft = @draft';
  const columns = 'id, who, at, changes, source, base_before AS baseBefore, base_after AS baseAfter';
  const ofState = (state: StepState, order: 'DESC' | 'ASC') =>
    db.prepare<Names & { who: string }, Row>(
      `SELECT ${columns} FROM journal ${ofDraft} AND kind = 'edit' AND state = '${state}' AND who = @who
       ORDER BY id ${order} LIMIT 1`,
    );
  const [lastDone, firstUndone] = [ofState('done', 'DESC'), ofState('undone', 'ASC')];
  const byId = db.prepare<Names & { id: number }, Row>(`SELECT ${columns} FROM journal ${ofDraft} AND id = @id`);
  const ofRevision = db.prepare<Names & { revision: number }, Row>(
    `SELECT ${columns} FROM journal ${ofDraft} AND revision = @revision`,
  );
  const lastId = db.prepare<Names, number | null>(`SELECT max(id) FROM journal ${ofDraft}`).pluck();
  const since = db.prepare<Names & { revision: number }, { who: string; changes: string; began: number }>(
    `SELECT who, changes, coalesce(first_revision, 0) AS began FROM journal ${ofDraft} AND revision > @revision ORDER BY id`,
  );
  const after = db.prepare<Names & { id: number }, { who: string; changes: string }>(
    `SELECT who, changes FROM journal ${ofDraft} AND id > @id ORDER BY id`,
  );
  const add = db.prepare(
    `INSERT INTO journal
       (storefront, draft, revision, who, at, kind, changes, state, first_revision, source, base_before, base_after)
     VALUES
       (@storefront, @draft, @revision, @who, @at, @kind, @changes, 'done', @revision, @source, @before, @after)`,
  );
  const join = db.prepare(
    'UPDATE journal SET changes = @changes, revision = @revision, at = @at, state = @state WHERE id = @id',
  );
  const setState = db.prepare('UPDATE journal SET state = @state WHERE id = @id');
  const dropUndone = db.prepare(`UPDATE journal SET state = 'gone' ${ofDraft} AND state = 'undone' AND who = @who`);
  return { lastDone, firstUndone, byId, ofRevision, lastId, since, after, add, join, setState, dropUndone };
});

export function openJournal(db: Db, { storefront, draft }: DraftRef): Journal {
  const names = { storefront, draft };
  const { lastDone, firstUndone, byId, ofRevision, lastId, since, after, add, join, setState, dropUndone } =
    statementsOf(db);
  const [readDone, readUndone, readOther] = [stepReader(), stepReader(), stepReader()];
  return {
    lastDone: (who) => readDone(lastDone.get({ ...names, who })),
    firstUndone: (who) => readUndone(firstUndone.get({ ...names, who })),
    byId: (id) => readOther(byId.get({ ...names, id })),
    at: (revision) => readOther(ofRevision.get({ ...names, revision })),
    lastId: () => lastId.get(names) ?? null,
    since: (revision) =>
      since
        .all({ ...names, revision })
        .flatMap(({ who, changes, began }) =>
          readChanges(changes).map((change): ChangeSince => ({ who, change, isWhole: began > revision })),
        ),
    changedAfter(id, changes) {
      const keys = new Set(changes.map(entryKey));
      const theirs = after
        .all({ ...names, id })
        .filter(({ changes: text }) => readChanges(text).some((change) => keys.has(entryKey(change))));
      return [...new Set(theirs.map(({ who }) => who))];
    },
    add(kind, revision, changes, who, at, taken) {
      const { source = null, before = null, after: baseAfter = null } = taken ?? {};
      const text = JSON.stringify(changes);
      add.run({ ...names, revision, who, at, kind, changes: text, source, before, after: baseAfter });
    },
    join: (id, revision, changes, at, state) =>
      void join.run({ id, revision, at, state, changes: JSON.stringify(changes) }),
    setState: (id, state) => void setState.run({ id, state }),
    dropUndone: (who) => void dropUndone.run({ ...names, who }),
  };
}

const meantOf = new WeakMap<Step, readonly EntryChange[]>();
/** The changes of a step that mean something: the same list for the same step, since what is told of it is kept by it. */
export function meant(step: Step | null): readonly EntryChange[] | null {
  if (!step) return null;
  const known = meantOf.get(step) ?? step.changes.filter(isChange);
  meantOf.set(step, known);
  return known;
}
