import { Minus, Plus } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import type { Beside } from '../../core/answer/beside.ts';
import { useTexts } from '../look/texts.tsx';
import { mostOfOne, quantityIn } from '../shopper/basket.ts';
import { CompanionShelf } from './CompanionShelf.tsx';
import { Fetched } from './Fetched.tsx';
import { PageHeading } from './PageMain.tsx';
import { useBasket, useShopper } from './shopperHere.tsx';
import { type Thing, ThingShown } from './ThingShown.tsx';

/** What is in the basket, with the way to change it, and what goes with that. It only counts: nothing is paid here. */
export function BasketPage() {
  const { createBeside } = useShopper();
  const items = useBasket((basket) => basket.items);
  const [beside] = useState(() => createBeside('basket'));
  // What is taken out stays in its place, so that it can be put back.
  const [ids] = useState(() => Object.keys(items));
  useEffect(() => {
    beside.ask(ids);
    return beside.stop;
  }, [beside, ids]);
  const asked = useStore(beside.state);
  const { say } = useTexts();
  return (
    <Fetched waiting="basket.waiting" asked={asked} again={() => beside.ask(ids)}>
      {({ things, currency, companions }) => (
        <>
          <PageHeading className="mt-3 font-semibold font-shop text-[26px] leading-tight">{say('basket')}</PageHeading>
          {things.length === 0 ? (
            <p className="mt-3 text-soft">{say('basket.empty')}</p>
          ) : (
            <Things things={things} currency={currency} />
          )}
          <CompanionShelf title={say('basket.companions')} cards={companions} />
        </>
      )}
    </Fetched>
  );
}

function Things({ things, currency }: Pick<Beside, 'things' | 'currency'>) {
  const items = useBasket((basket) => basket.items);
  const { say, money } = useTexts();
  const sum = things.reduce((all, { id, price }) => all + (price ?? 0) * quantityIn(items, id), 0);
  return (
    <>
      <ul className="mt-3 border-line border-t" aria-label={say('basket')}>
        {things.map((thing) => (
          <ThingLine key={thing.id} thing={thing} currency={currency} />
        ))}
      </ul>
      <p className="mt-3 flex justify-between gap-4 text-[15px]" role="status">
        {say('basket.sum')} <b className="tabular-nums">{money(sum, currency)}</b>
      </p>
    </>
  );
}

function ThingLine({ thing, currency }: { readonly thing: Thing; readonly currency: string }) {
  const { id, title, price } = thing;
  const { basket } = useShopper();
  const quantity = useBasket(({ items }) => quantityIn(items, id));
  const { say, money, count } = useTexts();
  const set = (to: number): void => basket.getState().set(id, to);
  const step = 'grid size-8 place-items-center rounded-md border border-edge hover:bg-paper disabled:opacity-55';
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 border-line border-b py-3">
      <ThingShown thing={thing} />
      {quantity === 0 ? (
        <button type="button" className="min-h-8 font-semibold text-press underline" onClick={() => set(1)}>
          {say('basket.putBack', { title })}
        </button>
      ) : (
        <span className="flex items-center gap-2">
          <button
            type="button"
            className={step}
            aria-label={say('basket.less', { title })}
            onClick={() => set(quantity - 1)}
          >
            <Minus size={15} aria-hidden />
          </button>
          <span className="min-w-6 text-center tabular-nums" role="status">
            <span className="sr-only">{say('basket.many', { count: quantity })}</span>
            <span aria-hidden>{count(quantity)}</span>
          </span>
          <button
            type="button"
            className={step}
            aria-label={say('basket.more', { title })}
            disabled={quantity >= mostOfOne}
            onClick={() => set(quantity + 1)}
          >
            <Plus size={15} aria-hidden />
          </button>
        </span>
      )}
      <b className="ms-auto min-w-20 text-end tabular-nums">
        {price === null ? '' : money(price * quantity, currency)}
      </b>
    </li>
  );
}
