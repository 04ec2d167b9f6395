import { counted } from '../../../look/price.ts';

const names: Readonly<Record<string, readonly [one: string, many: string]>> = {
  search: ['suggested search', 'suggested searches'],
  within: ['“look in” line', '“look in” lines'],
  product: ['product', 'products'],
  collection: ['collection', 'collections'],
  article: ['article', 'articles'],
  all: ['“all results” line', '“all results” lines'],
  banner: ['banner', 'banners'],
};
const lists = new Intl.ListFormat('en-GB');

/** What shoppers chose under the search box, and which banners they followed. */
export function chosenInWords(
  chosen: readonly { readonly inBox: boolean; readonly kind: string; readonly times: number }[],
): string {
  const said = (some: typeof chosen): string =>
    lists.format(some.map(({ kind, times }) => counted(times, ...(names[kind] ?? [kind, kind]))));
  const [box, others] = [chosen.filter(({ inBox }) => inBox), chosen.filter(({ inBox }) => !inBox)];
  return [box.length > 0 && `${said(box)} under the search box`, others.length > 0 && said(others)]
    .filter(Boolean)
    .join(', and ');
}
