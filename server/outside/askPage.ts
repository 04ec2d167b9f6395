import type { PageFound } from '../../api/pageFound.ts';
import { askAddress } from './askAddress.ts';

const redirects = 6;
const milliseconds = 5000;
/** What an address says that nothing is there any more. */
const gone = new Set([404, 410]);

/** Whether a page of another host is there: it is asked for, and nothing of it is read. Several redirects on the way are fine. */
export function askPage(
  address: string,
  options: { readonly isAllowed?: (address: string) => boolean; readonly milliseconds?: number } = {},
): Promise<PageFound> {
  const asking = { accept: 'text/html,*/*;q=0.5', as: 'Clever Shelf, redirects of a shop', redirects, milliseconds };
  return askAddress<PageFound>(address, { ...asking, ...options }, async ({ statusCode = 0 }) =>
    statusCode >= 200 && statusCode < 300
      ? { is: 'there' }
      : { is: gone.has(statusCode) ? 'gone' : 'other', statusCode },
  ).then((answer) => ('problem' in answer ? { is: answer.problem === 'not-found' ? 'gone' : answer.problem } : answer));
}
