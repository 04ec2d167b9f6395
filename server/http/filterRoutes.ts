import { filterEndpoints } from '../../api/filterEndpoints.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

/** What filters are made from, what they are worth, and those that might be added. */
export function serveFilters(serve: Serve, { searcher }: Pick<Services, 'searcher'>): void {
  serve.desk(filterEndpoints.filterProposals, async ({ ref }) => ({ proposals: await searcher.filterProposals(ref) }));
  serve.desk(filterEndpoints.filterWorth, ({ ref }) => searcher.filterWorth(ref));
  serve.desk(filterEndpoints.attributeValues, ({ ref }, { attribute, q }) =>
    searcher.attributeValues(ref, attribute, q),
  );
}
