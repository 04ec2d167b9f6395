import { ArrowRight, Clock, Search, ShoppingBasket } from 'lucide-react';
import type { Result } from '../../../core/answer/answer.ts';
import type { LinePiece } from '../../../core/setup/terms/boxTerms.ts';
import { splitAtWords } from '../../../core/suggest/matchedLetters.ts';
import { Badge } from '../../look/Badge.tsx';
import { ProductPicture } from '../../look/ProductPicture.tsx';
import { useTexts } from '../../look/texts.tsx';
import { FormerPrice, Rating } from '../cardPieces.tsx';
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
  isCard,
  put,
}: {
  readonly item: BoxItem;
  readonly typed: string;
  readonly marks: boolean;
  readonly line: readonly LinePiece[];
  /** Whether it stands beside others, its picture above it. */
  readonly isCard: boolean;
  /** Puts a product into the basket. */
  put(card: Result): void;
}) {
  const { say, rich } = useTexts();
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
      return <span className="min-w-0 truncate">{rich('box.within', { search: typed, value: item.label })}</span>;
    case 'product':
      return <ProductLine card={item.card} {...{ typed, line, isCard, put }} />;
    case 'collection':
      return (
        <>
          <span className="min-w-0 truncate font-semibold">{item.title}</span>
          <ArrowRight size={14} aria-hidden className="shrink-0 text-soft rtl:-scale-x-100" />
        </>
      );
    case 'article':
      return <span className="min-w-0 truncate">{item.title}</span>;
    case 'all':
      return <span className="font-semibold text-press">{say('box.all', { count: item.total, search: typed })}</span>;
  }
}

function ProductLine({
  card,
  typed,
  line,
  isCard,
  put,
}: {
  readonly card: Result;
  readonly typed: string;
  readonly line: readonly LinePiece[];
  readonly isCard: boolean;
  put(card: Result): void;
}) {
  const { say, money } = useTexts();
  const shows = (piece: LinePiece): boolean => line.includes(piece);
  const below = [
    shows('brand') && card.brand,
    // Which variant a part number is of.
    (shows('partNumber') || isBegunNumber(typed, card.sku)) && card.sku,
    shows('availability') && !card.available && say('box.soldOut'),
  ].filter(Boolean);
  return (
    <>
      {shows('picture') && card.showsPicture && (
        <span className={`grid shrink-0 place-items-center rounded bg-art ${isCard ? 'h-[76px] w-full' : 'size-10'}`}>
          <ProductPicture src={card.picture} className={isCard ? 'h-[66px]' : 'h-9'} isSmall />
        </span>
      )}
      <span className={`min-w-0 ${isCard ? '' : 'flex-1'}`}>
        <span className={`font-shop ${isCard ? 'line-clamp-2 leading-tight' : 'block truncate'}`}>{card.title}</span>
        {below.length > 0 && <span className="block truncate text-[12.5px] text-soft">{below.join(', ')}</span>}
        {shows('badges') && card.badges.length > 0 && (
          <span className="mt-0.5 flex flex-wrap gap-1">
            {card.badges.map((badge) => (
              <Badge key={badge.text} badge={badge} />
            ))}
          </span>
        )}
      </span>
      <span className={`flex shrink-0 items-center gap-2.5 ${isCard ? 'mt-auto w-full flex-wrap' : ''}`}>
        {shows('rating') && card.rating !== null && <Rating rating={card.rating} />}
        <span className={`text-[13.5px] ${isCard ? '' : 'text-end'}`}>
          {shows('formerPrice') && card.formerPrice !== null && (
            <span className="me-1.5">
              <FormerPrice amount={card.formerPrice} currency={card.currency} />
            </span>
          )}
          {shows('price') && card.price !== null && <b>{money(card.price, card.currency)}</b>}
        </span>
        {shows('basket') && card.variantAvailable && (
          // A line of a list box holds no buttons: the keyboard's way is told by the line itself.
          <span
            aria-hidden
            title={say('basket.putKeys')}
            className={`grid size-7 cursor-pointer place-items-center rounded-full border border-line hover:border-press hover:text-press ${isCard ? 'ms-auto' : ''}`}
            onClick={(event) => {
              event.stopPropagation();
              put(card);
            }}
          >
            <ShoppingBasket size={14} />
          </span>
        )}
      </span>
    </>
  );
}
