import { toast } from 'sonner';
import { create } from 'zustand';
import { mostEdits } from '../../../api/limits.ts';
import type { DescribedChange, DeskState } from '../../../api/stateSchema.ts';
import type { FollowablePart } from '../../../core/setup/terms/followable.ts';
import type { EntryEdit } from '../../../core/setup/withEntry.ts';
import { call } from '../../client/call.ts';
import { CallProblem, isPassing, tryAgainAfter } from '../../client/request.ts';
import { adoptState, isGone, knownState, readState, showUnsaved, stateKey } from './deskState.ts';
import { followedAmong, tellOwned, useAskedToOwn } from './following.ts';
import { clientHere } from './queryClient.ts';
import { useShopWindow } from './shopWindow.ts';
import { describeStaleWrite } from './staleWrite.ts';
import {
  addWaiting,
  batchNow,
  endBatch,
  giveBack,
  hasWaiting,
  leftUnderWay,
  takeWaiting,
  type WaitingEdit,
} from './waitingEdits.ts';

/** Whether an edit is on its way: told beside the count of changes, so that nobody wonders whether it is saved. */
export const useSaving = create<{ readonly isSaving: boolean }>(() => ({ isSaving: false }));

/**
 * Everything that changes the draft goes one after the other, in the order it was asked for: each names the revision that
 * the answer to the one before it has. Edits after each other are one such thing, whose end takes up more of them.
 */
let queue: Promise<unknown> = Promise.resolve();
/** The edits at the queue's end, as long as they take up more; null where something else was asked for since. */
let sending: Promise<void> | null = null;
let underWay = 0;

/** Does something when everything asked for before it is done: at once, where nothing is under way. */
function inOrder<Answer>(work: () => Promise<Answer>): Promise<Answer> {
  const isFree = underWay === 0;
  underWay++;
  useSaving.setState({ isSaving: true });
  const done = (isFree ? work() : queue.then(work)).finally(() => {
    underWay--;
    useSaving.setState({ isSaving: underWay > 0 });
  });
  // What failed holds up nothing.
  queue = done.catch(() => undefined);
  return done;
}

/** Has the browser ask before the page is left with something that is not saved yet; answers how to have it ask no more. */
export function askBeforeLeaving(): () => void {
  const ask = (event: Event): void => {
    if (useSaving.getState().isSaving || isUnsavedAnnounced) event.preventDefault();
  };
  addEventListener('beforeunload', ask);
  return () => removeEventListener('beforeunload', ask);
}

function adopt(state: DeskState): void {
  adoptState(state);
  useShopWindow.getState().refresh();
}

/** Where the draft is no longer there, the desk says so; where the server does not answer, what is shown stays until it does. */
function noteGone(error: unknown): void {
  if (isGone(error)) void clientHere().refetchQueries({ queryKey: stateKey });
}

/** Tells a refusal and shows what the server has; edits that still wait stay shown. */
async function refused(error: unknown): Promise<void> {
  const stale = describeStaleWrite(error);
  toast.error(stale?.title ?? 'This was not saved', { description: stale?.text ?? (error as Error).message });
  try {
    adopt(await call('state'));
  } catch (problem) {
    noteGone(problem);
    useShopWindow.getState().refresh();
  }
}

/** What several acts changed, act by act. */
function byAct(edits: readonly WaitingEdit[]): WaitingEdit[][] {
  const acts = new Map<number, WaitingEdit[]>();
  for (const each of edits) acts.set(each.act, [...(acts.get(each.act) ?? []), each]);
  return [...acts.values()];
}

const save = async (edits: readonly WaitingEdit[]): Promise<DeskState> =>
  call('edit', { body: { revision: knownState()!.revision, edits: edits.map(({ edit }) => edit) } });

const notSaved = 'not-saved-yet';
let isUnsavedAnnounced = false;

/** Saves what some acts changed; where they are refused together, each is sent by itself: one refusal takes back only itself. */
async function saveActs(edits: readonly WaitingEdit[]): Promise<void> {
  try {
    const state = await save(edits);
    leftUnderWay();
    adopt(state);
    return;
  } catch (error) {
    if (isPassing(error)) throw error;
    const acts = byAct(edits);
    if (acts.length === 1) {
      leftUnderWay();
      await refused(error);
      return;
    }
    for (const [at, act] of acts.entries()) {
      leftUnderWay(acts.slice(at).flat());
      await saveActs(act);
    }
  }
}

function tryAgain(edits: readonly WaitingEdit[], error: unknown): void {
  giveBack(edits);
  isUnsavedAnnounced = true;
  toast.error('Not saved yet', {
    id: notSaved,
    description: `${(error as Error).message} Your change is kept here and sent again.`,
  });
  setTimeout(() => void sendInOrder(), tryAgainAfter);
}

/** Sends what waits of a batch, with what is added to it meanwhile. */
async function sendWaiting(batch: number): Promise<void> {
  try {
    while (hasWaiting(batch)) {
      const edits = takeWaiting(mostEdits);
      try {
        await saveActs(edits);
      } catch (error) {
        tryAgain(edits, error);
        return;
      }
      if (isUnsavedAnnounced) toast.dismiss(notSaved);
      isUnsavedAnnounced = false;
    }
  } finally {
    if (batch === batchNow()) sending = null;
  }
}

