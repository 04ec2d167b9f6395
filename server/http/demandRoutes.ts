import { demandEndpoints } from '../../api/demandEndpoints.ts';
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
  { folder, searcher, writer }: Pick<Services, 'folder' | 'searcher' | 'writer'>,
): void {
  serve.desk(demandEndpoints.topSearches, async ({ topSearches }) => ({
    top: [...(await topSearches(topSearchesShown))],
  }));
  serve.desk(demandEndpoints.demand, async ({ ref }, { limit }) => {
    const { summary, top } = await searcher.demand(ref, limit);
    const { from, to, ...counts } = summary;
    return { summary: { ...counts, from: isoOrNull(from), to: isoOrNull(to) }, top };
  });
  serve.desk(
    demandEndpoints.bringInLog,
    ({ id }, _, __, context) =>
      withFile(context, folder, 'log', async (path) => {
        const imported = await writer.bringInLog(id, path);
        return { ...imported, refusedLines: [...imported.refusedLines] };
      }),
    false,
  );
  serve.shop(demandEndpoints.noteSearch, ({ logDesk }, _, { inDesk, ...entry }) => ({
    id: logDesk.noteSearch({ ...entry, byDesk: inDesk }),
  }));
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
