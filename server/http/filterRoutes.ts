import { filterEndpoints } from '../../api/filterEndpoints.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

/** What filters are made from, what they are worth, and those that might be added. */
export function serveFilters(serve: Serve, { searcher }: Services): void {
  serve(filterEndpoints.filterProposals, async () => ({ proposals: await searcher.filterProposals() }));
  serve(filterEndpoints.filterWorth, () => searcher.filterWorth());
  serve(filterEndpoints.attributeValues, ({ attribute, q }) => searcher.attributeValues(attribute, q));
}
