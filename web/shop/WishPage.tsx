import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import type { Beside } from '../../core/answer/beside.ts';
import { ProductPicture } from '../look/ProductPicture.tsx';
import { useTexts } from '../look/texts.tsx';
import { isMarked } from '../shopper/marked.ts';
import { Fetched } from './Fetched.tsx';
import { Mark } from './Mark.tsx';
import { PageHeading } from './PageMain.tsx';
import { PlaceLink } from './PlaceLink.tsx';
import { useShopper } from './shopperHere.tsx';
import { useMarked } from './useMarks.ts';

type Thing = Beside['things'][number];

/** The products that a shopper wishes for, with the way into the basket and off the list. */
export function WishPage() {
  const { createBeside } = useShopper();
  const wished = useMarked(({ lists }) => lists.wish);
  const [beside] = useState(() => createBeside('basket'));
  // What is taken off stays in its place, so that it can be put back.
  const [ids] = useState(() => wished.map(({ variant }) => variant));
  useEffect(() => {
    beside.ask(ids);
    return beside.stop;
  }, [beside, ids]);
  const asked = useStore(beside.state);
  const { say } = useTexts();
  return (
    <Fetched waiting="results.waiting" asked={asked} again={() => beside.ask(ids)}>
      {({ things, currency }) => (
        <>
          <PageHeading className="mt-3 font-semibold font-shop text-[26px] leading-tight">{say('wish')}</PageHeading>
          {things.length === 0 ? (
            <p className="mt-3 text-soft">{say('marked.empty')}</p>
          ) : (
            <ul className="mt-3 border-line border-t" aria-label={say('wish')}>
              {things.map((thing) => (
                <Wish key={thing.id} thing={thing} currency={currency} />
              ))}
            </ul>
          )}
        </>
      )}
    </Fetched>
  );
}

function Wish({ thing, currency }: { readonly thing: Thing; readonly currency: string }) {
  const { id, product, title, variant, picture, price, available } = thing;
  const { putInBasket, notes } = useShopper();
  const isOn = useMarked((marked) => isMarked(marked, 'wish', product));
  const { say, money } = useTexts();
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 border-line border-b py-3">
      <span className={`grid size-16 shrink-0 place-items-center rounded bg-art p-1 ${isOn ? '' : 'opacity-45'}`}>
        <ProductPicture src={picture} className="h-[52px]" />
      </span>
      <span className="min-w-0 flex-1 basis-40">
        <PlaceLink to={{ kind: 'product', id: product }} className="font-semibold hover:underline">
          {title}
        </PlaceLink>
        {variant !== '' && <span className="block text-[13px] text-soft">{variant}</span>}
        {!available && <b className="block text-[13px]">{say('card.soldOut')}</b>}
      </span>
      <b className="min-w-20 text-end tabular-nums">{price === null ? '' : money(price, currency)}</b>
      <Mark list="wish" card={{ familyId: product, id, title }} />
      {available && (
        <button
          type="button"
          aria-label={`${say('basket.put')}: ${title}`}
          className="rounded-md bg-press px-2.5 py-1 font-semibold text-[13px] text-on-press hover:bg-press-over"
          onClick={() => {
            putInBasket(product, id);
            void notes.outcome('basket', product);
          }}
        >
          {say('basket.put')}
        </button>
      )}
    </li>
  );
}
