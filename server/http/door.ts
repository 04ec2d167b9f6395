import type { OpenAPIHono } from '@hono/zod-openapi';
import type { Context } from 'hono';
import { compress } from 'hono/compress';
import { csrf } from 'hono/csrf';
import { HTTPException } from 'hono/http-exception';
import { secureHeaders } from 'hono/secure-headers';
import { IndexDamaged } from '../catalog/indexFile.ts';
import { Refused, rebuildingIndex } from '../refused.ts';
import { requestSignal } from '../requestSignal.ts';
import { storageRefusal } from '../storageProblem.ts';
import type { Across } from './across.ts';
import { problem } from './problems.ts';

/** Names under which this machine reaches itself. */
const ownHosts = ['localhost', '127.0.0.1', '[::1]'];
/** Seconds after which a refused request may be tried again. */
const tryAgainAfter = '2';

/** The name in a host header or an origin, without its port; null where it is none. */
function hostName(text: string): string | null {
  try {
    return new URL(text.includes('://') ? text : `http://${text}`).hostname;
  } catch {
    return null;
  }
}

/** The name and the port of an origin; null where it is none, and so that of nobody. */
function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host || null;
  } catch {
    return null;
  }
}

/** Pages may run our own scripts and nothing else; styles may stand in elements, since dragged things are placed there. */
const policy = {
  defaultSrc: ["'self'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
  fontSrc: ["'self'", 'data:'],
  imgSrc: ["'self'", 'data:'],
  frameAncestors: ["'self'"],
  baseUri: ["'none'"],
  formAction: ["'self'"],
};

const httpCodes: Readonly<Record<number, readonly [string, string]>> = {
  400: ['malformed-body', 'The body of the request is no valid JSON. Nothing was changed.'],
  403: ['other-origin', 'This address only takes changes from its own pages. Nothing was changed.'],
  413: ['too-large', 'The request is larger than this address takes. Nothing was changed.'],
  415: ['wrong-content-type', 'The body of the request must be application/json. Nothing was changed.'],
};

/**
 * What every request passes first. The name it is sent to must be one of this server's own (`hosts` adds some): a site
 * whose name was pointed at this machine then reads and writes nothing. A change must come from the same name.
 */
export function openDoor(
  app: OpenAPIHono,
  options: {
    readonly hosts: readonly string[];
    readonly database: string;
    noteMistake(error: unknown): void;
    /** Lets pages of other sites ask what shoppers may; null where a request is none of theirs, refused where it may not. */
    across(context: Context, isOwn: boolean): Across | null;
  },
): void {
  const names = new Set([...ownHosts, ...options.hosts.map((host) => hostName(host) ?? host)]);
  app.onError((error, context) => {
    const refused =
      error instanceof Refused
        ? error
        : error instanceof IndexDamaged
          ? rebuildingIndex()
          : storageRefusal(error, options.database);
    if (refused) {
      if (refused.status === 503) context.header('retry-after', tryAgainAfter);
      return problem(context, refused.status, refused.problem);
    }
    if (error instanceof HTTPException) {
      const [code, message] = httpCodes[error.status] ?? ['refused', 'The request cannot be taken.'];
      return problem(context, error.status as 400, { code, message });
    }
    options.noteMistake(error);
    return problem(context, 500, { code: 'our-mistake', message: 'Something went wrong here. Nothing was changed.' });
  });
  app.notFound((context) => problem(context, 404, { code: 'not-found', message: 'There is nothing at this address.' }));
  app.use('*', (context, next) => requestSignal.run(context.req.raw.signal, next));
  // With no referrer at all, browsers send changes from our own pages as from no origin, and they would be refused.
  const headers = {
    xFrameOptions: 'SAMEORIGIN',
    strictTransportSecurity: false,
    referrerPolicy: 'same-origin',
  } as const;
  const ofPages = secureHeaders({ ...headers, contentSecurityPolicy: policy });
  // A picture is a file somebody brought: it must not run as a page, even when opened by itself.
  const pictures = { defaultSrc: ["'none'"], styleSrc: ["'unsafe-inline'"], sandbox: [] };
  // Pages of other sites that show the shop's products show their pictures.
  const ofPictures = secureHeaders({
    ...headers,
    contentSecurityPolicy: pictures,
    crossOriginResourcePolicy: 'cross-origin',
  });
  app.use('*', (context, next) =>
    context.req.path.startsWith('/pictures/') ? ofPictures(context, next) : ofPages(context, next),
  );
  const fromOwnPage = csrf({ origin: (origin) => names.has(hostName(origin) ?? '') });
  app.use('*', async (context, next) => {
    const host = context.req.header('host') ?? new URL(context.req.url).host;
    const name = hostName(host);
    if (name === null || !names.has(name))
      return problem(context, 403, {
        code: 'unknown-host',
        message: `This server does not answer under the name “${(name ?? '').slice(0, 80)}”. Start it with --host NAME to allow that.`,
      });
    const origin = context.req.header('origin');
    const isOwn = origin === undefined || hostOf(origin) === hostOf(`http://${host}`);
    const across = options.across(context, isOwn);
    if (across) return context.req.method === 'OPTIONS' ? context.body(null, 204) : next();
    const isChange = !['GET', 'HEAD', 'OPTIONS'].includes(context.req.method);
    if (isChange && !isOwn) throw new HTTPException(403);
    // A form or a plain text needs no permission of the browser to be sent here, so it must name its own page.
    return origin === undefined && context.req.header('sec-fetch-site') === undefined
      ? next()
      : fromOwnPage(context, next);
  });
  app.use('*', compress());
}
