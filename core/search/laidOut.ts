import type { Layout } from '../setup/parts/resultsPage.ts';
import { mostBelow } from '../setup/terms/layoutTerms.ts';
import type { SearchRequest } from './searchRequest.ts';

/** Places that can be shown at all. */
export const furthestPlace = 10_000;

/**
 * A request as the shop's layout has it, where it asks for that: so many products at once, and where they go on below each
 * other all of them up to the page, as far as may stand on one.
 */
export function laidOut({ asLaidOut, ...request }: SearchRequest, { atOnce, way }: Layout): SearchRequest {
  if (!asLaidOut) return request;
  const page = Math.min(request.page, Math.floor((way === 'pages' ? furthestPlace : mostBelow) / atOnce));
  return way === 'pages'
    ? { ...request, page, limit: atOnce }
    : { ...request, page: 1, limit: page * atOnce, upTo: page };
}
