import { type BesideQuery, companionEndpoints } from '../../api/companionEndpoints.ts';
import { liveOf, readName } from '../../core/setup/setupRef.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

const idsIn = ({ of }: Pick<BesideQuery, 'of'>): string[] => [of].flat();

/** What stands beside products. */
export function serveCompanions(serve: Serve, { searcher }: Pick<Services, 'searcher'>): void {
  serve.shop(companionEndpoints.shopBeside, ({ id, together }, query) => {
    together.now();
    return searcher.beside(liveOf(id), idsIn(query), query.at);
  });
  serve.desk(companionEndpoints.deskBeside, ({ ref }, { from, ...query }) => {
    const meant = from === undefined ? ref : (readName(ref.storefront, from) ?? ref);
    return searcher.beside(meant, idsIn(query), query.at);
  });
  serve.desk(companionEndpoints.companions, async ({ ref, together }, { product }) => {
    // Whoever looks at why something is there waits for the log to be counted the first time.
    await together.made();
    return searcher.companions(ref, product);
  });
}
