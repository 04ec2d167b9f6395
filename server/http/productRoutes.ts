import { chosenFilters } from '../../api/filterParameters.ts';
import { productEndpoints } from '../../api/productEndpoints.ts';
import type { EntryEdit } from '../../core/setup/withEntry.ts';
import { noCatalog } from '../refused.ts';
import { deskState, groupOf } from './deskState.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';
import { type Written, who } from './setupRoutes.ts';

/** Looking through the catalog, and deciding about its products. */
export function serveProducts(serve: Serve, services: Services, written: Written): void {
  const { setups, catalogs, searcher, writer, now } = services;

  serve(productEndpoints.rows, ({ q, columns, missing, state, kind, sort, direction, offset, count, ...rest }) =>
    searcher.rows({
      request: { query: q, filters: chosenFilters(rest), missing, state, kind, sort, direction },
      columns,
      offset,
      count,
    }),
  );

  serve(productEndpoints.product, async ({ id, searches }) => ({
    ...(await searcher.product(id)),
    searches: await searcher.places(id, searches === undefined ? [] : [searches].flat()),
  }));

  serve(productEndpoints.editCells, async (_, { revision, cells }, context) => {
    const edits = await searcher.editsForCells(cells);
    return written(writer.edit(edits, revision, who(context), now()));
  });

  serve(productEndpoints.editProducts, async (_, { revision, which, what }, context) => {
    const edits = await searcher.editsForProducts(which, what);
    if (edits.length === 0) return { products: 0, state: deskState(setups, catalogs) };
    const state = await written(writer.edit(edits, revision, who(context), now()));
    return { products: new Set(edits.map(({ key }) => key)).size, state };
  });

  serve(productEndpoints.discard, (_, { revision, group }, context) => {
    const edits = setups
      .changes()
      .filter((change) => groupOf(change) === group)
      .map(({ part, key, before }): EntryEdit => ({ part, key, value: before }));
    if (edits.length === 0) return deskState(setups, catalogs);
    return written(writer.edit(edits, revision, who(context), now()));
  });

  serve(productEndpoints.facts, async (_, { records }) => {
    if (catalogs.generation() === 0) throw noCatalog();
    const { changed, unknown } = await writer.acceptFacts(records, now());
    return { changed, unknown: [...unknown] };
  });

  const freshness = () => {
    const info = catalogs.info();
    const reader = catalogs.current();
    const factsAt = catalogs.factsAt();
    return {
      importedAt: info ? new Date(info.at).toISOString() : '',
      factsAt: factsAt === null ? null : new Date(factsAt).toISOString(),
      version: `${reader?.generation ?? 0}/${reader?.factVersion() ?? 0}`,
      feed: { isOn: services.feed.isOn(), changed: services.feed.changed() },
    };
  };
  serve(productEndpoints.freshness, freshness);
  serve(productEndpoints.feed, async (_, { isOn }) => {
    await services.feed.set(isOn);
    return freshness();
  });
}
