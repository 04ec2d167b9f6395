import type { OpenAPIHono, RouteConfig } from '@hono/zod-openapi';
import type { Context } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { HTTPException } from 'hono/http-exception';
import type { z } from 'zod';
import type { Endpoint, QuerySchema } from '../../api/endpoint.ts';
import { problemSchema } from '../../api/problem.ts';
import { Refused } from '../refused.ts';
import { deepestJson, isTooDeep } from './jsonDepth.ts';

/** What is answered: shaped as the contract says, and nothing that is computed is copied to be writable. */
type Answered<Value> = Value extends object ? { readonly [Key in keyof Value]: Answered<Value[Key]> } : Value;

/** Parts of a request as they are once they have been validated. */
interface Given<Query, Body> {
  readonly in: { readonly query: unknown; readonly json: unknown };
  readonly out: { readonly query: Query; readonly json: Body };
}

export type Serve = <Query extends QuerySchema, Body extends z.ZodType, Answer extends z.ZodType>(
  endpoint: Endpoint<Query, Body, Answer>,
  handle: (
    query: z.output<Query>,
    body: z.output<Body>,
    context: Context,
  ) => Promise<Answered<z.input<Answer>>> | Answered<z.input<Answer>>,
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
    const route: RouteConfig = {
      method,
      path,
      summary,
      request: { query, ...(takesJson ? { body: { ...content(body), required: true } } : {}) },
      responses: {
        200: { description: 'The answer.', ...content(answer) },
        400: { description: 'The request cannot be taken.', ...content(problemSchema) },
        409: { description: 'The draft has changed, or there is nothing to do.', ...content(problemSchema) },
      },
    };
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
    app.openapi<RouteConfig, Given<z.output<typeof query>, z.output<typeof body>>>(route, async (context) => {
      const json = takesJson ? context.req.valid('json') : body.parse({});
      const answered = await handle(context.req.valid('query'), json, context);
      return context.body(JSON.stringify(answered), 200, { 'content-type': 'application/json' });
    });
  };
}
