import type { OpenAPIHono, RouteConfig } from '@hono/zod-openapi';
import { z } from '@hono/zod-openapi';
import type { Context } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { HTTPException } from 'hono/http-exception';
import type { Endpoint, QuerySchema, Schema } from '../../api/endpoint.ts';
import { problemSchema } from '../../api/problem.ts';
import { Refused } from '../refused.ts';
import { deepestJson, isTooDeep } from './jsonDepth.ts';
import type { Desk, Storefront } from './services.ts';
import type { Whereabouts } from './whereabouts.ts';

/** What is answered: shaped as the contract says, and nothing that is computed is copied to be writable. */
type Answered<Value> = Value extends object ? { readonly [Key in keyof Value]: Answered<Value[Key]> } : Value;

/** Parts of a request as they are once they have been validated. */
interface Given<Query, Body> {
  readonly in: { readonly query: unknown; readonly json: unknown };
  readonly out: { readonly query: Query; readonly json: Body };
}

/** Answers an endpoint; `Here` is what the request's address is about. */
type ServeAbout<Here> = <Query extends QuerySchema, Body extends Schema, Answer extends Schema>(
  endpoint: Endpoint<Query, Body, Answer>,
  handle: (
    here: Here,
    query: z.output<Query>,
    body: z.output<Body>,
    context: Context,
  ) => Promise<Answered<z.input<Answer>>> | Answered<z.input<Answer>>,
  takesJson?: boolean,
) => void;

export interface Serve {
  /** About one draft of one storefront. */
  readonly desk: ServeAbout<Desk>;
  /** About one storefront, for its shoppers: refused while it is closed. */
  readonly shop: ServeAbout<Storefront>;
  /** About none in particular. */
  readonly all: ServeAbout<null>;
}

/** Largest body of a request that does not say otherwise, in bytes. */
const usualBytes = 256 * 1024;
const tooLarge = (): never => {
  throw new HTTPException(413);
};

/** Where the router finds a path of the contract. */
export const routeOf = (path: string): string => path.replace(/\{(\w+)\}/g, ':$1');

/** What an address names is told apart from what is asked: who asks for nothing there is gets an answer with a code. */
const named = z.string().max(80);
const parametersOf = (path: string) =>
  z.object(Object.fromEntries([...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => [name!, named])));

/** Registers endpoints of the contract, each validated by its own schema and described in the OpenAPI document. */
export function servingOn(app: OpenAPIHono, { deskIn, shopIn }: Whereabouts): Serve {
  const about =
    <Here>(hereIn: (context: Context) => Here | Promise<Here>): ServeAbout<Here> =>
    (endpoint, handle, takesJson = endpoint.method === 'post') => {
      const { method, path, summary, query, body, answer, mostBytes = usualBytes } = endpoint;
      const content = (schema: Schema) => ({ content: { 'application/json': { schema: schema as z.ZodType } } });
      const route: RouteConfig = {
        method,
        path,
        summary,
        request: {
          params: parametersOf(path),
          query: query as z.ZodObject,
          ...(takesJson ? { body: { ...content(body), required: true } } : {}),
        },
        responses: {
          200: { description: 'The answer.', ...content(answer) },
          400: { description: 'The request cannot be taken.', ...content(problemSchema) },
          404: { description: 'There is no such storefront, draft or release.', ...content(problemSchema) },
          409: { description: 'The draft has changed, or there is nothing to do.', ...content(problemSchema) },
          ...(path.startsWith('/shop/') && {
            403: { description: 'The key is none of this storefront or site.', ...content(problemSchema) },
            429: { description: 'More questions in a minute than the key is for.', ...content(problemSchema) },
            503: { description: 'Paused, or to be tried again a little later.', ...content(problemSchema) },
          }),
        },
      };
      if (takesJson) {
        const at = routeOf(path);
        app.use(at, async (context, next) => {
          if (context.req.method !== 'POST') return next();
          const type = context.req.header('content-type') ?? '';
          if (!/^application\/json(\s*;|$)/i.test(type)) throw new HTTPException(415);
          return next();
        });
        app.use(at, bodyLimit({ maxSize: mostBytes, onError: tooLarge }));
        app.use(at, async (context, next) => {
          if (context.req.method === 'POST' && isTooDeep(await context.req.text()))
            throw new Refused(400, {
              code: 'too-deep',
              message: `The body of the request has more than ${deepestJson} levels. Nothing was changed.`,
            });
          return next();
        });
      }
      app.openapi<RouteConfig, Given<z.output<typeof query>, z.output<typeof body>>>(route, async (context) => {
        const json = takesJson ? context.req.valid('json') : z.parse(body, {});
        const answered = await handle(await hereIn(context), context.req.valid('query'), json, context);
        return context.body(JSON.stringify(answered), 200, { 'content-type': 'application/json' });
      });
    };
  return { desk: about(deskIn), shop: about(shopIn), all: about(() => null) };
}
