import { createRoute, type OpenAPIHono } from '@hono/zod-openapi';
import type { Context } from 'hono';
import type { z } from 'zod';
import type { Endpoint } from '../../api/endpoint.ts';
import { type Problem, problemSchema } from '../../api/problem.ts';

type Status = 400 | 404 | 409 | 413 | 503;

/** A refusal on its way out of a handler. */
export class Refused extends Error {
  readonly status: Status;
  readonly problem: Problem['error'];
  constructor(status: Status, error: Problem['error']) {
    super(error.message);
    this.status = status;
    this.problem = error;
  }
}

export const noCatalog = (): Refused =>
  new Refused(503, { code: 'no-catalog', message: 'There is no catalog yet. Bring one in on the Catalog screen.' });

export type Serve = <Query extends z.ZodType, Body extends z.ZodType, Answer extends z.ZodType>(
  endpoint: Endpoint<Query, Body, Answer>,
  handle: (
    query: z.output<Query>,
    body: z.output<Body>,
    context: Context,
  ) => Promise<z.input<Answer>> | z.input<Answer>,
  takesJson?: boolean,
) => void;

/** Registers endpoints of the contract, each validated by its own schema and described in the OpenAPI document. */
export function servingOn(app: OpenAPIHono): Serve {
  return ({ method, path, summary, query, body, answer }, handle, takesJson = method === 'post') => {
    const content = (schema: z.ZodType) => ({ content: { 'application/json': { schema } } });
    const route = createRoute({
      method,
      path,
      summary,
      request: { query: query as never, ...(takesJson ? { body: { ...content(body), required: true } } : {}) },
      responses: {
        200: { description: 'The answer.', ...content(answer) },
        400: { description: 'The request cannot be taken.', ...content(problemSchema) },
        409: { description: 'The draft has changed, or there is nothing to do.', ...content(problemSchema) },
      },
    });
    app.openapi(route, (async (context: Context) => {
      const valid = context.req as unknown as { valid(part: 'query' | 'json'): never };
      const told = await handle(valid.valid('query'), takesJson ? valid.valid('json') : ({} as never), context);
      return context.json(told as never, 200);
    }) as never);
  };
}
