import { toast } from 'sonner';
import { create } from 'zustand';
import type { DeskState } from '../../../api/stateSchema.ts';
import { type EntryEdit, withEntry } from '../../../core/setup/withEntry.ts';
import { CallProblem, call } from '../../client/call.ts';
import { knownState, stateKey, takeState } from './deskState.ts';
import { queryClient } from './queryClient.ts';
import { useShopWindow } from './shopWindow.ts';

/** Whether an edit is on its way: told beside the count of changes, so that nobody wonders whether it is saved. */
export const useSaving = create<{ readonly isSaving: boolean }>(() => ({ isSaving: false }));

/** Edits the server takes in one request. */
const mostAtOnce = 500;
/** Edits not yet sent, the last one for each entry: a slider sends what it is at, not where it has been. */
let waiting = new Map<string, EntryEdit>();
let sending: Promise<void> = Promise.resolve();
let isSending = false;
/** The act that was asked for last: each waits for the one before it, whose answer has the revision it must name. */
let acting: Promise<unknown> = Promise.resolve();

function showAtOnce(state: DeskState, edits: Iterable<EntryEdit>): DeskState {
  let { setup } = state;
  for (const edit of edits) setup = withEntry(setup, edit);
  return { ...state, setup };
}

function take(state: DeskState): void {
  takeState(showAtOnce(state, waiting.values()));
  useShopWindow.getState().refresh();
}

async function refused(error: unknown): Promise<void> {
  waiting = new Map();
  const isStale = error instanceof CallProblem && error.code === 'stale-write';
  toast.error(isStale ? 'Somebody changed this at the same time' : 'This was not saved', {
    description: (error as Error).message,
  });
  await queryClient.invalidateQueries({ queryKey: stateKey });
  useShopWindow.getState().refresh();
}

async function sendWaiting(): Promise<void> {
  isSending = true;
  useSaving.setState({ isSaving: true });
  try {
    while (waiting.size > 0) {
      const all = [...waiting];
      const edits = all.slice(0, mostAtOnce).map(([, edit]) => edit);
      waiting = new Map(all.slice(mostAtOnce));
      take(await call('edit', { body: { revision: knownState()!.revision, edits } }));
    }
  } catch (error) {
    await refused(error);
  } finally {
    isSending = false;
    useSaving.setState({ isSaving: false });
  }
}

/** Changes entries of the draft: shown at once, saved in the order made, taken back where the server refuses. */
export function edit(...edits: EntryEdit[]): Promise<void> {
  for (const each of edits) waiting.set(`${each.part}/${each.key}`, each);
  const state = knownState();
  if (state) queryClient.setQueryData(stateKey, showAtOnce(state, edits));
  if (!isSending) sending = sendWaiting();
  return sending;
}

/**
 * A change of the draft that the server works out, such as one act on many products: it waits for edits on their way,
 * shows what it answers, and tells a refusal. Answers null where it was refused.
 */
export function act<Answer>(
  call: (revision: number) => Promise<Answer>,
  stateIn: (answer: Answer) => DeskState,
): Promise<Answer | null> {
  const done = acting.then(() => actNow(call, stateIn));
  acting = done;
  return done;
}

async function actNow<Answer>(
  call: (revision: number) => Promise<Answer>,
  stateIn: (answer: Answer) => DeskState,
): Promise<Answer | null> {
  await sending;
  useSaving.setState({ isSaving: true });
  try {
    const answer = await call(knownState()!.revision);
    take(stateIn(answer));
    return answer;
  } catch (error) {
    await refused(error);
    return null;
  } finally {
    useSaving.setState({ isSaving: false });
  }
}

/** Gives up decisions about products that are told as one change. */
export const giveUpGroup = (group: string): Promise<DeskState | null> =>
  act(
    (revision) => call('giveUp', { body: { revision, group } }),
    (state) => state,
  );

type Step = 'undo' | 'redo';

/** Takes back, or makes again, one step of the draft. */
export async function step(which: Step): Promise<void> {
  await sending;
  const state = knownState();
  if (!state) return;
  const told = which === 'undo' ? state.canUndo : state.canRedo;
  try {
    take(await call(which, { body: { revision: state.revision } }));
    toast(which === 'undo' ? 'Taken back' : 'Made again', { description: told });
  } catch (error) {
    await refused(error);
  }
}

/** Publishes the draft as the person saw it; answers whether it is live. */
export async function publish(note: string): Promise<boolean> {
  await sending;
  try {
    const state = await call('publish', { body: { revision: knownState()!.revision, note } });
    take(state);
    toast.success(`Release ${state.release?.number} is live`, { description: 'Shoppers get it from now on.' });
    return true;
  } catch (error) {
    await refused(error);
    return false;
  }
}

export async function publishAgain(number: number): Promise<void> {
  try {
    take(await call('takeBack', { body: { number } }));
    toast.success(`Release ${number} is live again`, { description: 'Your draft is as it was.' });
  } catch (error) {
    await refused(error);
  }
}
