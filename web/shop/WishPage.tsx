import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { useTexts } from '../look/texts.tsx';
import { isMarked } from '../shopper/marked.ts';
import { Fetched } from './Fetched.tsx';
import { Mark } from './Mark.tsx';
import { PageHeading } from './PageMain.tsx';
import { useShopper } from './shopperHere.tsx';
import { type Thing, ThingShown } from './ThingShown.tsx';
import { useMarked } from './useMarks.ts';

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
  const { id, product, title, price, available } = thing;
  const { putInBasket, notes } = useShopper();
  const isOn = useMarked((marked) => isMarked(marked, 'wish', product));
  const { say, money } = useTexts();
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 border-line border-b py-3">
      <ThingShown thing={thing} isFaint={!isOn} />
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
