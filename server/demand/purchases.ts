import type { Db } from '../store/database.ts';

/** What shoppers of a storefront bought after each search, by its key, and in all. Cost: a pass over the purchases of the log. */
export function purchases(db: Db, storefront: string) {
  const rows = db
    .prepare<[string], { key: string; product: string; many: number }>(
      `SELECT l.key AS key, o.product AS product, count(*) AS many
       FROM search_outcome o JOIN search_log l ON l.id = o.search_id
       WHERE l.storefront = ? AND l.by_desk = 0 AND o.kind = 'purchase' GROUP BY l.key, o.product`,
    )
    .all(storefront);
  const bySearch = new Map<string, Map<string, number>>();
  const byProduct = new Map<string, number>();
  for (const { key, product, many } of rows) {
    const known = bySearch.get(key) ?? new Map<string, number>();
    bySearch.set(key, known.set(product, many));
    byProduct.set(product, (byProduct.get(product) ?? 0) + many);
  }
  return { bySearch, byProduct };
}
