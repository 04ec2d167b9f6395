import { readFile, stat } from 'node:fs/promises';
import { extname, join, normalize, sep } from 'node:path';
import type { OpenAPIHono } from '@hono/zod-openapi';

const types: Readonly<Record<string, string>> = {
  '.html': 'text/html; charset=utf-8',
  '.js': 'text/javascript; charset=utf-8',
  '.css': 'text/css; charset=utf-8',
  '.svg': 'image/svg+xml',
  '.woff2': 'font/woff2',
  '.png': 'image/png',
  '.ico': 'image/x-icon',
};

/**
 * Pages may run our own scripts and nothing else; whatever text comes from a shopper or a file stays text. Styles may
 * stand in elements, since positions of dragged things are set there.
 */
const policy =
  "default-src 'self'; style-src 'self' 'unsafe-inline'; font-src 'self' data:; img-src 'self' data:; frame-ancestors 'self'; base-uri 'none'; form-action 'self'";

async function read(folder: string, path: string): Promise<{ body: Buffer; type: string } | null> {
  const file = normalize(join(folder, path));
  if (!file.startsWith(folder + sep)) return null;
  try {
    if (!(await stat(file)).isFile()) return null;
    return { body: await readFile(file), type: types[extname(file)] ?? 'application/octet-stream' };
  } catch {
    return null;
  }
}

/** Serves the built interface and the pictures: the shop below /shop, the desk everywhere else. */
export function serveStatic(
  app: OpenAPIHono,
  folders: { readonly web: string; readonly pictures: string | null },
): void {
  app.get('/pictures/*', async (context) => {
    const name = decodeURIComponent(context.req.path.slice('/pictures/'.length));
    const found = folders.pictures ? await read(folders.pictures, name) : null;
    if (!found) return context.text('There is no such picture.', 404);
    // A picture is a file somebody brought: it must not run as a page, even when opened by itself.
    return context.body(new Uint8Array(found.body), 200, {
      'content-type': found.type,
      'cache-control': 'max-age=3600',
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox",
      'x-content-type-options': 'nosniff',
    });
  });
  app.get('*', async (context) => {
    const path = decodeURIComponent(context.req.path);
    const isAsset = path.startsWith('/assets/') || path === '/favicon.svg';
    const page = path === '/shop' || path.startsWith('/shop/') ? 'shop.html' : 'index.html';
    const found = await read(folders.web, isAsset ? path : page);
    if (!found) return context.text('There is no such page.', 404);
    return context.body(new Uint8Array(found.body), 200, {
      'content-type': found.type,
      'cache-control': isAsset && path !== '/favicon.svg' ? 'max-age=31536000, immutable' : 'no-cache',
      'content-security-policy': policy,
      'x-content-type-options': 'nosniff',
    });
  });
}
