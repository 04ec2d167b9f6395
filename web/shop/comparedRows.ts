import type { MessageKey } from '../../core/messages/en.ts';
import type { ProductDetail } from '../../core/product/productDetail.ts';

/** One thing that products are compared by; undefined where one has nothing of it. */
export interface ComparedRow {
  readonly key: string;
  readonly label: string;
  readonly values: readonly (string | undefined)[];
}

/** How values are written. */
interface Written {
  say(key: MessageKey): string;
  money(amount: number, currency: string): string;
  list(values: readonly string[]): string;
}

/** All values of one attribute that a product or its variants have. */
function valuesOf({ details, variants, options }: ProductDetail, key: string): string[] {
  const shared = details.filter((line) => line.key === key).map(({ value }) => value);
  const option = options.find((each) => each.key === key)?.values ?? [];
  const own = variants.flatMap((variant) =>
    variant.details.filter((line) => line.key === key).map(({ value }) => value),
  );
  return [...new Set([...shared, ...option, ...own])];
}

/** What products are compared by, in the order in which the products tell it: price and availability first. No line is of nothing. */
export function comparedRows(products: readonly ProductDetail[], written: Written): ComparedRow[] {
  const { say, money, list } = written;
  const price = ({ lowest, highest, currency }: ProductDetail): string | undefined => {
    if (lowest === null || highest === null) return undefined;
    return lowest === highest ? money(lowest, currency) : `${money(lowest, currency)} – ${money(highest, currency)}`;
  };
  const attributes = new Map<string, string>();
  for (const { options, details, variants } of products)
    for (const { key, label } of [...options, ...details, ...variants.flatMap((variant) => variant.details)])
      if (!attributes.has(key)) attributes.set(key, label);
  const rows: ComparedRow[] = [
    { key: ' price', label: say('compare.price'), values: products.map(price) },
    {
      ...{ key: ' stock', label: say('compare.stock') },
      values: products.map(({ available }) => say(available ? 'product.inStock' : 'card.soldOut')),
    },
    { key: ' brand', label: say('compare.brand'), values: products.map(({ brand }) => brand ?? undefined) },
    ...[...attributes].map(([key, label]) => ({
      ...{ key, label },
      values: products.map((product) => {
        const values = valuesOf(product, key);
        return values.length === 0 ? undefined : list(values);
      }),
    })),
  ];
  return rows.filter(({ values }) => values.some((value) => value !== undefined));
}
