import { proposalEndpoints } from '../../api/proposalEndpoints.ts';
import { Refused } from '../refused.ts';
import type { Db } from '../store/database.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';
import { written } from './setupRoutes.ts';

/** What the application proposes for the catalog in force. */
export function serveProposals(serve: Serve, services: Services): void {
  const { db, searcher, writer, now } = services;
  const declined = declinedIn(db);

  serve.desk(proposalEndpoints.proposals, ({ id: storefront, ref, proposalDesk }) => {
    const { proposals, ...progress } = proposalDesk(ref).look();
    const left = declined(storefront);
    const open = proposals.filter(({ id }) => !left.has(id));
    return {
      ...progress,
      declined: proposals.length - open.length,
      proposals: open.map(({ effect, ...proposal }) => ({
        ...proposal,
        effect: { ...effect, rescued: [...effect.rescued], examples: [...effect.examples] },
      })),
    };
  });

  serve.desk(proposalEndpoints.acceptProposals, async (here, _, { revision, ids }) => {
    const edits = await searcher.editsForProposals(here.ref, ids);
    if (edits.length === 0)
      throw new Refused(409, {
        code: 'nothing-proposed',
        message: 'That is no longer proposed: it is decided already.',
      });
    return written(here, writer.edit(here.ref, edits, revision, here.person, now()));
  });

  serve.desk(proposalEndpoints.declineProposal, async ({ id: storefront }, _, { id }) => {
    await writer.decline(storefront, id);
    return {};
  });
}

function declinedIn(db: Db): (storefront: string) => ReadonlySet<string> {
  const read = db.prepare<[string], string>('SELECT proposal FROM declined WHERE storefront = ?').pluck();
  return (storefront) => new Set(read.all(storefront));
}
