import type { ReactNode } from 'react';
import type { Card } from '../../core/answer/answer.ts';
import type { MessageKey } from '../../core/messages/en.ts';
import type { BadgePlace } from '../../core/setup/terms/badgeTerms.ts';
import { ProductPicture } from '../look/ProductPicture.tsx';
import { useTexts } from '../look/texts.tsx';
import { Badges } from './Badges.tsx';
import { FormerPrice, Rating } from './cardPieces.tsx';
import { useLayout } from './layout.tsx';

/** A product is sold out where none of its variants is in stock; that only the one shown is, is said as that. */
function stockKey({ available, variantAvailable }: Card): MessageKey | null {
  if (!available) return 'card.soldOut';
  return variantAvailable ? null : 'card.variantSoldOut';
}

/** A product as it stands on the shelf: picture, title, who makes it, what it costs; as a card, a row or a short row. */
export function CardBody({ card, open }: { readonly card: Card; readonly open?: (() => void) | undefined }) {
  const { shape } = useLayout();
  const hasPicture = card.showsPicture && shape !== 'compact';
  const at = (place: BadgePlace): Card['badges'] => card.badges.filter((badge) => badge.place === place);
  const isRow = shape !== 'grid';
  return (
    <div className={`relative flex flex-1 px-[7px] pb-2 ${isRow ? 'gap-4 pt-2' : 'flex-col'}`}>
      {hasPicture && (
        <CardPicture card={card} isRow={isRow}>
          <Badges badges={at('left')} place="left" />
          <Badges badges={at('right')} place="right" />
        </CardPicture>
      )}
      <div className={isRow ? 'flex min-w-0 flex-1 flex-wrap items-start gap-x-5' : 'contents'}>
        <div className={isRow ? 'min-w-[12rem] flex-1' : 'contents'}>
          <Badges badges={hasPicture ? at('below') : card.badges} place="below" />
          <h2 className={`break-words font-semibold font-shop text-[15.5px] leading-tight ${isRow ? '' : 'mt-2'}`}>
            {open ? (
              // The button covers the card, so that the picture opens it as well.
              <button type="button" className="text-left after:absolute after:inset-0 hover:underline" onClick={open}>
                {card.title}
              </button>
            ) : (
              card.title
            )}
          </h2>
          {card.brand && <p className="mt-0.5 text-[12.5px] text-soft">{card.brand}</p>}
          {card.details.length > 0 && shape !== 'compact' && <Details details={card.details} />}
        </div>
        <Costs card={card} isRow={isRow} />
      </div>
    </div>
  );
}

function CardPicture({
  card,
  isRow,
  children,
}: {
  readonly card: Card;
  readonly isRow: boolean;
  readonly children: ReactNode;
}) {
  const { picture } = useLayout();
  const isWhole = picture.fit === 'contain';
  return (
    <div
      className={`relative grid shrink-0 grid-rows-[100%] place-items-center overflow-hidden rounded-md bg-art ${isRow ? 'max-w-[45%]' : ''}`}
      // Its height is the merchandiser's own: no class can say it.
      style={{ height: picture.height, ...(isRow && { width: picture.height * 1.15 }) }}
    >
      {children}
      <ProductPicture
        src={card.picture}
        className={`${isWhole ? 'h-[calc(100%-1rem)]' : 'size-full object-cover!'} ${card.available ? '' : 'opacity-45'}`}
      />
    </div>
  );
}

function Details({ details }: { readonly details: Card['details'] }) {
  return (
    <dl className="text-[12.5px] text-soft leading-snug">
      {details.map(({ key, label, value }) => (
        <div key={key} className="flex min-w-0 gap-1">
          <dt className="shrink-0">{label}</dt>
          <dd className="min-w-0 truncate text-ink" title={value}>
            {value}
          </dd>
        </div>
      ))}
    </dl>
  );
}

function Costs({ card, isRow }: { readonly card: Card; readonly isRow: boolean }) {
  const { say, money } = useTexts();
  const stock = stockKey(card);
  return (
    <div className={`flex flex-wrap items-baseline gap-x-2 ${isRow ? 'justify-end' : 'mt-auto pt-1'}`}>
      {card.price !== null && <b className="font-bold">{money(card.price, card.currency)}</b>}
      {card.formerPrice !== null && <FormerPrice amount={card.formerPrice} currency={card.currency} />}
      {card.rating !== null && (
        <span className="ml-auto">
          <Rating rating={card.rating} />
        </span>
      )}
      {stock && <span className="w-full text-[12.5px] text-soft">{say(stock)}</span>}
    </div>
  );
}
