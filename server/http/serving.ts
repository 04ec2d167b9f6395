import { createRoute, type OpenAPIHono } from '@hono/zod-openapi';
import type { Context } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { HTTPException } from 'hono/http-exception';
import type { z } from 'zod';
import type { Endpoint } from '../../api/endpoint.ts';
import { problemSchema } from '../../api/problem.ts';
import { Refused } from '../refused.ts';
import { deepestJson, isTooDeep } from './jsonDepth.ts';

export type Serve = <Query extends z.ZodType, Body extends z.ZodType, Answer extends z.ZodType>(
  endpoint: Endpoint<Query, Body, Answer>,
  handle: (
    query: z.output<Query>,
    body: z.output<Body>,
    context: Context,
  ) => Promise<z.input<Answer>> | z.input<Answer>,
  takesJson?: boolean,
) => void;

/** Largest body of a request that does not say otherwise, in bytes. */
const usualBytes = 256 * 1024;
const tooLarge = (): never => {
  throw new HTTPException(413);
};

/** Registers endpoints of the contract, each validated by its own schema and described in the OpenAPI document. */
export function servingOn(app: OpenAPIHono): Serve {
  return (endpoint, handle, takesJson = endpoint.method === 'post') => {
    const { method, path, summary, query, body, answer, mostBytes = usualBytes } = endpoint;
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
    if (takesJson) {
      app.use(path, async (context, next) => {
        if (context.req.method !== 'POST') return next();
        const type = context.req.header('content-type') ?? '';
        if (!/^application\/json(\s*;|$)/i.test(type)) throw new HTTPException(415);
        return next();
      });
      app.use(path, bodyLimit({ maxSize: mostBytes, onError: tooLarge }));
      app.use(path, async (context, next) => {
        if (context.req.method === 'POST' && isTooDeep(await context.req.text()))
          throw new Refused(400, {
            code: 'too-deep',
            message: `The body of the request has more than ${deepestJson} levels. Nothing was changed.`,
          });
        return next();
      });
    }
    app.openapi(route, (async (context: Context) => {
      const valid = context.req as unknown as { valid(part: 'query' | 'json'): never };
      const told = await handle(valid.valid('query'), takesJson ? valid.valid('json') : ({} as never), context);
      return context.json(told as never, 200);
    }) as never);
  };
}
