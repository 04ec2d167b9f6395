import { randomBytes } from 'node:crypto';
import { endpoints } from '../../api/endpoints.ts';
import { mostShopKeys } from '../../api/limits.ts';
import { Refused } from '../refused.ts';
import { openShopKeyReader, type ShopKey } from '../store/shopKeys.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

/** Bytes of chance in a key. */
const keyBytes = 15;

const told = ({ key, name, origins, perMinute, who, madeAt }: ShopKey) => ({
  ...{ key, name, origins, perMinute, who },
  madeAt: new Date(madeAt).toISOString(),
});
const tooMany = (): Refused =>
  new Refused(409, {
    code: 'too-many-keys',
    message: `There are ${mostShopKeys} keys already. Withdraw one first.`,
  });

const changedMeanwhile = (is: ShopKey | null): Refused =>
  new Refused(409, {
    code: 'changed-meanwhile',
    message:
      is === null
        ? 'This key was withdrawn meanwhile.'
        : `Somebody changed this key meanwhile: it is called “${is.name}”, for ${is.origins.join(', ')}, ${is.perMinute} questions a minute. Look at it again.`,
  });

/** Keys by which pages of other sites show a storefront's search. */
export function serveShopKeys(serve: Serve, { db, writer, now }: Pick<Services, 'db' | 'writer' | 'now'>): void {
  const reader = openShopKeyReader(db);
  serve.desk(endpoints.shopKeys, ({ id }) => {
    const pausedAt = reader.pausedAt(id);
    return {
      keys: reader.keys(id).map(told),
      pausedAt: pausedAt === null ? null : new Date(pausedAt).toISOString(),
    };
  });
  serve.desk(endpoints.makeShopKey, async ({ id, person, tellAround }, _, terms) => {
    if (reader.keys(id).length >= mostShopKeys) throw tooMany();
    const key = {
      ...terms,
      key: randomBytes(keyBytes).toString('base64url'),
      storefront: id,
      who: person,
      madeAt: now(),
    };
    await writer.makeShopKey(key);
    tellAround(`made the key “${terms.name}”`);
    return told({ ...key, withdrawnAt: null });
  });
  serve.desk(endpoints.changeShopKey, async ({ id, tellAround }, _, { key, was, ...terms }) => {
    if (!(await writer.changeShopKey(id, key, terms, was))) throw changedMeanwhile(reader.key(key));
    tellAround(`changed the key “${terms.name}”`);
    return {};
  });
  serve.desk(endpoints.withdrawShopKey, async ({ id, tellAround }, _, { key, withdrawn }) => {
    if (!withdrawn && reader.keys(id).length >= mostShopKeys) throw tooMany();
    await writer.withdrawShopKey(id, key, withdrawn ? now() : null);
    tellAround(withdrawn ? 'withdrew a key' : 'let a key hold again');
    return {};
  });
  serve.desk(endpoints.pauseShop, async ({ id, tellAround }, _, { paused }) => {
    await writer.pauseShop(id, paused ? now() : null);
    tellAround(paused ? 'paused search in the shop’s own pages' : 'let search in the shop’s own pages go on');
    return {};
  });
}
