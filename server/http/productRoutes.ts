import { chosenFilters } from '../../api/filterParameters.ts';
import { productEndpoints } from '../../api/productEndpoints.ts';
import type { EntryEdit } from '../../core/setup/withEntry.ts';
import { groupOf } from '../questions/describeChanges.ts';
import { noCatalog } from '../refused.ts';
import { deskState } from './deskState.ts';
import type { Desk, Services } from './services.ts';
import type { Serve } from './serving.ts';
import { written } from './setupRoutes.ts';

/** Looking through the catalog, and deciding about its products. */
export function serveProducts(serve: Serve, services: Pick<Services, 'searcher' | 'writer' | 'now'>): void {
  const { searcher, writer, now } = services;

  serve.desk(
    productEndpoints.rows,
    ({ ref }, { q, columns, missing, state, kind, sort, direction, offset, count, ...rest }) =>
      searcher.rows(ref, {
        request: { query: q, filters: chosenFilters(rest), missing, state, kind, sort, direction },
        columns,
        offset,
        count,
      }),
  );

  serve.desk(productEndpoints.product, async ({ ref }, { id, searches }) => ({
    ...(await searcher.product(ref, id)),
    searches: await searcher.places(ref, id, searches === undefined ? [] : [searches].flat()),
  }));

  serve.desk(productEndpoints.editCells, async (here, _, { revision, cells }) => {
    const edits = await searcher.editsForCells(here.ref, cells);
    return written(here, writer.edit(here.ref, edits, revision, here.person, now()));
  });

  serve.desk(productEndpoints.editProducts, async (here, _, { revision, which, what }) => {
    const edits = await searcher.editsForProducts(here.ref, which, what);
    if (edits.length === 0) return { products: 0, state: deskState(here) };
    const state = await written(here, writer.edit(here.ref, edits, revision, here.person, now()));
    return { products: new Set(edits.map(({ key }) => key)).size, state };
  });

  serve.desk(productEndpoints.discard, (here, _, { revision, group }) => {
    const edits = here.setups
      .changes()
      .filter((change) => groupOf(change) === group)
      .map(({ part, key, before }): EntryEdit => ({ part, key, value: before }));
    if (edits.length === 0) return deskState(here);
    return written(here, writer.edit(here.ref, edits, revision, here.person, now()));
  });

  serve.desk(productEndpoints.facts, async ({ id, catalogs }, _, { records }) => {
    if (catalogs.generation() === 0) throw noCatalog();
    const { changed, unknown } = await writer.acceptFacts(id, records, now());
    return { changed, unknown: [...unknown] };
  });

  const freshness = ({ catalogs, feed }: Desk) => {
    const info = catalogs.info();
    const reader = catalogs.current();
    const factsAt = catalogs.factsAt();
    return {
      importedAt: info ? new Date(info.at).toISOString() : '',
      factsAt: factsAt === null ? null : new Date(factsAt).toISOString(),
      version: `${reader?.generation ?? 0}/${reader?.factVersion() ?? 0}`,
      feed: { isOn: feed.isOn(), changed: feed.changed() },
    };
  };
  serve.desk(productEndpoints.freshness, freshness);
  serve.desk(productEndpoints.feed, async (here, _, { isOn }) => {
    await here.feed.set(isOn);
    return freshness(here);
  });
}
