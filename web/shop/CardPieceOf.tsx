import { useState } from 'react';
import type { Card } from '../../core/answer/answer.ts';
import type { MessageKey } from '../../core/messages/en.ts';
import type { CardPiece } from '../../core/setup/terms/cardTerms.ts';
import { splitAtWords } from '../../core/suggest/matchedLetters.ts';
import { useTexts } from '../look/texts.tsx';
import { mostOfOne, quantityIn } from '../shopper/basket.ts';
import { FormerPrice, HowManyRatings, Rating, Stars } from './cardPieces.tsx';
import { useArrangement } from './layout.tsx';
import { Mark } from './Mark.tsx';
import { useBasket, useShopper, useVisit } from './shopperHere.tsx';
import { VariantChoices } from './VariantChoices.tsx';

/** One piece of a card; of a value that the product lacks nothing is there, neither label nor room. */
export function CardPieceOf({
  piece,
  card,
  open,
  choose,
}: {
  readonly piece: CardPiece;
  readonly card: Card;
  readonly open: (() => void) | undefined;
  /** Has the card show another of its variants. */
  choose(variant: string): void;
}) {
  const { rating } = useArrangement();
  switch (piece) {
    case 'title':
      return <Title card={card} open={open} />;
    case 'brand':
      return (
        card.brand && (
          <p part="brand" className="mt-0.5 w-full text-[12.5px] text-soft">
            {card.brand}
          </p>
        )
      );
    case 'details':
      return card.details.length > 0 && <Details details={card.details} />;
    case 'text':
      return card.text !== undefined && <ShortText text={card.text} />;
    case 'variants':
      return card.choices && <VariantChoices choices={card.choices} shown={card.id} choose={choose} />;
    case 'price':
      return <Price card={card} />;
    case 'rating':
      return (
        card.rating !== null && (
          <span part="rating" className="ms-auto flex flex-wrap items-center gap-x-1">
            {rating === 'stars' ? <Stars rating={card.rating} /> : <Rating rating={card.rating} />}
            {card.ratings !== undefined && <HowManyRatings count={card.ratings} />}
          </span>
        )
      );
    case 'stock':
      return <Stock card={card} />;
    case 'basket':
      return card.variantAvailable && <IntoBasket card={card} />;
    case 'wish':
    case 'compare':
      return <Mark list={piece} card={card} />;
  }
}

function Title({ card, open }: Pick<Parameters<typeof CardPieceOf>[0], 'card' | 'open'>) {
  return (
    <h2 part="title" className="w-full break-words font-semibold font-shop text-[15.5px] leading-tight">
      {open ? (
        // The button covers the card, so that the picture opens it as well.
        <button type="button" className="text-start after:absolute after:inset-0 hover:underline" onClick={open}>
          {card.title}
        </button>
      ) : (
        card.title
      )}
    </h2>
  );
}

function Details({ details }: { readonly details: Card['details'] }) {
  const { labels } = useArrangement();
  return (
    <dl part="details" className="w-full text-[12.5px] text-soft leading-snug">
      {details.map(({ key, label, value }) => (
        <div key={key} className="flex min-w-0 gap-1">
          <dt className={labels ? 'shrink-0' : 'sr-only'}>{label}</dt>
          <dd className="min-w-0 truncate text-ink" title={value}>
            {value}
          </dd>
        </div>
      ))}
    </dl>
  );
}

/** The beginning of a description, what was searched for marked in it. */
function ShortText({ text }: { readonly text: string }) {
  const { search } = useVisit();
  return (
    <p part="text" className="mt-0.5 w-full text-[12.5px] text-soft leading-snug">
      {splitAtWords(text, search.query).map(({ part, isTyped, from }) =>
        isTyped ? (
          <mark key={from} className="bg-transparent font-semibold text-ink">
            {part}
          </mark>
        ) : (
          part
        ),
      )}
    </p>
  );
}

function Price({ card: { price, formerPrice, currency } }: { readonly card: Card }) {
  const { say, money } = useTexts();
  const { saving } = useArrangement();
  if (price === null) return null;
  return (
    <>
      <b part="price" className="font-bold">
        {money(price, currency)}
      </b>
      {formerPrice !== null && <FormerPrice amount={formerPrice} currency={currency} />}
      {saving && formerPrice !== null && formerPrice > price && (
        <span className="text-[12.5px]">{say('card.saved', { amount: money(formerPrice - price, currency) })}</span>
      )}
    </>
  );
}

/** A product is sold out where none of its variants is in stock; that only the one shown is, is said as that. */
function stockKey({ available, variantAvailable }: Card): MessageKey {
  if (!available) return 'card.soldOut';
  return variantAvailable ? 'product.inStock' : 'card.variantSoldOut';
}

function Stock({ card }: { readonly card: Card }) {
  const { say } = useTexts();
  const { stock } = useArrangement();
  const key = stockKey(card);
  if (stock === 'soldOut' && key === 'product.inStock') return null;
  return (
    <span part="stock" className="w-full text-[12.5px] text-soft">
      {say(key)}
    </span>
  );
}

function IntoBasket({ card }: { readonly card: Card }) {
  const { say } = useTexts();
  const { putInBasket, notes } = useShopper();
  const { quantity: asks = false } = useArrangement();
  const [many, setMany] = useState(1);
  const inBasket = useBasket(({ items }) => quantityIn(items, card.id));
  return (
    // Above what covers the card.
    <span className="relative z-10 mt-1.5 flex w-full flex-wrap items-center gap-x-2 gap-y-0.5">
      {asks && (
        <input
          type="number"
          inputMode="numeric"
          aria-label={say('basket.howMany', { title: card.title })}
          className="w-14 rounded-md border border-line bg-surface px-1.5 py-1 text-[13px] text-ink"
          min={1}
          max={mostOfOne}
          value={many}
          onChange={({ target }) => setMany(Math.max(1, Math.min(mostOfOne, Math.round(Number(target.value)) || 1)))}
        />
      )}
      <button
        type="button"
        part="add"
        aria-label={`${say('basket.put')}: ${card.title}`}
        disabled={inBasket >= mostOfOne}
        className="rounded-md bg-press px-2.5 py-1 font-semibold text-[13px] text-on-press hover:bg-press-over disabled:opacity-55"
        onClick={() => {
          putInBasket(card.familyId, card.id, asks ? many : 1);
          void notes.outcome('basket', card.familyId);
        }}
      >
        {say('basket.put')}
      </button>
      <span role="status" className="text-[12.5px] text-soft">
        {inBasket > 0 && say('basket.many', { count: inBasket })}
      </span>
    </span>
  );
}
