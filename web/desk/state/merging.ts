import type { DeskState } from '../../../api/stateSchema.ts';
import type { MergeSide } from '../../../core/setup/mergeValues.ts';
import { call } from '../../client/call.ts';
import { act } from './edits.ts';

/** Merges another setup of the storefront into the draft; answers whether it was done. */
export async function mergeFrom(
  from: string,
  revision: number,
  answers: ReadonlyMap<string, MergeSide>,
): Promise<boolean> {
  const body = { revision, from, answers: [...answers].map(([id, side]) => ({ id, side })) };
  return (
    (await act(
      () => call('merge', { body }),
      (state: DeskState) => state,
    )) !== null
  );
}
