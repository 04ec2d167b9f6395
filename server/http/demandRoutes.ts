import { demandEndpoints } from '../../api/demandEndpoints.ts';
import { withFile } from './receiveFile.ts';
import type { Services } from './services.ts';
import { Refused, type Serve } from './serving.ts';

const isoOrNull = (at: number | null): string | null => (at === null ? null : new Date(at).toISOString());

/** What shoppers searched for: brought in from a file, written by the shop, read by the desk. */
export function serveDemand(serve: Serve, { log, folder, now }: Services): void {
  serve(demandEndpoints.demand, ({ limit }) => {
    const { from, to, ...counts } = log.summary();
    return { summary: { ...counts, from: isoOrNull(from), to: isoOrNull(to) }, top: log.top(limit) };
  });
  serve(
    demandEndpoints.bringInLog,
    (_, __, context) =>
      withFile(context, folder, async (path) => {
        const taken = await log.bringIn(path);
        return { ...taken, refusedLines: [...taken.refusedLines] };
      }),
    false,
  );
  serve(demandEndpoints.noteSearch, (_, { inDesk, ...entry }) => ({ id: log.noteSearch(entry, now(), inDesk) }));
  serve(demandEndpoints.noteOutcome, (_, { search, session, kind, product, place }) => {
    if (!log.noteOutcome(search, session, kind, product, place))
      throw new Refused(404, {
        code: 'unknown-search',
        message: 'There is no such search of this visit.',
        field: 'search',
      });
    return {};
  });
}
