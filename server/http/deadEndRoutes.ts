import { deadEndEndpoints } from '../../api/deadEndEndpoints.ts';
import { Refused } from '../refused.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';
import { written } from './setupRoutes.ts';

/** Searches that lead shoppers nowhere, and what mends them. */
export function serveDeadEnds(serve: Serve, { searcher, writer, now }: Services): void {
  serve.desk(deadEndEndpoints.deadEnds, async ({ ref, phrases, topSearches }) => {
    // What is near in meaning is made with them, and mends some.
    await phrases.made();
    const deadEnds = await searcher.deadEnds(ref);
    const hasLog = (await topSearches(1)).length > 0;
    return { hasLog, deadEnds: deadEnds.map((deadEnd) => ({ ...deadEnd, also: [...deadEnd.also] })) };
  });
  serve.desk(deadEndEndpoints.remedies, async ({ ref }, { q }) => ({
    remedies: (await searcher.remedies(ref, q)).map((remedy) => ({
      ...remedy,
      titles: [...remedy.titles],
      others: [...remedy.others],
    })),
  }));
  serve.desk(deadEndEndpoints.takeRemedies, async (here, _, { revision, chosen }) => {
    const edits = await searcher.editsForRemedies(here.ref, chosen);
    if (edits.length === 0)
      throw new Refused(409, {
        code: 'nothing-to-mend',
        message: 'Nothing was saved: these searches lead somewhere by now. Load the list again.',
      });
    return written(here, writer.edit(here.ref, edits, revision, here.person, now()));
  });
}
