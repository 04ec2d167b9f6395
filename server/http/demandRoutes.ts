import { createWriteStream, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { demandEndpoints } from '../../api/demandEndpoints.ts';
import { FileProblem } from '../catalog/sources/source.ts';
import type { Services } from './app.ts';
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
    async (_, __, context) => {
      const body = context.req.raw.body;
      if (!body) throw new Refused(400, { code: 'no-file', message: 'The request holds no file.' });
      const path = join(folder.incoming, `${now()}.log`);
      try {
        await pipeline(Readable.fromWeb(body as never), createWriteStream(path));
        const taken = await log.bringIn(path);
        return { ...taken, refusedLines: [...taken.refusedLines] };
      } catch (error) {
        if (error instanceof FileProblem) throw new Refused(400, { code: error.code, message: error.message });
        throw error;
      } finally {
        rmSync(path, { force: true });
      }
    },
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
