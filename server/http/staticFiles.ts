import { readFile } from 'node:fs/promises';
import { serveStatic as staticFrom } from '@hono/node-server/serve-static';
import type { OpenAPIHono } from '@hono/zod-openapi';
import type { Context, MiddlewareHandler } from 'hono';
import { etag } from 'hono/etag';
import { reservedIds, screenNames, unnamed } from '../../api/paths.ts';
import { idPattern } from '../../core/setup/setupRef.ts';
import { firstDraft } from '../store/setupStore.ts';
import type { StorefrontReader } from '../store/storefronts.ts';

const forever = 'max-age=31536000, immutable';
const whileUsed = 'max-age=3600';

/** Serves files that browsers keep so long. The package's own hook comes when the answer is made, and is not heard. */
const kept = (howLong: string, options: Parameters<typeof staticFrom>[0]): MiddlewareHandler => {
  const serve = staticFrom(options);
  return async (context, next) => {
    const found = await serve(context, next);
    // Where there is no such file, what comes next has answered.
    if (found instanceof Response) found.headers.set('cache-control', howLong);
    return found;
  };
};

/** Stands in the desk's page where the draft's address belongs, so that what it asks first is on its way early. */
const unnamedDesk = `/desk/${unnamed}/${unnamed}/`;

/**
 * Serves the built interface and the pictures: the shop below /shop, the desk everywhere else. An address that names no
 * storefront and draft, as they were once, leads to the first ones.
 */
export function serveStatic(
  app: OpenAPIHono,
  folders: { readonly web: string; readonly embed: string; readonly pictures: string | null },
  storefronts: StorefrontReader,
): void {
  const page = (name: string) => kept('no-cache', { path: `${folders.web}/${name}` });
  const shop = page('shop.html');
  const firstDraftOf = (storefront: string): string =>
    storefronts.drafts(storefront).find(({ removedAt }) => removedAt === null)?.id ?? firstDraft;
  const desk = async (context: Context): Promise<Response> => {
    const { pathname, search } = new URL(context.req.url);
    const [, storefront = '', draft, ...rest] = pathname.split('/');
    if (!idPattern.test(storefront) || reservedIds.has(storefront) || screenNames.has(storefront)) {
      const first = storefronts.first()!.id;
      return context.redirect(`/${first}/${firstDraftOf(first)}${pathname === '/' ? '' : pathname}${search}`);
    }
    if (!draft || (!idPattern.test(draft) && rest.length === 0))
      return context.redirect(`/${storefront}/${firstDraftOf(storefront)}${search}`);
    // Read each time: a page of before names files that a newer build no longer has.
    const html = await readFile(`${folders.web}/index.html`, 'utf8');
    context.header('cache-control', 'no-cache');
    return context.html(html.replaceAll(unnamedDesk, `/desk/${storefront}/${draft}/`));
  };
  app.use('*', etag());
  if (folders.pictures)
    app.get(
      '/pictures/*',
      kept(whileUsed, {
        root: folders.pictures,
        rewriteRequestPath: (path) => path.slice('/pictures'.length),
      }),
    );
  app.get('/assets/*', kept(forever, { root: folders.web, precompressed: true }));
  app.use('/embed/*', async (context, next) => {
    await next();
    // Scripts of pages of other sites: whoever may ask for the shop's answers is decided there.
    context.res.headers.set('access-control-allow-origin', '*');
    context.res.headers.set('cross-origin-resource-policy', 'cross-origin');
  });
  const embedded = (howLong: string) =>
    kept(howLong, {
      root: folders.embed,
      precompressed: true,
      rewriteRequestPath: (path) => path.slice('/embed'.length),
    });
  for (const named of ['/embed/parts/*', '/embed/assets/*']) app.get(named, embedded(forever));
  app.get('/embed/*', embedded('no-cache'));
  app.get('/favicon.svg', kept('no-cache', { root: folders.web }));
  for (const gone of ['/assets/*', '/embed/*', '/pictures/*', '/favicon.svg', '/desk/*', '/openapi.json/*'])
    app.get(gone, (context) => context.notFound());
  app.get('/preview/*', shop);
  app.get('/shop', shop);
  app.get('/shop/*', shop);
  app.get('*', desk);
}
