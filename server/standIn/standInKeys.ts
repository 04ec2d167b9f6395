import { randomBytes } from 'node:crypto';
import { perMinuteOf } from '../../api/limits.ts';
import type { Services } from '../http/services.ts';
import { openShopKeyReader } from '../store/shopKeys.ts';
import { standInName } from './standInShop.ts';

/** Bytes of chance in a key. */
const keyBytes = 15;

/**
 * The keys of the stand-in shop's pages: made for the storefronts that the demo has begun with just now, and said anew for
 * the port that those pages have today. One that was withdrawn stays so. Null: there are none, and so no such shop.
 */
export async function standInKeys(
  { db, storefronts, writer, now }: Pick<Services, 'db' | 'storefronts' | 'writer' | 'now'>,
  { origin, begunWith }: { readonly origin: string; readonly begunWith: readonly string[] },
): Promise<((storefront: string) => string | null) | null> {
  const reader = openShopKeyReader(db);
  const ofStandIn = (storefront: string) => reader.keys(storefront).find(({ name }) => name === standInName);
  let hasAny = false;
  for (const { id: storefront } of storefronts.storefronts()) {
    const known = ofStandIn(storefront);
    hasAny ||= known !== undefined || begunWith.includes(storefront);
    if (known && !known.origins.includes(origin)) {
      const { key, name, perMinute } = known;
      await writer.changeShopKey(storefront, key, { name, origins: [origin], perMinute }, known);
    } else if (!known && begunWith.includes(storefront))
      await writer.makeShopKey({
        ...{ key: randomBytes(keyBytes).toString('base64url'), storefront, name: standInName, origins: [origin] },
        ...{ perMinute: perMinuteOf.usual, who: 'Clever Shelf', madeAt: now() },
      });
  }
  return hasAny ? (storefront) => ofStandIn(storefront)?.key ?? null : null;
}
