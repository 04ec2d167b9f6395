import { readFile } from 'node:fs/promises';
import { extname, join, normalize, sep } from 'node:path';
import { serve } from '@hono/node-server';
import { Hono } from 'hono';

/** What the keys are called by which the stand-in shop's pages ask. */
export const standInName = 'The stand-in shop';

const kinds: Readonly<Record<string, string>> = {
  '.html': 'text/html; charset=utf-8',
  '.css': 'text/css; charset=utf-8',
};

export interface StandInOptions {
  /** Where its pages are; `__SERVER__` and `__KEY_{storefront}__` in them stand for our server and for keys. */
  readonly folder: string;
  readonly port: number;
  /** Our server's origin. */
  readonly server: string;
  /** A storefront's key for pages of this origin, or null where it has none. */
  readonly keyOf: (storefront: string) => string | null;
}

/** A path as it is meant; one that cannot be read is of nothing that is there. */
function readable(path: string): string {
  try {
    return decodeURIComponent(path);
  } catch {
    return '/none';
  }
}

/** The pages of a shop of another origin, which show our search as any shop's pages would. */
export function standInPages({ folder, server, keyOf }: Omit<StandInOptions, 'port'>): Hono {
  const app = new Hono();
  // As strict as a careful shop's: nothing but its own pages, our script and our answers.
  const policy = [
    "default-src 'none'",
    `script-src ${server}`,
    `connect-src ${server}`,
    `img-src 'self' data: ${server}`,
    "style-src 'self'",
    "form-action 'self'",
    "base-uri 'none'",
    "frame-ancestors 'self'",
  ].join('; ');
  app.get('*', async (context) => {
    const asked = normalize(readable(context.req.path));
    const path = join(folder, asked.endsWith(sep) ? join(asked, 'index.html') : asked);
    const kind = kinds[extname(path)];
    if (!kind || !path.startsWith(folder + sep)) return context.notFound();
    const text = await readFile(path, 'utf8').catch(() => null);
    if (text === null) return context.notFound();
    context.header('content-type', kind);
    context.header('content-security-policy', policy);
    context.header('cache-control', 'no-cache');
    return context.body(
      text
        .replaceAll('__SERVER__', server)
        .replace(/__KEY_(\w+)__/g, (_, storefront: string) => keyOf(storefront) ?? ''),
    );
  });
  return app;
}

/** Serves them until `close`; a port that is taken leaves the stand-in shop away, and says so. */
export function openStandInShop(options: StandInOptions & { readonly said: (sentence: string) => void }): {
  close(): void;
} {
  const { port, said } = options;
  const server = serve({ fetch: standInPages(options).fetch, port, hostname: '127.0.0.1' }, (address) =>
    said(`The stand-in shop, whose pages show its search, is at http://127.0.0.1:${address.port}/`),
  );
  server.on('error', (error: NodeJS.ErrnoException) =>
    said(
      error.code === 'EADDRINUSE'
        ? `The stand-in shop is not served: port ${port} is taken. Name another with --shop-port N.`
        : `The stand-in shop is not served: ${error.message}`,
    ),
  );
  return { close: () => void server.close() };
}
