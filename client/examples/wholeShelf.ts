import type { Shop } from '../index.ts';

const cell = (said: string): string => (/[",\n]/.test(said) ? `"${said.replaceAll('"', '""')}"` : said);

/** Everything that a search finds, in its order, as CSV; so many products at a time. */
export async function wholeShelf(shop: Shop, q: string, limit = 50): Promise<string> {
  const rows = ['place,sku,title,price'];
  for (let page = 1; ; page++) {
    const { results, total } = await shop.search({ q, page, limit });
    for (const { place, sku, title, price } of results)
      rows.push([String(place), sku, title, price === null ? '' : String(price)].map(cell).join(','));
    if (results.length === 0 || page * limit >= total) return `${rows.join('\n')}\n`;
  }
}
