import type { ProductDetail } from '../../core/product/productDetail.ts';
import { variantFor } from '../../core/product/variantOptions.ts';
import { useTexts } from '../look/texts.tsx';
import { FormerPrice } from './cardPieces.tsx';

type Variant = ProductDetail['variants'][number];
interface Choosing {
  readonly product: ProductDetail;
  readonly variant: Variant;
  choose(id: string): void;
}

/** The way to another variant: by the values of its options, or from a list of all where none tell them apart. */
export function VariantChoice(choosing: Choosing) {
  const { product } = choosing;
  if (product.variants.length < 2) return null;
  return product.options.length > 0 ? <Options {...choosing} /> : <VariantList {...choosing} />;
}

function Options({ product: { options, variants }, variant, choose }: Choosing) {
  const { say } = useTexts();
  return options.map(({ key, label, values }, option) => (
    <fieldset key={key} className="mt-4">
      <legend className="text-[13px]">
        {label} <b className="font-semibold">{variant.chosen[option]}</b>
      </legend>
      <div className="mt-1.5 flex flex-wrap gap-1.5">
        {values.map((value) => {
          const next = variantFor(variants, variant, option, value);
          // What choosing it would change besides is not there with the other values chosen.
          const isBeside = next.chosen.every((each, at) => at === option || each === variant.chosen[at]);
          return (
            <label
              key={value}
              className={`relative inline-flex min-h-8 cursor-pointer items-center rounded-md border px-2.5 text-[13.5px] has-checked:border-edge has-checked:bg-edge has-checked:text-surface has-focus-visible:outline-2 has-focus-visible:outline-press has-focus-visible:outline-offset-2 ${
                isBeside ? 'hover:border-edge' : 'border-dashed text-soft hover:border-edge'
              }`}
            >
              <input
                type="radio"
                name={`option-${key}`}
                className="absolute inset-0 cursor-pointer opacity-0"
                checked={variant.chosen[option] === value}
                onChange={() => choose(next.id)}
              />
              <span className={next.available ? '' : 'line-through'}>{value}</span>
              {!next.available && <span className="sr-only">, {say('box.soldOut')}</span>}
            </label>
          );
        })}
      </div>
    </fieldset>
  ));
}

function VariantList({ product: { variants, currency }, variant, choose }: Choosing) {
  const { say, money } = useTexts();
  return (
    <fieldset className="mt-4">
      <legend className="font-semibold text-[13px]">{say('product.choose', { count: variants.length })}</legend>
      <div className="mt-1.5 max-h-64 divide-y divide-line overflow-y-auto rounded-md border">
        {variants.map(({ id, name, price, formerPrice, available }) => (
          <label key={id} className="flex min-h-9 cursor-pointer items-center gap-3 px-3 py-1.5 hover:bg-paper">
            <input type="radio" name="variant" checked={id === variant.id} onChange={() => choose(id)} />
            <span className="min-w-0 flex-1 break-words">{name}</span>
            {!available && <span className="text-[12.5px] text-soft">{say('box.soldOut')}</span>}
            {formerPrice !== null && <FormerPrice amount={formerPrice} currency={currency} />}
            {price !== null && <b className="tabular-nums">{money(price, currency)}</b>}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
