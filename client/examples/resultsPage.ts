import type { Question, Results, Shop } from '../index.ts';

const marks: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
/** What the catalog says is text, whatever it looks like. */
const text = (said: string): string => said.replace(/[&<>"]/g, (mark) => marks[mark]!);

/** A filter as a list of links: choosing a value needs no script. */
function filterList({ key, label, values }: Results['filters'][number], address: URLSearchParams): string {
  const links = values.map(({ value, label: name, count }) => {
    const chosen = new URLSearchParams(address);
    chosen.append(`f.${key}`, value);
    return `<li><a href="?${text(chosen.toString())}">${text(name)}</a> ${count}</li>`;
  });
  return links.length === 0 ? '' : `<h2>${text(label)}</h2><ul>${links.join('')}</ul>`;
}

/** The results of an address such as `?q=brush&f.brand=Osier&page=2` as HTML, made by a server. */
export async function resultsPage(shop: Shop, address: URLSearchParams): Promise<string> {
  const filters = [...new Set(address.keys())].filter((name): name is `f.${string}` => name.startsWith('f.'));
  const question: Question = {
    q: address.get('q') ?? '',
    page: Number(address.get('page') ?? 1),
    ...Object.fromEntries(filters.map((name) => [name, address.getAll(name)])),
  };
  const { query, total, results, filters: beside, shop: about } = await shop.search(question);
  const money = new Intl.NumberFormat('en', { style: 'currency', currency: about.currency });
  const lines = results.map(
    ({ familyId, title, price }) =>
      `<li><a href="/product?id=${encodeURIComponent(familyId)}">${text(title)}</a>${price === null ? '' : ` ${text(money.format(price))}`}</li>`,
  );
  return [
    `<h1>${total} products for ${text(query)}</h1>`,
    ...beside.map((filter) => filterList(filter, address)),
    `<ol>${lines.join('')}</ol>`,
  ].join('\n');
}
