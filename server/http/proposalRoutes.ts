import { proposalEndpoints } from '../../api/proposalEndpoints.ts';
import { contentVersion } from '../catalog/content.ts';
import { noCatalog, Refused } from '../refused.ts';
import { openProposalDesk } from '../searching/proposalDesk.ts';
import { type Db, storefrontId } from '../store/database.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';
import { type Written, who } from './setupRoutes.ts';

/** What the application proposes for the catalog in force. */
export function serveProposals(serve: Serve, services: Services, written: Written): void {
  const { db, setups, catalogs, log, searcher, writer, now } = services;
  const desk = openProposalDesk(searcher, () => {
    const reader = catalogs.current();
    if (!reader) throw noCatalog();
    const today = Math.floor(now() / 86_400_000);
    const stock = `${reader.generation}/${reader.factVersion()}/${contentVersion(db)}`;
    return `${setups.revision()}/${stock}/${today}/${log.version()}`;
  });
  const declined = declinedIn(db);

  serve(proposalEndpoints.proposals, () => {
    const { proposals, ...progress } = desk.look();
    const left = declined();
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

  serve(proposalEndpoints.acceptProposals, async (_, { revision, ids }, context) => {
    const edits = await searcher.editsForProposals(ids);
    if (edits.length === 0)
      throw new Refused(409, {
        code: 'nothing-proposed',
        message: 'That is no longer proposed: it is decided already.',
      });
    return written(writer.edit(edits, revision, who(context), now()));
  });

  serve(proposalEndpoints.declineProposal, async (_, { id }) => {
    await writer.decline(id);
    return {};
  });
}

function declinedIn(db: Db): () => ReadonlySet<string> {
  const read = db.prepare<[string], string>('SELECT proposal FROM declined WHERE storefront = ?').pluck();
  return () => new Set(read.all(storefrontId));
}
