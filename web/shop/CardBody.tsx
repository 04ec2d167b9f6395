import { type ReactNode, useState } from 'react';
import type { Card } from '../../core/answer/answer.ts';
import type { BadgePlace } from '../../core/setup/terms/badgeTerms.ts';
import type { CardPiece } from '../../core/setup/terms/cardTerms.ts';
import { ProductPicture } from '../look/ProductPicture.tsx';
import { Badges } from './Badges.tsx';
import { CardPieceOf } from './CardPieceOf.tsx';
import { CardIn, useArrangement, useLayout, useOwnCard } from './layout.tsx';
import { useChosenVariant } from './useChosenVariant.ts';

/** Of the pieces, those that stand below each other; the others stand at the card's foot, or at a row's end. */
const above: ReadonlySet<CardPiece> = new Set(['title', 'brand', 'details', 'text', 'variants']);

interface CardShown {
  readonly card: Card;
  readonly open?: (() => void) | undefined;
}

/** A product as it stands on the shelf: on the usual card, or on that of its own which it has. */
export function CardBody({ card, open }: CardShown) {
  const own = useOwnCard(card.ownCard);
  const drawn = <ArrangedCard card={card} open={open} />;
  return own ? <CardIn value={own}>{drawn}</CardIn> : drawn;
}

/** Its picture, and the pieces that the merchandiser chose, in their order. */
function ArrangedCard({ card: found, open: openFound }: CardShown) {
  const { card, choose, open } = useChosenVariant(found, openFound);
  const { shape } = useLayout();
  const [isPointedAt, setPointedAt] = useState(false);
  const pieces = useArrangement().pieces.flatMap(({ piece, on }) => (on ? [piece] : []));
  const hasPicture = card.showsPicture && shape !== 'compact';
  const at = (place: BadgePlace): Card['badges'] => card.badges.filter((badge) => badge.place === place);
  const isRow = shape !== 'grid';
  const shown = pieces.filter((piece) => (piece !== 'details' && piece !== 'text') || shape !== 'compact');
  // On a card everything from the first thing that is no text on stands at its foot, so that feet stand in a line.
  const foot = shown.findIndex((piece) => !above.has(piece));
  const isAbove = (piece: CardPiece, place: number): boolean =>
    isRow ? above.has(piece) : foot === -1 || place < foot;
  const draw = (wantsAbove: boolean): ReactNode =>
    shown.map((piece, place) =>
      isAbove(piece, place) === wantsAbove ? <CardPieceOf key={piece} {...{ piece, card, open, choose }} /> : null,
    );
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: what can be done is done by the pieces on it
    <div
      part="card"
      // The title's button lies over all of it, so that the picture itself is never pointed at.
      onPointerEnter={({ pointerType }) => setPointedAt(pointerType === 'mouse')}
      onPointerLeave={() => setPointedAt(false)}
      // Whoever comes by the keyboard sees what others see by pointing.
      onFocus={({ target }) => setPointedAt(target.matches(':focus-visible'))}
      onBlur={() => setPointedAt(false)}
      className={`relative flex flex-1 shelf-pad pb-2 ${isRow ? 'gap-4 pt-2' : 'flex-col'}`}
    >
      {hasPicture && (
        <CardPicture card={card} isRow={isRow} isPointedAt={isPointedAt}>
          <Badges badges={at('left')} place="left" />
          <Badges badges={at('right')} place="right" />
        </CardPicture>
      )}
      <div className={isRow ? 'flex min-w-0 flex-1 flex-wrap items-start gap-x-5' : 'contents'}>
        <div className={isRow ? 'min-w-[min(12rem,100%)] flex-1' : 'mt-2'}>
          <Badges badges={hasPicture ? at('below') : card.badges} place="below" />
          {draw(true)}
        </div>
        <div className={`flex flex-wrap items-baseline gap-x-2 ${isRow ? 'justify-end' : 'mt-auto pt-1'}`}>
          {draw(false)}
        </div>
      </div>
    </div>
  );
}

function CardPicture({
  card,
  isRow,
  isPointedAt,
  children,
}: {
  readonly card: Card;
  readonly isRow: boolean;
  readonly isPointedAt: boolean;
  readonly children: ReactNode;
}) {
  const { picture } = useLayout();
  const isWhole = picture.fit === 'contain';
  const fit = isWhole ? 'h-[calc(100%-1rem)]' : 'size-full object-cover!';
  return (
    <div
      part="picture"
      className={`relative grid shrink-0 grid-rows-[100%] place-items-center overflow-hidden rounded-md bg-art ${isRow ? 'max-w-[45%]' : ''}`}
      // Its height and ground are the merchandiser's own: no class can say them.
      style={{
        height: picture.height,
        ...(isRow && { width: picture.height * 1.15 }),
        ...(picture.ground && { background: picture.ground }),
      }}
    >
      {children}
      {card.second !== undefined && isPointedAt ? (
        <ProductPicture src={card.second} className={fit} />
      ) : (
        <ProductPicture src={card.picture} className={`${fit} ${card.available ? '' : 'opacity-45'}`} />
      )}
    </div>
  );
}
