import type { Problem } from '../../api/problem.ts';

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
const passing: ReadonlySet<string> = new Set([
  'no-connection',
  'storage-busy',
  'too-busy',
  'too-many',
  'index-rebuilding',
]);
export const isPassing = (error: unknown): boolean => error instanceof CallProblem && passing.has(error.code);
/** After how long something refused in passing is tried again, in milliseconds. */
export const tryAgainAfter = 2000;

export type Values = Readonly<Record<string, unknown>>;

/** An address with values behind it: each of a list, and none that is not there. */
export function withQuery(path: string, query: Values): string {
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

export async function send(url: string, init: RequestInit, ask: typeof fetch = fetch): Promise<unknown> {
  let response: Response;
  try {
    response = await ask(url, init);
  } catch (error) {
    if ((error as Error).name === 'AbortError') throw error;
    throw new CallProblem({ code: 'no-connection', message: 'The server does not answer. Is it running?' });
  }
  return read(response);
}
