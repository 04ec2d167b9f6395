import type { AnswerOf, BodyOf, QueryOf } from '../../api/endpoint.ts';
import type { endpoints } from '../../api/endpoints.ts';
import { type EndpointName, pathFor, paths } from '../../api/paths.ts';
import { type Place, placeNow } from './place.ts';
import { send, type Values, withQuery } from './request.ts';

/** Names this page, so that it is not told what it did itself. */
export const tab = crypto.randomUUID?.() ?? String(Math.random()).slice(2);

type Of<Name extends EndpointName> = (typeof endpoints)[Name];

/** The address of a path of the contract, for a link. */
export const addressOf = (path: string, place: Place = placeNow()): string => pathFor(path, place);

/** Calls an endpoint of the contract about the page's storefront and draft; throws a `CallProblem` where it is refused or there is no answer. */
export function call<Name extends EndpointName>(
  name: Name,
  given: {
    readonly query?: QueryOf<Of<Name>>;
    readonly body?: BodyOf<Of<Name>>;
    readonly signal?: AbortSignal;
    readonly place?: Place;
  } = {},
): Promise<AnswerOf<Of<Name>>> {
  const { method, path } = paths[name];
  const init: RequestInit = { method: method.toUpperCase(), ...(given.signal && { signal: given.signal }) };
  if (given.body !== undefined) {
    init.body = JSON.stringify(given.body);
    init.headers = { 'content-type': 'application/json', 'x-tab': tab };
  }
  return send(withQuery(addressOf(path, given.place), (given.query ?? {}) as Values), init) as Promise<
    AnswerOf<Of<Name>>
  >;
}

/** Sends a file as the request's body. */
export function sendFile<Name extends EndpointName>(
  name: Name,
  query: QueryOf<Of<Name>>,
  file: File,
): Promise<AnswerOf<Of<Name>>> {
  const url = withQuery(addressOf(paths[name].path), query as Values);
  return send(url, { method: 'POST', body: file }) as Promise<AnswerOf<Of<Name>>>;
}
