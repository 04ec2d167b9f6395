import { changesBetween, type EntryChange, entriesOf } from '../../core/setup/entries.ts';
import { idFor } from '../../core/setup/idFor.ts';
import { type MergeAnswers, type Merged, mergeSetups } from '../../core/setup/mergeSetups.ts';
import type { MergeSide } from '../../core/setup/mergeValues.ts';
import { readSetup } from '../../core/setup/readSetup.ts';
import type { SetupPart } from '../../core/setup/registry.ts';
import { type Setup, setupVersion } from '../../core/setup/schema.ts';
import { type DraftRef, nameOf, type SetupRef } from '../../core/setup/setupRef.ts';
import { canonical } from '../../core/setup/terms/canonical.ts';
import { isFollowable } from '../../core/setup/terms/followable.ts';
import { withEntries } from '../../core/setup/withEntry.ts';
import { noSuchSetup, Refused } from '../refused.ts';
import type { Db } from './database.ts';
import type { SetupReader } from './setupStore.ts';
import type { SetupStores, SetupsReader } from './setups.ts';
import { openStorefrontReader } from './storefronts.ts';
import type { WriteOutcome } from './writeOutcome.ts';

/** Drafts one storefront may have, those taken out not counted. */
const mostDrafts = 200;

/** What a draft is begun with. */
export interface NewDraft {
  readonly name: string;
  readonly note: string;
  /** A setup of the same storefront. */
  readonly from: SetupRef;
}

/** Which side holds in one conflict of a merge, by the conflict's id. */
type AnsweredConflict = readonly [conflict: string, side: MergeSide];

/** Writes about the drafts of storefronts as wholes; each is one transaction. */
export interface DraftWrites {
  /** Begins a draft; answers its id. */
  beginDraft(storefront: string, draft: NewDraft, who: string, at: number): string;
  /** Names it and notes something about it. */
  nameDraft(ref: DraftRef, name: string, note: string): void;
  /** Takes a draft out, so that nobody finds it any more; it can be put back. The last one stays. */
  takeOutDraft(ref: DraftRef, at: number): void;
  putBackDraft(ref: DraftRef): void;
  /**
   * Merges another setup of the storefront into a draft, as one step: another draft, or the release that is live, up to
   * which the draft is then. Refused where it has been changed since `seen`, or a conflict is not answered.
   */
  mergeInto: MergeInto;
}

type MergeInto = (
  ref: DraftRef,
  from: SetupRef,
  answers: readonly AnsweredConflict[],
  seen: number,
  who: string,
  at: number,
) => WriteOutcome;

/** What two drafts, or a draft and a release, come from. */
function commonBase(db: Db, setups: SetupsReader, ours: DraftRef, theirs: SetupRef): Setup {
  const draft = setups.draft(ours);
  const releases = setups.releases(ours.storefront);
  const ofRelease = (number: number | null): Setup | null =>
    number === null ? null : (releases.release(number)?.setup ?? null);
  if (!('draft' in theirs)) {
    const number = theirs.release === 'live' ? releases.liveNumber() : theirs.release;
    const base = draft.baseNumber();
    // Of an older release than the one it is up to, the draft has everything already.
    return ofRelease(base !== null && number !== null ? Math.min(base, number) : base) ?? draft.draft();
  }
  const [one, other] = [ours.draft, theirs.draft].sort() as [string, string];
  const document = db
    .prepare<[string, string, string], string>(
      `SELECT b.document FROM draft_base b LEFT JOIN journal j ON j.id = b.step
       WHERE b.storefront = ? AND b.one = ? AND b.other = ? AND (b.step = 0 OR j.state = 'done')
       ORDER BY b.step DESC LIMIT 1`,
    )
    .pluck()
    .get(ours.storefront, one, other);
  if (document !== undefined) return readSetup(JSON.parse(document)).setup;
  const bases = [draft.baseNumber(), setups.draft(theirs).baseNumber()];
  const known = bases.filter((number) => number !== null);
  return ofRelease(known.length > 0 ? Math.min(...known) : null) ?? draft.draft();
}

/** The setup of a name; refused where there is none. */
function setupOf(setups: SetupsReader, ref: SetupRef): Setup {
  if ('draft' in ref) {
    const draft = setups.draft(ref);
    if (draft.revision() === 0) throw noSuchSetup(ref);
    return draft.draft();
  }
  const releases = setups.releases(ref.storefront);
  const release = ref.release === 'live' ? releases.live() : releases.release(ref.release);
  if (!release) throw noSuchSetup(ref);
  return release.setup;
}

/** What merging one setup into a draft would change, and what it asks. */
export const mergedInto = (
  db: Db,
  setups: SetupsReader,
  ref: DraftRef,
  from: SetupRef,
  answers: MergeAnswers = new Map(),
): Merged =>
  mergeSetups(
    { base: commonBase(db, setups, ref, from), ours: setupOf(setups, ref), theirs: setupOf(setups, from) },
    answers,
  );

/**
 * The changes of a merge as they are written: where a followed part becomes the draft's own, all of it, since what lies
 * under it is not what was shown.
 */
