import { type DraftRef, liveOf } from '../../core/setup/setupRef.ts';
import type { CatalogHandle, LaneTask } from './benches.ts';
import type { Lane } from './lanes.ts';
import type { Question } from './localSearch.ts';

/** Searches that need code of different kinds. */
export const warmedWith: readonly string[] = [
  ...['', 'a', 'blue', 'red brush', 'xqzzk', 'watercolour papr', 'black ink 30 ml', 'sketch book'],
];
/** Searches answered after something was taken over. */
export const followedWith: readonly string[] = ['', 'blue', 'red brush'];
/** Products whose words are changed while a draft is rehearsed, and how often over. */
const rehearsedProducts = 20;
const rehearsedOver = 8;
/** Drafts changed last that are made ready ahead. */
const draftsReady = 8;

/**
 * Has the desk's threads compile their code and make ready the drafts of a storefront that were worked on last. It only
 * saves the next person at the desk a moment, so it ends between two tasks once `isOver`.
 */
export async function warmDesk(
  desk: Pick<Lane, 'run' | 'atOnce' | 'inTurn'>,
  about: CatalogHandle,
  isOver: () => boolean,
): Promise<void> {
  const task = (question: Question): LaneTask => ({ about, question });
  const live = liveOf(about.storefront);
  await desk.atOnce(task({ call: 'warm', given: [live, 0, warmedWith, 2] }));
  if (isOver()) return;
  await desk.inTurn(task({ call: 'rehearse', given: [live, rehearsedProducts, followedWith, rehearsedOver] }));
  const drafts = (await desk.run(task({ call: 'draftsTouched', given: [live, draftsReady] }))) as DraftRef[];
  // One at a time, so that what is asked meanwhile waits for one at most, and the one worked on last is let go last. A draft may be gone by then.
  for (const ref of drafts.reverse()) {
    if (isOver()) return;
    await desk.inTurn(task({ call: 'follow', given: [ref, followedWith] })).catch(() => {});
  }
}
