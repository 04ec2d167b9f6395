import type { Db } from './database.ts';

/** What lets pages of other sites show a storefront's search. It is no secret, as it stands in those pages: it reads what shoppers may, and nothing else. */
export interface ShopKey {
  readonly key: string;
  readonly storefront: string;
  readonly name: string;
  /** Of pages that may use it, as `originOf` writes them. */
  readonly origins: readonly string[];
  /** Questions that are answered in one minute, of all pages together. */
  readonly perMinute: number;
  readonly who: string;
  readonly madeAt: number;
  readonly withdrawnAt: number | null;
}

type Row = Omit<ShopKey, 'origins'> & { readonly origins: string };
const columns =
  'key, storefront, name, origins, per_minute AS perMinute, who, made_at AS madeAt, withdrawn_at AS withdrawnAt';
const keyOf = (row: Row): ShopKey => ({ ...row, origins: JSON.parse(row.origins) as string[] });

export interface ShopKeyReader {
  /** A key that holds, or null. */
  key(key: string): ShopKey | null;
  /** Keys of a storefront that hold, newest first. */
  keys(storefront: string): ShopKey[];
  /** Since when pages of other sites show their own search; null: they show this one. */
  pausedAt(storefront: string): number | null;
}

export function openShopKeyReader(db: Db): ShopKeyReader {
  const one = db.prepare<{ key: string }, Row>(
    `SELECT ${columns} FROM shop_key WHERE key = @key AND withdrawn_at IS NULL`,
  );
  const all = db.prepare<{ storefront: string }, Row>(
    `SELECT ${columns} FROM shop_key WHERE storefront = @storefront AND withdrawn_at IS NULL ORDER BY made_at DESC, key`,
  );
  const paused = db.prepare<{ storefront: string }, { at: number | null }>(
    'SELECT paused_at AS at FROM storefront WHERE id = @storefront',
  );
  return {
    key(key) {
      const row = one.get({ key });
      return row ? keyOf(row) : null;
    },
    keys: (storefront) => all.all({ storefront }).map(keyOf),
    pausedAt: (storefront) => paused.get({ storefront })?.at ?? null,
  };
}

/** What of a key can be said anew. */
export type ShopKeyTerms = Pick<ShopKey, 'name' | 'origins' | 'perMinute'>;

export interface ShopKeyWrites {
  makeShopKey(key: Omit<ShopKey, 'withdrawnAt'>): void;
  /** Answers whether it was changed: not where it is no longer what it was. */
  changeShopKey(storefront: string, key: string, terms: ShopKeyTerms, was: ShopKeyTerms): boolean;
  /** Ends a key, from the next question on; with null it holds again. */
  withdrawShopKey(storefront: string, key: string, at: number | null): void;
  pauseShop(storefront: string, at: number | null): void;
}

export function openShopKeyWrites(db: Db): ShopKeyWrites {
  const add = db.prepare(
    `INSERT INTO shop_key (key, storefront, name, origins, per_minute, who, made_at)
     VALUES (@key, @storefront, @name, @origins, @perMinute, @who, @madeAt)`,
  );
  const change = db.prepare(
    `UPDATE shop_key SET name = @name, origins = @origins, per_minute = @perMinute
     WHERE key = @key AND storefront = @storefront
       AND name = @wasName AND origins = @wasOrigins AND per_minute = @wasPerMinute`,
  );
  const withdraw = db.prepare('UPDATE shop_key SET withdrawn_at = @at WHERE key = @key AND storefront = @storefront');
  const pause = db.prepare('UPDATE storefront SET paused_at = @at WHERE id = @storefront');
  return {
    makeShopKey: ({ origins, ...key }) => void add.run({ ...key, origins: JSON.stringify(origins) }),
    changeShopKey(storefront, key, { origins, ...terms }, was) {
      const before = { wasName: was.name, wasOrigins: JSON.stringify(was.origins), wasPerMinute: was.perMinute };
      const { changes } = change.run({ ...terms, ...before, storefront, key, origins: JSON.stringify(origins) });
      return changes > 0;
    },
    withdrawShopKey: (storefront, key, at) => void withdraw.run({ storefront, key, at }),
    pauseShop: (storefront, at) => void pause.run({ storefront, at }),
  };
}
