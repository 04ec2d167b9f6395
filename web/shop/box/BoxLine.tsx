import { ArrowRight, Clock, Search, Star } from 'lucide-react';
import type { LinePiece } from '../../../core/setup/terms/boxTerms.ts';
import { splitAtWords } from '../../../core/suggest/matchedLetters.ts';
import { ProductPicture } from '../../look/ProductPicture.tsx';
import { counted, price } from '../../look/price.ts';
import { type BoxItem, isBegunNumber } from './boxItems.ts';

/** A text in which what goes on from the typed letters stands out. */
function Marked({ text, typed }: { readonly text: string; readonly typed: string }) {
  const parts = splitAtWords(text, typed);
  if (!parts.some(({ isTyped }) => isTyped)) return text;
  return parts.map(({ part, isTyped, from }) =>
    isTyped ? (
      <span key={from}>{part}</span>
    ) : (
      <b key={from} className="font-semibold">
        {part}
      </b>
    ),
  );
}

/** One line of the box: a search, a place to look in, a product, a collection or something to read. */
export function BoxLine({
  item,
  typed,
  marks,
  line,
}: {
  readonly item: BoxItem;
  readonly typed: string;
  readonly marks: boolean;
  readonly line: readonly LinePiece[];
}) {
  switch (item.what) {
    case 'search': {
      const Icon = item.isRecent ? Clock : Search;
      return (
        <>
          <Icon size={14} aria-hidden className="shrink-0 text-soft" />
          <span className="min-w-0 truncate">
            {marks && typed !== '' ? <Marked text={item.text} typed={typed} /> : item.text}
          </span>
        </>
      );
    }
    case 'within':
      return (
        <span className="min-w-0 truncate">
          <span className="text-soft">“{typed}” in </span>
          {item.label}
        </span>
      );
    case 'product':
      return <ProductLine card={item.card} typed={typed} line={line} />;
    case 'collection':
      return (
        <>
          <span className="min-w-0 truncate font-semibold">{item.title}</span>
          <ArrowRight size={14} aria-hidden className="shrink-0 text-soft" />
        </>
      );
    case 'article':
      return <span className="min-w-0 truncate">{item.title}</span>;
    case 'all':
      return (
        <span className="font-semibold text-press">
          Show all {counted(item.total, 'product')} for “{typed}”
        </span>
      );
  }
}

function ProductLine({
  card,
  typed,
  line,
}: {
  readonly card: Extract<BoxItem, { what: 'product' }>['card'];
  readonly typed: string;
  readonly line: readonly LinePiece[];
}) {
  const shows = (piece: LinePiece): boolean => line.includes(piece);
  const below = [
    shows('brand') && card.brand,
    // Which variant a part number is of.
    (shows('partNumber') || isBegunNumber(typed, card.sku)) && card.sku,
    shows('availability') && !card.available && 'sold out',
  ].filter(Boolean);
  return (
    <>
      {shows('picture') && card.showsPicture && (
        <span className="grid size-10 shrink-0 place-items-center rounded bg-art">
          <ProductPicture src={card.picture} className="h-9" isSmall />
        </span>
      )}
      <span className="min-w-0 flex-1">
        <span className="block truncate font-shop">{card.title}</span>
        {below.length > 0 && <span className="block truncate text-[12.5px] text-soft">{below.join(', ')}</span>}
      </span>
      {shows('rating') && card.rating !== null && (
        <span className="flex shrink-0 items-center gap-1 text-[12.5px] text-soft">
          <Star size={11} fill="currentColor" aria-hidden />
          <span className="sr-only">rated </span>
          {card.rating.toFixed(1)}
        </span>
      )}
      <span className="shrink-0 text-right text-[13.5px]">
        {shows('formerPrice') && card.formerPrice !== null && (
          <s className="mr-1.5 text-[12.5px] text-soft">
            <span className="sr-only">formerly </span>
            {price(card.formerPrice, card.currency)}
          </s>
        )}
        {shows('price') && card.price !== null && <b>{price(card.price, card.currency)}</b>}
      </span>
    </>
  );
}
