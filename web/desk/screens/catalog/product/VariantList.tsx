import { ChevronRight } from 'lucide-react';
import { shelfRow } from '../../../parts/Screen.tsx';
import { SplitOff } from '../Variants.tsx';
import type { Attribute, Product } from './productAnswer.ts';
import { ValueRows } from './ValueRow.tsx';

/** Attributes that stand in columns; the others show when a variant is opened. */
const mostColumns = 4;
const notListed = new Set(['picture', 'link', 'sku', 'title']);
/** Nobody tells variants apart by these. */
const seldomAsked = new Set(['cost', 'rating', 'ratings', 'units_sold', 'date_added']);

/** A product's variants under headings: by what they differ in first, the rest when one is opened. */
export function VariantList({
  product,
  attributes,
}: {
  readonly product: Product;
  readonly attributes: readonly Attribute[];
}) {
  const textOf = (at: number, key: string): string => product.variants[at]!.values[key]?.text ?? '';
  const differs = ({ key }: Attribute): boolean => new Set(product.variants.map((_, at) => textOf(at, key))).size > 1;
  const listed = attributes.filter(({ key }) => !notListed.has(key));
  const rankOf = (each: Attribute): number => (seldomAsked.has(each.key) ? 2 : differs(each) ? 0 : 1);
  const columns = [...listed].sort((a, b) => rankOf(a) - rankOf(b)).slice(0, mostColumns);
  const grid = { gridTemplateColumns: `14px minmax(96px, 1.3fr) repeat(${columns.length}, minmax(0, 1fr))` };
  return (
    <>
      <div aria-hidden className="mb-1 grid gap-x-3 px-3 font-semibold text-[12.5px] text-soft" style={grid}>
        <span />
        <span>SKU</span>
        {columns.map(({ key, label }) => (
          <span key={key} className="truncate" title={label}>
            {label}
          </span>
        ))}
      </div>
      {product.variants.map((variant, at) => (
        <details key={variant.id} className={`${shelfRow(false)} group mb-[5px] px-3 py-1.5`}>
          <summary className="grid cursor-pointer list-none items-baseline gap-x-3" style={grid}>
            <ChevronRight size={14} aria-hidden className="self-center text-soft group-open:rotate-90" />
            <span className="truncate font-semibold">{variant.sku || variant.id}</span>
            {columns.map(({ key, label }) => (
              <span key={key} className="truncate text-[13px]" title={textOf(at, key).replaceAll('|', ', ')}>
                <span className="sr-only">{label} </span>
                {textOf(at, key).replaceAll('|', ', ')}
              </span>
            ))}
          </summary>
          <div className="mt-1.5">
            <ValueRows product={product} attributes={attributes} variant={variant} owner={variant.id} />
          </div>
          <SplitOff variant={variant.id} product={product.id} label={variant.sku || variant.id} />
        </details>
      ))}
    </>
  );
}
