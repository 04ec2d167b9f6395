import type { Context } from 'hono';
import { shopPaths, unnamed } from '../../api/shopPaths.ts';
import { originOf } from '../../core/base/origin.ts';
import { Refused } from '../refused.ts';
import { openShopKeyReader } from '../store/shopKeys.ts';
import type { Services } from './services.ts';

const minute = 60_000;
/** Seconds a browser remembers that it may write down what shoppers do. */
const preflightFor = '86400';

/** Which paths are for shoppers, with the storefront they name. */
const forShoppers = new RegExp(
  `^(?:${Object.values(shopPaths)
    .map(({ path }) => path.replace('{storefront}', '([^/]+)'))
    .join('|')})$`,
);

/** Who a request of another site's page is by: the origin it is answered to; null for a program, which has none. */
export interface Across {
  readonly origin: string | null;
}

const refusals = {
  'key-needed': [403, 'Pages of other sites need a key of this storefront.'],
  'unknown-key': [403, 'This key is not one of this storefront, or was withdrawn.'],
  'unknown-origin': [403, 'This key is not for pages of this site. Its sites are said at the desk.'],
  paused: [503, 'Search in the shop’s own pages is paused.'],
  'too-many': [429, 'More questions in one minute than this key is for.'],
} as const;
function refuse(code: keyof typeof refusals): never {
  const [status, message] = refusals[code];
  throw new Refused(status, { code, message });
}

/**
 * Decides on requests of pages of other sites to what shoppers may ask: they need a key of the storefront, made for their
 * site, and no more of them are answered in a minute than it is for. Null: the request is none of those.
 */
export function openAcross({
  db,
  storefronts,
  now,
}: Pick<Services, 'db' | 'storefronts' | 'now'>): (context: Context, isOwn: boolean) => Across | null {
  const keys = openShopKeyReader(db);
  /** Questions answered in the minute that runs, by key. */
  const asked = new Map<string, { readonly since: number; count: number }>();
  const isTooMany = (key: string, most: number): boolean => {
    const at = now();
    const running = asked.get(key);
    if (!running || at - running.since >= minute) {
      asked.set(key, { since: at, count: 1 });
      return false;
    }
    return ++running.count > most;
  };
  return (context, isOwn) => {
    const named = forShoppers.exec(context.req.path)?.slice(1).find(Boolean);
    const said = context.req.query('key');
    if (named === undefined || (said === undefined && isOwn)) return null;
    const sent = context.req.header('origin');
    const origin = sent === undefined ? null : originOf(sent);
    // Why it is refused may be read by any page: it tells nothing of the shop.
    if (origin !== null) context.header('access-control-allow-origin', '*');
    if (said === undefined) refuse('key-needed');
    const storefront = named === unnamed ? storefronts.first()?.id : named;
    const key = keys.key(said);
    if (!key || key.storefront !== storefront) refuse('unknown-key');
    if (sent !== undefined && (origin === null || !(isOwn || key.origins.includes(origin)))) refuse('unknown-origin');
    if (origin !== null) context.header('access-control-allow-origin', origin);
    context.header('vary', 'Origin', { append: true });
    if (context.req.method === 'OPTIONS') {
      context.header('access-control-allow-methods', 'GET, POST');
      context.header('access-control-allow-headers', 'content-type');
      context.header('access-control-max-age', preflightFor);
      return { origin };
    }
    if (keys.pausedAt(key.storefront) !== null) refuse('paused');
    if (isTooMany(key.key, key.perMinute)) {
      context.header('retry-after', '60');
      refuse('too-many');
    }
    // Asked for anew each time, so that what is published shows at once; what is the same is not sent again.
    context.header('cache-control', 'no-cache');
    return { origin };
  };
}
