import type { Card } from '../../core/answer/answer.ts';
import type { MessageKey } from '../../core/messages/en.ts';
import type { BadgePlace } from '../../core/setup/terms/badgeTerms.ts';
import { ProductPicture } from '../look/ProductPicture.tsx';
import { useTexts } from '../look/texts.tsx';
import { Badges } from './Badges.tsx';
import { FormerPrice, Rating } from './cardPieces.tsx';

/** A product is sold out where none of its variants is in stock; that only the one shown is, is said as that. */
function stockKey({ available, variantAvailable }: Card): MessageKey | null {
  if (!available) return 'card.soldOut';
  return variantAvailable ? null : 'card.variantSoldOut';
}

/** A product as it stands on the shelf: picture, title, who makes it, what it costs. */
export function CardBody({ card, open }: { readonly card: Card; readonly open?: (() => void) | undefined }) {
  const { say, money } = useTexts();
  const stock = stockKey(card);
  const at = (place: BadgePlace): Card['badges'] => card.badges.filter((badge) => badge.place === place);
  return (
    <div className="relative flex flex-1 flex-col px-[7px] pb-2">
      {card.showsPicture && (
        <div className="relative grid h-[118px] place-items-center rounded-md bg-art">
          <Badges badges={at('left')} place="left" />
          <Badges badges={at('right')} place="right" />
          <ProductPicture src={card.picture} className={`h-[102px] ${card.available ? '' : 'opacity-45'}`} />
        </div>
      )}
      <Badges badges={card.showsPicture ? at('below') : card.badges} place="below" />
      <h2 className="mt-2 break-words font-semibold font-shop text-[15.5px] leading-tight">
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
      {card.details.length > 0 && (
        <dl className="text-[12.5px] text-soft leading-snug">
          {card.details.map(({ key, label, value }) => (
            <div key={key} className="flex min-w-0 gap-1">
              <dt className="shrink-0">{label}</dt>
              <dd className="min-w-0 truncate text-ink" title={value}>
                {value}
              </dd>
            </div>
          ))}
        </dl>
      )}
      <div className="mt-auto flex flex-wrap items-baseline gap-x-2 pt-1">
        {card.price !== null && <b className="font-bold">{money(card.price, card.currency)}</b>}
        {card.formerPrice !== null && <FormerPrice amount={card.formerPrice} currency={card.currency} />}
        {card.rating !== null && (
          <span className="ml-auto">
            <Rating rating={card.rating} />
          </span>
        )}
        {stock && <span className="w-full text-[12.5px] text-soft">{say(stock)}</span>}
      </div>
    </div>
  );
}