/** Has what waits sent after everything that was asked for before it. */
function sendInOrder(): Promise<void> {
  const batch = batchNow();
  if (!hasWaiting(batch)) return Promise.resolve();
  sending ??= inOrder(() => sendWaiting(batch));
  return sending;
}

/** Changes entries of the draft: shown at once, saved in the order made, taken back where the server refuses. */
export function edit(...edits: EntryEdit[]): Promise<void> {
  const followed = followedAmong(edits);
  if (followed !== null) {
    askToOwn(followed, async () => {
      if (await ownPart(followed)) await edit(...edits);
    });
    return Promise.resolve();
  }
  addWaiting(edits);
  showUnsaved();
  return sendInOrder();
}

/**
 * A change of the draft that the server works out, such as one act on many products: it waits for edits on their way
 * and acts before it, shows what it answers, and tells a refusal, but for one that `isTold` tells itself. Answers null
 * where it was refused.
 */
export function act<Answer>(
  call: (revision: number) => Promise<Answer>,
  stateIn: (answer: Answer) => DeskState,
  isTold: (error: unknown) => boolean = () => false,
): Promise<Answer | null> {
  // What is edited from now on comes after it.
  endBatch();
  sending = null;
  return inOrder(() => actNow(call, stateIn, isTold));
}

async function actNow<Answer>(
  call: (revision: number) => Promise<Answer>,
  stateIn: (answer: Answer) => DeskState,
  isTold: (error: unknown) => boolean,
): Promise<Answer | null> {
  const known = knownState();
  if (!known) return null;
  try {
    const answer = await call(known.revision);
    adopt(stateIn(answer));
    return answer;
  } catch (error) {
    if (!isTold(error)) await refused(error);
    return null;
  }
}

const itself = (state: DeskState): DeskState => state;

/** Makes a part that follows another storefront's this one's own, as a copy; answers whether it is. */
export async function ownPart(part: FollowablePart): Promise<boolean> {
  const state = await act((revision) => call('ownPart', { body: { revision, part } }), itself);
  if (state) tellOwned(part);
  return state !== null;
}

function askToOwn(part: FollowablePart, andThen: () => Promise<void>): void {
  const storefront = knownState()?.setup.following[part]?.storefront ?? '';
  useAskedToOwn.setState({ asked: { part, storefront, andThen: () => void andThen() } });
}

/** Discards decisions about products that are reported as one change. */
export const discardGroup = (group: string): Promise<DeskState | null> =>
  act((revision) => call('discard', { body: { revision, group } }), itself);

/** Shows what others changed: after what is on its way here, so that neither comes over the other. */
export async function takeOver(): Promise<void> {
  await settled();
  try {
    adopt(await readState());
  } catch (error) {
    noteGone(error);
  }
}

/** Resolves when nothing that was changed here is on its way any more. */
export async function settled(): Promise<void> {
  await queue;
}

type Step = 'undo' | 'redo';

/** Undoes, or redoes, one step of one's own; asked for twice, however quickly, two. */
export async function step(which: Step, changedSince: 'ask' | 'keep' | 'take' = 'ask'): Promise<void> {
  let reason: string | null = null;
  const done = await act(
    (revision) => {
      const known = knownState();
      reason = (which === 'undo' ? known?.canUndo : known?.canRedo) ?? null;
      return call(which, { body: { revision, changedSince } });
    },
    itself,
    (error) => askAboutOthers(error, (answer) => void step(which, answer)),
  );
  if (done) toast(which === 'undo' ? 'Undone' : 'Redone', { description: reason });
}

/** A step of which others changed something since, as long as it is not said what becomes of that. */
interface AskedAboutOthers {
  readonly who: readonly string[];
  /** What they made of it. */
  readonly sentences: readonly string[];
  answer(changedSince: 'keep' | 'take'): void;
}
export const useAskedAboutOthers = create<{ readonly asked: AskedAboutOthers | null }>(() => ({ asked: null }));

/** Takes one step back, whoever made it and however long ago; answers whether it was done. */
export async function takeStepBack(id: number, changedSince: 'ask' | 'keep' | 'take' = 'ask'): Promise<boolean> {
  const done = await act(
    (revision) => call('takeStepBack', { body: { revision, step: id, changedSince } }),
    itself,
    (error) => askAboutOthers(error, (answer) => void takeStepBack(id, answer)),
  );
  return done !== null;
}

/** Others changed some of a step since: says to what, and asks what becomes of it. Answers whether it was that. */
function askAboutOthers(error: unknown, answer: AskedAboutOthers['answer']): boolean {
  if (!(error instanceof CallProblem) || error.code !== 'changed-since') return false;
  const { who, changes } = error.details as { who: string[]; changes: DescribedChange[] };
  useAskedAboutOthers.setState({ asked: { answer, who, sentences: changes.flatMap((change) => change.sentences) } });
  return true;
}

/** Publishes the draft as the person saw it; answers whether it is live. */
export async function publish(note: string, heldBack: readonly string[] = []): Promise<boolean> {
  const state = await act((revision) => call('publish', { body: { revision, note, heldBack: [...heldBack] } }), itself);
  if (state) toast.success(`Release ${state.release?.number} is live`, { description: 'Shoppers get it from now on.' });
  return state !== null;
}

export async function publishAgain(number: number): Promise<void> {
  const state = await act(() => call('takeBack', { body: { number } }), itself);
  if (state) toast.success(`Release ${number} is live again`, { description: 'Your draft is as it was.' });
}