function withOwnParts(changes: readonly EntryChange[], draft: SetupReader): readonly EntryChange[] {
  const freed = new Set<SetupPart>(
    changes.flatMap(({ part, key, after }) =>
      part === 'following' && after === null && isFollowable(key) ? [key] : [],
    ),
  );
  if (freed.size === 0) return changes;
  const stored = draft.stored();
  const merged = withEntries(
    draft.draft(),
    changes.map(({ part, key, after }) => ({ part, key, value: after })),
  );
  const whole = changesBetween(stored, merged).filter(({ part }) => freed.has(part));
  return [...changes.filter(({ part }) => !freed.has(part)), ...whole];
}

export function openDraftWrites(db: Db, setups: SetupStores): DraftWrites {
  const { drafts, draft: headOf } = openStorefrontReader(db);
  const add = db.prepare(
    `INSERT INTO draft (storefront, id, revision, format, name, note, who, made_at, base_release)
     VALUES (@storefront, @draft, 1, @format, @name, @note, @who, @at, @base)`,
  );
  const copyEntries = db.prepare(
    `INSERT INTO setup_entry (storefront, draft, part, key, value)
     SELECT storefront, @draft, part, key, value FROM setup_entry WHERE storefront = @storefront AND draft = @from`,
  );
  const addEntry = db.prepare(
    'INSERT INTO setup_entry (storefront, draft, part, key, value) VALUES (@storefront, @draft, @part, @key, @value)',
  );
  const addBase = db.prepare(
    `INSERT OR REPLACE INTO draft_base (storefront, one, other, step, document)
     VALUES (@storefront, @one, @other, @step, @document)`,
  );
  const rename = db.prepare(
    'UPDATE draft SET name = @name, note = @note WHERE storefront = @storefront AND id = @draft',
  );
  const setRemoved = db.prepare('UPDATE draft SET removed_at = @at WHERE storefront = @storefront AND id = @draft');
  const lastStep = db
    .prepare<[string, string], number>('SELECT max(id) FROM journal WHERE storefront = ? AND draft = ?')
    .pluck();

  const noteBase = ({ storefront, draft }: DraftRef, other: string, step: number, document: Setup): void => {
    const [one, second] = [draft, other].sort();
    addBase.run({ storefront, one, other: second, step, document: canonical(document) });
  };
  const refuseGone = (ref: DraftRef): void => {
    if (setups.draft(ref).revision() === 0) throw noSuchSetup(ref);
  };
  return {
    beginDraft: db.transaction(
      (storefront: string, { name, note, from }: NewDraft, who: string, at: number): string => {
        const known = drafts(storefront);
        if (known.filter(({ removedAt }) => removedAt === null).length >= mostDrafts)
          throw new Refused(409, {
            code: 'too-many-drafts',
            message: `There are ${mostDrafts} drafts already. Take one out first.`,
          });
        const setup = setupOf(setups, from);
        // Of one that was taken out the id is kept: its journal stays.
        const id = idFor(name, (each) => known.some((draft) => draft.id === each));
        const ref = { storefront, draft: id };
        const releases = setups.releases(storefront);
        const base =
          'draft' in from
            ? setups.draft(from).baseNumber()
            : from.release === 'live'
              ? releases.liveNumber()
              : from.release;
        add.run({ ...ref, format: setupVersion, name, note, who, at, base });
        if ('draft' in from) {
          copyEntries.run({ ...ref, from: from.draft });
          noteBase(ref, from.draft, 0, setup);
        } else
          for (const { part, key, value } of entriesOf(setup))
            addEntry.run({ ...ref, part, key, value: JSON.stringify(value) });
        return id;
      },
    ).immediate,
    nameDraft: db.transaction((ref: DraftRef, name: string, note: string): void => {
      refuseGone(ref);
      rename.run({ ...ref, name, note });
    }).immediate,
    takeOutDraft: db.transaction((ref: DraftRef, at: number): void => {
      refuseGone(ref);
      if (drafts(ref.storefront).filter(({ removedAt }) => removedAt === null).length < 2)
        throw new Refused(409, {
          code: 'last-draft',
          message: 'This is the only draft, so it stays. Begin another one first.',
        });
      setRemoved.run({ ...ref, at });
    }).immediate,
    putBackDraft: db.transaction((ref: DraftRef): void => {
      if (!headOf(ref)) throw noSuchSetup(ref);
      setRemoved.run({ ...ref, at: null });
    }).immediate,
    mergeInto: db.transaction((...[ref, from, answers, seen, who, at]: Parameters<MergeInto>): WriteOutcome => {
      refuseGone(ref);
      const theirs = setupOf(setups, from);
      const { changes, conflicts } = mergedInto(db, setups, ref, from, new Map(answers));
      if (conflicts.length > 0) return { refusal: { code: 'conflicts' } };
      const draft = setups.draft(ref);
      const whole = withOwnParts(changes, draft);
      const before = draft.baseNumber();
      const base = 'draft' in from ? before : (setups.releases(ref.storefront).liveNumber() ?? before);
      const outcome = draft.takeOver(whole, { source: nameOf(from), base }, seen, who, at);
      if ('refusal' in outcome) return outcome;
      if ('draft' in from) noteBase(ref, from.draft, lastStep.get(ref.storefront, ref.draft)!, theirs);
      return outcome;
    }).immediate,
  };
}
