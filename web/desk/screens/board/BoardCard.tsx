import { useDraggable, useDroppable } from '@dnd-kit/core';
import { ArrowDown, ArrowUp, ListStart, Pin, TrendingDown, TrendingUp } from 'lucide-react';
import { type KeyboardEvent, type MouseEvent, memo, type ReactNode } from 'react';
import type { Gap, Result } from '../../../../core/answer/answer.ts';
import { gapTexts } from '../../../look/gapTexts.ts';
import { ProductPicture } from '../../../look/ProductPicture.tsx';
import { price } from '../../../look/price.ts';

/** What a card looks like, apart from being moved: drawn anew only where the product is told anew. */
const Body = memo(function Body({ card }: { readonly card: Result }) {
  return (
    <>
      <span className="grid h-[86px] place-items-center rounded bg-art">
        <ProductPicture src={card.picture} className={`h-[78px] ${card.available ? '' : 'opacity-45'}`} isSmall />
      </span>
      <span className="mt-1.5 line-clamp-2 font-semibold text-[13px] leading-tight">{card.title}</span>
      <span className="truncate text-[12.5px] text-soft">
        {[card.brand, card.price === null ? null : price(card.price, card.currency)].filter(Boolean).join(' · ')}
      </span>
      {!card.available && <span className="text-[12.5px] text-soft">Sold out</span>}
    </>
  );
});

function markOf({ marks = {} }: Result): ReactNode {
  const shown = (icon: ReactNode, text: string) => (
    <span className="inline-flex items-center gap-1 text-press">
      {icon} {text}
    </span>
  );
  if (marks.pin) return shown(<Pin size={11} aria-hidden />, 'pinned');
  if (marks.first) return shown(<ListStart size={12} aria-hidden />, 'first');
  if (marks.pull !== undefined && marks.pull > 1) return shown(<TrendingUp size={12} aria-hidden />, 'boosted');
  if (marks.pull !== undefined && marks.pull < 1) return shown(<TrendingDown size={12} aria-hidden />, 'lowered');
  return null;
}

function movedOf({ marks = {} }: Result): ReactNode {
  const { moved } = marks;
  if (moved === undefined || moved === 0) return null;
  const Arrow = moved !== null && moved < 0 ? ArrowDown : ArrowUp;
  return (
    <span className="inline-flex items-center rounded bg-changed-soft px-1 text-on-changed">
      {moved === null ? (
        'new'
      ) : (
        <>
          <Arrow size={11} strokeWidth={2.6} aria-label={moved > 0 ? 'up' : 'down'} />
          {Math.abs(moved)}
        </>
      )}
    </span>
  );
}

/** The label that hangs under a place. */
const label = 'inline-flex items-center gap-1.5 rounded-b-[7px] border border-t-0 px-2 text-[12.5px] font-semibold';

/** A product of the board: chosen by a click or the space bar, taken up by the mouse or a finger. */
export function BoardCard({
  card,
  place,
  isFixed,
  isChosen,
  isLifted,
  isFocusable,
  choose,
  onKey,
  keep,
}: {
  readonly card: Result;
  readonly place: number;
  /** Whether it stands where somebody put it. */
  readonly isFixed: boolean;
  readonly isChosen: boolean;
  /** Whether it is being moved, alone or with others. */
  readonly isLifted: boolean;
  /** Whether the tab key leads to it; arrows lead to the others. */
  readonly isFocusable: boolean;
  choose(event: MouseEvent): void;
  onKey(event: KeyboardEvent): void;
  keep(button: HTMLButtonElement | null): void;
}) {
  const { familyId } = card;
  const { setNodeRef: dropHere, isOver } = useDroppable({ id: familyId });
  const { setNodeRef: takeUp, listeners } = useDraggable({ id: familyId });
  return (
    <li ref={dropHere} data-product={familyId} className="relative flex flex-col">
      {isOver && <span aria-hidden className="absolute inset-y-0 -left-[1.5px] w-[3px] rounded bg-press" />}
      <button
        type="button"
        ref={(node) => {
          takeUp(node);
          keep(node);
        }}
        aria-pressed={isChosen}
        aria-label={`Place ${place}: ${card.title}`}
        tabIndex={isFocusable ? 0 : -1}
        className={`mx-[5px] flex flex-1 cursor-grab flex-col rounded-t-lg bg-surface px-[9px] pt-[9px] pb-2 text-left ${
          isChosen ? 'outline-2 outline-press -outline-offset-2' : ''
        } ${isLifted ? 'opacity-40' : ''}`}
        onClick={choose}
        {...listeners}
        onKeyDown={onKey}
      >
        <Body card={card} />
      </button>
      <span className="h-[3px] bg-edge" />
      <span className="h-[28px] px-[9px]">
        <span className={`${label} ${isFixed ? 'border-press/40 bg-press-soft' : 'bg-surface'}`}>
          {place} {movedOf(card)} {markOf(card)}
        </span>
      </span>
    </li>
  );
}

/** Where a pinned product would stand, and what stands there instead. */
export function GapCard({ gap, instead }: { readonly gap: Gap; readonly instead: string | undefined }) {
  return (
    <li className="flex flex-col">
      <div className="mx-[5px] grid flex-1 place-items-center rounded-lg border-2 border-soft/60 border-dashed p-2 text-center text-[12.5px]">
        <p>
          <b className="font-semibold">{gap.title}</b> {gapTexts[gap.why]}
          {instead && <span className="mt-1 block text-soft">{instead} stands there.</span>}
        </p>
      </div>
      <span className="h-[3px] bg-edge" />
      <span className="h-[28px] px-[9px]">
        <span className={`${label} border-press/40 bg-press-soft text-press`}>
          {gap.place} {gap.why === 'waits' ? 'waits' : 'empty'}
        </span>
      </span>
    </li>
  );
}
