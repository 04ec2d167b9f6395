import { serveStatic as staticFrom } from '@hono/node-server/serve-static';
import type { OpenAPIHono } from '@hono/zod-openapi';
import type { Context } from 'hono';
import { etag } from 'hono/etag';

const forever = 'max-age=31536000, immutable';
const whileUsed = 'max-age=3600';

const keep =
  (howLong: string) =>
  (_: string, context: Context): void =>
    context.header('cache-control', howLong);

/** Serves the built interface and the pictures: the shop below /shop, the desk everywhere else. */
export function serveStatic(
  app: OpenAPIHono,
  folders: { readonly web: string; readonly pictures: string | null },
): void {
  const page = (name: string) => staticFrom({ path: `${folders.web}/${name}`, onFound: keep('no-cache') });
  const [shop, desk] = [page('shop.html'), page('index.html')];
  app.use('*', etag());
  if (folders.pictures)
    app.get(
      '/pictures/*',
      staticFrom({
        root: folders.pictures,
        rewriteRequestPath: (path) => path.slice('/pictures'.length),
        onFound: keep(whileUsed),
      }),
    );
  app.get('/assets/*', staticFrom({ root: folders.web, onFound: keep(forever) }));
  app.get('/favicon.svg', staticFrom({ root: folders.web, onFound: keep('no-cache') }));
  for (const gone of ['/assets/*', '/pictures/*', '/favicon.svg', '/desk/*', '/openapi.json/*'])
    app.get(gone, (context) => context.notFound());
  app.get('/shop', shop);
  app.get('/shop/*', shop);
  app.get('*', desk);
}
