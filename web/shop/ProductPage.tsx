import { useState } from 'react';
import { useStore } from 'zustand';
import { levelMark } from '../../core/catalog/levels.ts';
import type { ProductDetail } from '../../core/product/productDetail.ts';
import { markedUp } from '../look/markedUp.ts';
import { useTexts } from '../look/texts.tsx';
import { mostOfOne, quantityIn } from '../shopper/basket.ts';
import { CompanionShelf } from './CompanionShelf.tsx';
import { FormerPrice } from './cardPieces.tsx';
import { Fetched } from './Fetched.tsx';
import { PageHeading } from './PageMain.tsx';
import { ProductPictures } from './ProductPictures.tsx';
import { useBasket, useShopper } from './shopperHere.tsx';
import { VariantChoice } from './VariantChoice.tsx';

/** A product's own page. */
export function ProductPage() {
  const { product, again } = useShopper();
  const asked = useStore(product);
  const { say } = useTexts();
  return (
    <Fetched waiting="product.waiting" asked={asked} again={again}>
      {(product) => (
        <>
          {product.notIndexed && <meta name="robots" content="noindex" />}
          <Product key={product.id} product={product} />
          <CompanionShelf title={say('product.companions')} cards={product.companions} />
          <CompanionShelf title={say('product.alike')} cards={product.alternatives} />
        </>
      )}
    </Fetched>
  );
}

function Product({ product }: { readonly product: ProductDetail }) {
  const { putInBasket, chosenVariant, notes } = useShopper();
  const { title, brand, description, descriptionMarkup, picture, lowest, highest, currency } = product;
  const { available, details, variants, link, options, path } = product;
  const { say, money } = useTexts();
  /** From the lowest to the highest price, or the one there is; empty where there is none. */
  const rangeIn = (from: number | null, to: number | null): string => {
    if (from === null || to === null) return '';
    if (from === to) return money(from, currency);
    return say('price.range', { from: money(from, currency), to: money(to, currency) });
  };
  const [chosen, setChosen] = useState(
    () => chosenVariant(product.id) ?? (variants.find((variant) => variant.available) ?? variants[0]!).id,
  );
  const variant = variants.find(({ id }) => id === chosen) ?? variants[0]!;
  // Where its options are chosen, price and stock are those of the variant; else of the product.
  const isThere = options.length > 0 ? variant.available : available;
  const inBasket = useBasket(({ items }) => quantityIn(items, variant.id));
  return (
    <article className="mt-3 grid gap-x-8 gap-y-5 min-[640px]:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
      <ProductPictures
        key={variant.id}
        first={variant.picture ?? picture}
        all={[...variant.pictures, ...product.pictures]}
      />
      <div className="min-w-0">
        <Levels path={path} filter={product.pathFilter} />
        <PageHeading className="break-words font-semibold font-shop text-[26px] leading-tight">{title}</PageHeading>
        {brand && <p className="mt-1 text-soft">{brand}</p>}
        <p className="mt-3 flex flex-wrap items-baseline gap-x-2" role="status">
          <b className="text-xl">
            {options.length > 0 && variant.price !== null ? money(variant.price, currency) : rangeIn(lowest, highest)}
          </b>
          {(options.length > 0 || variants.length === 1) && variant.formerPrice !== null && (
            <FormerPrice amount={variant.formerPrice} currency={currency} />
          )}
          <span className={isThere ? 'text-soft text-[13px]' : 'font-semibold text-[13px]'}>
            {say(isThere ? 'product.inStock' : 'card.soldOut')}
          </span>
        </p>
        <VariantChoice product={product} variant={variant} choose={setChosen} />
        <button
          type="button"
          disabled={!variant.available || inBasket >= mostOfOne}
          className="mt-4 rounded-lg bg-press px-4 py-2 font-semibold text-on-press hover:bg-press-over disabled:opacity-55"
          onClick={() => {
            putInBasket(product.id, variant.id);
            void notes.outcome('basket', product.id);
          }}
        >
          {say(variant.available ? 'basket.put' : 'card.soldOut')}
        </button>
        <p role="status" className="mt-1.5 min-h-5 text-[13px] text-soft">
          {inBasket > 0 && say('basket.many', { count: inBasket })}
        </p>
        {descriptionMarkup ? (
          <div
            className={`mt-5 max-w-[65ch] ${markedUp}`}
            // biome-ignore lint/security/noDangerouslySetInnerHtml: the server lets through only what is safe
            dangerouslySetInnerHTML={{ __html: descriptionMarkup }}
          />
        ) : (
          description && <p className="mt-5 max-w-[65ch] whitespace-pre-line">{description}</p>
        )}
        <dl className="mt-5 grid max-w-[65ch] grid-cols-[auto_1fr] gap-x-6 gap-y-1.5 text-[13.5px]">
          {[...details, ...variant.details].map(({ key, label, value }) => (
            <Detail key={key} label={label} value={value} />
          ))}
          <Detail label={say('product.partNumber')} value={variant.sku} />
        </dl>
        {link && (
          <p className="mt-4 text-[13.5px]">
            <a href={link} target="_blank" rel="noreferrer" className="text-press underline">
              {say('product.more')}
            </a>
          </p>
        )}
      </div>
    </article>
  );
}

function Detail({ label, value }: { readonly label: string; readonly value: string }) {
  return (
    <>
      <dt className="text-soft">{label}</dt>
      <dd className="min-w-0 break-words">{value}</dd>
    </>
  );
}

/** The levels of its category; where there is a filter of them, each leads to all of its products. */
function Levels({ path, filter }: { readonly path: readonly string[]; readonly filter: string | null }) {
  const { searchWithin } = useShopper();
  const { say } = useTexts();
  if (path.length === 0) return null;
  return (
    <nav aria-label={say('product.levels')} className="mb-1 text-[13px] text-soft">
      <ol className="flex flex-wrap gap-x-1.5">
        {path.map((level, at) => (
          <li key={level} className="flex items-center gap-x-1.5">
            {at > 0 && <span aria-hidden>›</span>}
            {filter === null ? (
              level
            ) : (
              <button
                type="button"
                className="inline-flex min-h-6 items-center underline decoration-line underline-offset-2 hover:text-ink"
                onClick={() => searchWithin('', filter, path.slice(0, at + 1).join(levelMark))}
              >
                {level}
              </button>
            )}
          </li>
        ))}
      </ol>
    </nav>
  );
}
