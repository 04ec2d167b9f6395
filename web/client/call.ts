import type { AnswerOf, BodyOf, QueryOf } from '../../api/endpoint.ts';
import type { endpoints } from '../../api/endpoints.ts';
import { type EndpointName, pathFor, paths } from '../../api/paths.ts';
import type { Problem } from '../../api/problem.ts';
import { type Place, placeNow } from './place.ts';

/** What a refused request says of itself. */
export class CallProblem extends Error {
  readonly code: string;
  readonly field: string | undefined;
  readonly details: unknown;
  constructor(problem: Problem['error']) {
    super(problem.message);
    this.code = problem.code;
    this.field = problem.field;
    this.details = problem.details;
  }
}

/** Refusals that say nothing about what was asked: the same is answered a little later. */
const passing: ReadonlySet<string> = new Set(['no-connection', 'storage-busy', 'too-busy', 'index-rebuilding']);
export const isPassing = (error: unknown): boolean => error instanceof CallProblem && passing.has(error.code);
/** After how long something refused in passing is tried again, in milliseconds. */
export const tryAgainAfter = 2000;

/** Names this page, so that it is not told what it did itself. */
export const tab = crypto.randomUUID?.() ?? String(Math.random()).slice(2);

type Values = Readonly<Record<string, unknown>>;
type Of<Name extends EndpointName> = (typeof endpoints)[Name];

function address(path: string, query: Values): string {
  const parameters = new URLSearchParams();
  for (const [name, value] of Object.entries(query))
    for (const item of [value].flat()) if (item !== undefined) parameters.append(name, String(item));
  const text = parameters.toString();
  return text ? `${path}?${text}` : path;
}

async function read(response: Response): Promise<unknown> {
  const isJson = response.headers.get('content-type')?.includes('json');
  const body: unknown = isJson ? await response.json() : null;
  if (response.ok && isJson) return body;
  const problem = (body as Problem | null)?.error;
  throw new CallProblem(problem ?? { code: 'no-answer', message: `The server answered ${response.status}.` });
}

async function send(url: string, init: RequestInit): Promise<unknown> {
  let response: Response;
  try {
    response = await fetch(url, init);
  } catch (error) {
    if ((error as Error).name === 'AbortError') throw error;
    throw new CallProblem({ code: 'no-connection', message: 'The server does not answer. Is it running?' });
  }
  return read(response);
}

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
  return send(address(addressOf(path, given.place), (given.query ?? {}) as Values), init) as Promise<
    AnswerOf<Of<Name>>
  >;
}

/** Sends a file as the request's body. */
export function sendFile<Name extends EndpointName>(
  name: Name,
  query: QueryOf<Of<Name>>,
  file: File,
): Promise<AnswerOf<Of<Name>>> {
  const url = address(addressOf(paths[name].path), query as Values);
  return send(url, { method: 'POST', body: file }) as Promise<AnswerOf<Of<Name>>>;
}
