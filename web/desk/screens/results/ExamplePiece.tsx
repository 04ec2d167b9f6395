import { Star } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Card } from '../../../../core/answer/answer.ts';
import type { CardArrangement } from '../../../../core/setup/parts/resultsPage/card.ts';
import type { CardPiece } from '../../../../core/setup/terms/cardTerms.ts';
import { price as money } from '../../../look/price.ts';

/** What a product has for a piece of its card, as the card's settings tell it; where it has nothing, that is said. */
export function ExamplePiece({
  piece,
  example,
  card,
}: {
  readonly piece: CardPiece;
  /** Null where no product has the card; undefined as long as that is not known. */
  readonly example: Card | null | undefined;
  readonly card: CardArrangement;
}) {
  if (!example) return <span className="text-soft">{example === null ? '—' : '…'}</span>;
  return drawnOf(piece, example, card) || <span className="text-soft">has none, leaves no gap</span>;
}

function drawnOf(piece: CardPiece, example: Card, card: CardArrangement): ReactNode {
  const { title, brand, details, text, choices, price, formerPrice, currency, rating, ratings, variantAvailable } =
    example;
  switch (piece) {
    case 'title':
      return <b className="font-semibold text-[15px]">{title}</b>;
    case 'brand':
      return brand;
    case 'details':
      return (
        details.length > 0 &&
        details.map(({ key, label, value }) => (
          <span key={key} className="block truncate">
            {card.labels && <span className="text-soft">{label} </span>}
            {value}
          </span>
        ))
      );
    case 'text':
      return text;
    case 'variants':
      return choices?.of.map(({ label }) => label).join(' · ');
    case 'price':
      return (
        price !== null && (
          <>
            <b>{money(price, currency)}</b>{' '}
            {formerPrice !== null && <s className="text-soft">{money(formerPrice, currency)}</s>}{' '}
            {card.saving && formerPrice !== null && <span>saves {money(formerPrice - price, currency)}</span>}
          </>
        )
      );
    case 'rating':
      return (
        rating !== null && (
          <span className="inline-flex items-center gap-1">
            {(card.rating === 'stars' ? [1, 2, 3, 4, 5] : [1]).map((star) => (
              <Star key={star} size={12} fill={star <= Math.round(rating) ? 'currentColor' : 'none'} aria-hidden />
            ))}
            {rating.toFixed(1)}
            {ratings !== undefined && <span className="text-soft">({ratings.toLocaleString('en')})</span>}
          </span>
        )
      );
    case 'stock':
      if (variantAvailable)
        return card.stock === 'always' ? 'In stock' : <span className="text-soft">in stock, not told</span>;
      return 'Sold out';
    case 'wish':
      return '♡ Wish list';
    case 'compare':
      return 'Compare';
    case 'basket':
      return (
        variantAvailable && (
          <span className="rounded-md bg-press px-2 py-0.5 font-semibold text-[12px] text-on-press">Put in basket</span>
        )
      );
  }
}
