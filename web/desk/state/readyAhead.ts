import { type DraftRef, nameOf } from '../../../core/setup/setupRef.ts';
import { call } from '../../client/call.ts';
import { useTrial } from './trial.ts';

/** How long a draft is pointed at before it is meant, in milliseconds. */
export const restsFor = 80;

/**
 * Has a draft that is pointed at made ready, so that its first page is there when it is gone to; answers what is called
 * when something else is pointed at. What comes of it is not heard: whoever goes there asks for itself.
 */
export function readyAhead(draft: DraftRef): () => void {
  const timer = setTimeout(() => {
    const query = { q: useTrial.getState().query, limit: '24', from: nameOf(draft) };
    call('deskSearch', { query }).catch(() => {});
  }, restsFor);
  return () => clearTimeout(timer);
}
