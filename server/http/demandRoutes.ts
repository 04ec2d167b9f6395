import type { Context } from 'hono';
import { demandEndpoints } from '../../api/demandEndpoints.ts';
import type { historyDays } from '../../api/limits.ts';
import { Refused } from '../refused.ts';
import { withFile } from './receiveFile.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

/** Searches that the desk offers to try and looks at by itself. */
const topSearchesShown = 40;
const isoOrNull = (at: number | null): string | null => (at === null ? null : new Date(at).toISOString());

/** What shoppers searched for: brought in from a file, written by the shop, read by the desk. */
export function serveDemand(
  serve: Serve,
  {
    folder,
    searcher,
    writer,
    storefronts,
    now,
  }: Pick<Services, 'folder' | 'searcher' | 'writer' | 'storefronts' | 'now'>,
): void {
  serve.desk(demandEndpoints.topSearches, async ({ topSearches }) => ({
    top: [...(await topSearches(topSearchesShown))],
  }));
  serve.desk(demandEndpoints.demand, async ({ id, ref }, { limit }) => {
    const { summary, top, chosen } = await searcher.demand(ref, limit);
    const { from, to, ...counts } = summary;
    const here = storefronts.storefront(id);
    return {
      summary: { ...counts, from: isoOrNull(from), to: isoOrNull(to) },
      ...{ top, chosen },
      isOn: here?.logOff !== 1,
      keptDays: (here?.logDays ?? null) as (typeof historyDays)[number] | null,
    };
  });
  serve.desk(demandEndpoints.keepLog, async ({ id, tellAround }, _, { isOn, days }) => {
    await writer.keepLog(id, isOn, days);
    await writer.pruneLog(now());
    tellAround(isOn ? 'changed for how long what shoppers do is kept' : 'switched the shopper log off');
    return {};
  });
  /** Whether what a shopper does may be written: the storefront writes it, and the shopper does not ask not to be followed. */
  const mayNote = (id: string, context: Context): boolean =>
    context.req.header('dnt') !== '1' &&
    context.req.header('sec-gpc') !== '1' &&
    storefronts.storefront(id)?.logOff !== 1;
  serve.desk(
    demandEndpoints.bringInLog,
    ({ id }, _, __, context) =>
      withFile(context, folder, 'log', async (path) => {
        const imported = await writer.bringInLog(id, path);
        return { ...imported, refusedLines: [...imported.refusedLines] };
      }),
    false,
  );
  serve.shop(demandEndpoints.noteSearch, ({ id, logDesk }, _, { inDesk, ...entry }, context) => ({
    id: mayNote(id, context) ? logDesk.noteSearch({ ...entry, byDesk: inDesk }) : null,
  }));
  serve.shop(demandEndpoints.noteClick, ({ id, logDesk }, _, click, context) => {
    if (mayNote(id, context)) logDesk.noteClick(click);
    return {};
  });
  serve.shop(demandEndpoints.noteOutcome, ({ logDesk }, _, { session, ...outcome }) => {
    if (!logDesk.noteOutcome(session, outcome))
      throw new Refused(404, {
        code: 'unknown-search',
        message: 'There is no such search of this visit.',
        field: 'search',
      });
    return {};
  });
}
