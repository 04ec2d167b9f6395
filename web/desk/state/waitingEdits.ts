import type { DeskState } from '../../../api/stateSchema.ts';
import { type EntryEdit, withEntries } from '../../../core/setup/withEntry.ts';

/** An edit not yet sent, with the act it belongs to: what one act changes is saved or refused together. */
export interface WaitingEdit {
  readonly act: number;
  /** Made before or after something else that was asked of the server, such as a step back: sent before or after it. */
  readonly batch: number;
  readonly edit: EntryEdit;
}

/** Edits not yet sent, of each batch the last one for each entry: a slider sends what it is at, not where it has been. */
let waiting = new Map<string, WaitingEdit>();
/** Edits on their way: shown until the server has answered them. */
let underWay: readonly WaitingEdit[] = [];
let acts = 0;
let batch = 0;

const entryOf = ({ batch, edit: { part, key } }: WaitingEdit): string => `${batch} ${part}/${key}`;

/** The batch to which edits made now belong. */
export const batchNow = (): number => batch;
/** What is edited from now on is sent apart from what was before; answers the batch that this ends. */
export const endBatch = (): number => batch++;

/** Lets edits of one act wait to be sent. */
export function addWaiting(edits: readonly EntryEdit[]): void {
  acts++;
  for (const edit of edits) {
    const each = { act: acts, batch, edit };
    waiting.set(entryOf(each), each);
  }
}

const first = (): WaitingEdit | undefined => waiting.values().next().value;

/** Takes what is sent next, at most so many edits, all of one batch. */
export function takeWaiting(most: number): readonly WaitingEdit[] {
  const next = first()?.batch;
  underWay = [...waiting.values()].filter((each) => each.batch === next).slice(0, most);
  for (const each of underWay) waiting.delete(entryOf(each));
  return underWay;
}

/** What of it is still on its way; nothing more where none is named. */
export function leftUnderWay(edits: readonly WaitingEdit[] = []): void {
  underWay = edits;
}
/** Puts back what could not be sent now; an entry that was changed again meanwhile is sent as it is by then. */
export function giveBack(edits: readonly WaitingEdit[]): void {
  // Before those of later batches, over which they must not come.
  const back = edits.map((each): [string, WaitingEdit] => [entryOf(each), each]);
  waiting = new Map([...back, ...waiting]);
  underWay = [];
}
/** Whether anything of a batch, or of one before it, waits. */
export const hasWaiting = (upTo: number): boolean => (first()?.batch ?? Number.POSITIVE_INFINITY) <= upTo;

/** A state the server answered with, with what it does not know yet laid over it. */
export function withUnsaved(state: DeskState): DeskState {
  const unsaved = [...underWay, ...waiting.values()].map(({ edit }) => edit);
  return unsaved.length === 0 ? state : { ...state, setup: withEntries(state.setup, unsaved) };
}
