import { once } from 'node:events';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';

/** A site of an origin of its own, whose pages a test writes. */
export async function openOtherSite(): Promise<{
  readonly origin: string;
  /** By path: what stands in the body, and what else the head and the answer have. */
  readonly pages: Map<string, { readonly body: string; readonly head?: string; readonly policy?: string }>;
  close(): void;
}> {
  const pages = new Map<string, { readonly body: string; readonly head?: string; readonly policy?: string }>();
  const server = createServer((request, response) => {
    const page = pages.get(new URL(request.url!, 'http://site').pathname);
    response.statusCode = page ? 200 : 404;
    response.setHeader('content-type', 'text/html; charset=utf-8');
    if (page?.policy) response.setHeader('content-security-policy', page.policy);
    response.end(
      page &&
        `<!doctype html><html lang="en"><head><title>Other site</title><link rel="icon" href="data:,">${page.head ?? ''}</head><body>${page.body}</body></html>`,
    );
  });
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  return {
    origin: `http://127.0.0.1:${port}`,
    pages,
    close() {
      server.closeAllConnections();
      server.close();
    },
  };
}
