import type { DeskState } from '../../../api/stateSchema.ts';
import { type EntryEdit, withEntries } from '../../../core/setup/withEntry.ts';

/** An edit not yet sent, with the act it belongs to: what one act changes is saved or refused together. */
export interface WaitingEdit {
  readonly act: number;
  readonly edit: EntryEdit;
}

/** Edits not yet sent, the last one for each entry: a slider sends what it is at, not where it has been. */
const waiting = new Map<string, WaitingEdit>();
/** Edits on their way: shown until the server has answered them. */
let underWay: readonly WaitingEdit[] = [];
let acts = 0;

const entryOf = ({ part, key }: EntryEdit): string => `${part}/${key}`;

/** Lets edits of one act wait to be sent. */
export function addWaiting(edits: readonly EntryEdit[]): void {
  acts++;
  for (const edit of edits) waiting.set(entryOf(edit), { act: acts, edit });
}

/** Takes what is sent next, at most so many edits. */
export function takeWaiting(most: number): readonly WaitingEdit[] {
  const batch = [...waiting].slice(0, most);
  for (const [entry] of batch) waiting.delete(entry);
  underWay = batch.map(([, each]) => each);
  return underWay;
}

/** What of it is still on its way; nothing more where none is named. */
export function leftUnderWay(edits: readonly WaitingEdit[] = []): void {
  underWay = edits;
}
/** Puts back what could not be sent now; an entry that was changed again meanwhile is sent as it is by then. */
export function giveBack(edits: readonly WaitingEdit[]): void {
  for (const each of edits) if (!waiting.has(entryOf(each.edit))) waiting.set(entryOf(each.edit), each);
  underWay = [];
}
export const hasWaiting = (): boolean => waiting.size > 0;

/** A state the server answered with, with what it does not know yet laid over it. */
export function withUnsaved(state: DeskState): DeskState {
  const unsaved = [...underWay, ...waiting.values()].map(({ edit }) => edit);
  return unsaved.length === 0 ? state : { ...state, setup: withEntries(state.setup, unsaved) };
}
