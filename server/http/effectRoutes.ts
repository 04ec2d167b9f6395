import { effectEndpoints } from '../../api/effectEndpoints.ts';
import { localDay } from '../../core/base/localTime.ts';
import { firstText } from '../../core/catalog/record.ts';
import { periodOf } from '../../core/rules/periods.ts';
import { contentVersion } from '../catalog/content.ts';
import { noCatalog, Refused } from '../refused.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

/** Searches looked at: those made most. */
const searchesLookedAt = 200;

/** What the draft changes for shoppers, worked out while the desk waits for nothing else. */
export function serveEffect(serve: Serve, { db, now }: Pick<Services, 'db' | 'now'>): void {
  serve.desk(effectEndpoints.effect, async (here, _, __, context) => {
    const { id, ref, catalogs, setups, releases, topSearches, effectOfDraft } = here;
    const reader = catalogs.current();
    if (!reader) throw noCatalog();
    const revision = setups.revision();
    const [base, live] = [setups.baseNumber(), releases.liveNumber()];
    const searches = await topSearches(searchesLookedAt);
    const stock = `${reader.generation}/${reader.factVersion()}/${contentVersion(db, id)}/${localDay(setups.draft().storefront.shop.timeZone, now())}/${periodOf(setups.draft(), now())}`;
    const { signal } = context.req.raw;
    const worked = await effectOfDraft.effect(
      ref,
      // Of a draft that is behind, what others published since is no change of its own.
      { storefront: id, release: base !== null && base !== live ? base : 'live' },
      searches,
      (setup) => `${'draft' in setup ? revision : setup.release === 'live' ? (live ?? 0) : setup.release}/${stock}`,
      () => signal.aborted || setups.revision() !== revision,
    );
    if (!worked)
      throw new Refused(409, {
        code: 'outdated',
        message: 'The draft or the catalog has changed while this was worked out.',
      });
    const { moves, found, ...counts } = worked.effect;
    return {
      revision,
      ...counts,
      found: [...found],
      moves: moves.map((move) => ({
        ...move,
        title: firstText(reader.familyRecord(move.product)?.values.title, move.product),
      })),
      decides: [...worked.decides],
    };
  });
}
