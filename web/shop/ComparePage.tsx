import { useEffect, useRef, useState } from 'react';
import { useStore } from 'zustand';
import type { ProductDetail } from '../../core/product/productDetail.ts';
import { ProductPicture } from '../look/ProductPicture.tsx';
import { useTexts } from '../look/texts.tsx';
import { createCompared } from '../shopper/compared.ts';
import { comparedRows } from './comparedRows.ts';
import { Fetched } from './Fetched.tsx';
import { Mark } from './Mark.tsx';
import { PageHeading } from './PageMain.tsx';
import { PlaceLink } from './PlaceLink.tsx';
import { useShopper } from './shopperHere.tsx';
import { useMarked } from './useMarks.ts';

/** A few products side by side, one line for each thing that any of them has. */
export function ComparePage() {
  const { client } = useShopper();
  const compared = useMarked(({ lists }) => lists.compare);
  const [question] = useState(() => createCompared(client, Date.now));
  const ids = JSON.stringify(compared.map(({ product }) => product));
  useEffect(() => {
    question.ask(JSON.parse(ids) as string[]);
    return question.stop;
  }, [question, ids]);
  const asked = useStore(question.state);
  const { say } = useTexts();
  return (
    <Fetched waiting="results.waiting" asked={asked} again={() => question.ask(JSON.parse(ids) as string[])}>
      {(products) => (
        <>
          <PageHeading className="mt-3 font-semibold font-shop text-[26px] leading-tight">{say('compare')}</PageHeading>
          {products.length === 0 ? (
            <p className="mt-3 text-soft">{say('marked.empty')}</p>
          ) : (
            <Compared products={products} variantOf={(id) => compared.find(({ product }) => product === id)?.variant} />
          )}
        </>
      )}
    </Fetched>
  );
}

function Compared({
  products,
  variantOf,
}: {
  readonly products: readonly ProductDetail[];
  /** The variant that was shown when it was put here. */
  variantOf(product: string): string | undefined;
}) {
  const section = useRef<HTMLElement>(null);
  const many = useRef(products.length);
  useEffect(() => {
    // Where one was taken off by keyboard, its button took the focus with it.
    if (products.length < many.current && document.activeElement === document.body) section.current?.focus();
    many.current = products.length;
  }, [products]);
  const texts = useTexts();
  const { say } = texts;
  const list = new Intl.ListFormat(texts.language);
  const rows = comparedRows(products, { ...texts, list: (values) => list.format(values) });
  return (
    <section ref={section} className="mt-3 overflow-x-auto" aria-label={say('compare')} tabIndex={0}>
      <table className="w-full min-w-max border-collapse text-start text-[13.5px] [&_td]:max-w-56 [&_td]:min-w-36 [&_td]:p-2 [&_td]:align-top [&_th]:p-2 [&_th]:text-start">
        <thead>
          <tr className="border-line border-b align-bottom">
            <td className="w-24 min-w-0!" />
            {products.map(({ id, title, picture, variants }) => (
              <th key={id} scope="col" className="max-w-56 font-normal">
                <span className="grid h-24 place-items-center rounded bg-art p-1">
                  <ProductPicture src={picture} className="h-[80px]" />
                </span>
                <PlaceLink to={{ kind: 'product', id }} className="mt-1.5 block font-semibold hover:underline">
                  {title}
                </PlaceLink>
                <Mark list="compare" card={{ familyId: id, id: variantOf(id) ?? variants[0]?.id ?? id, title }} />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, label, values }) => (
            <tr key={key} className="border-line border-b">
              <th scope="row" className="max-w-28 break-words ps-0! align-top font-normal text-soft">
                {label}
              </th>
              {products.map(({ id }, at) => (
                <td key={id}>{values[at] ?? '–'}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
