import { type ReactNode, useId } from 'react';
import type { Card } from '../../core/answer/answer.ts';
import { CardBody } from './CardBody.tsx';
import { useShelfGrid } from './layout.tsx';

/** Products beside the results under a heading of their own, standing as the results do. */
export function CardShelf<Of extends Card>({
  title,
  cards,
  className,
  heading,
  mark,
  open,
  under,
}: {
  readonly title: string;
  readonly cards: readonly Of[];
  /** How far it stands from what is above it. */
  readonly className: string;
  /** How large its heading is. */
  readonly heading: string;
  /** What its products are marked with in the page, for those who look for one. */
  readonly mark?: string;
  /** With the place among them, from 0; absent: they lead nowhere. */
  readonly open?: (card: Of, at: number) => void;
  /** What hangs under the edge. */
  readonly under?: (card: Of) => ReactNode;
}) {
  const id = useId();
  const grid = useShelfGrid();
  if (cards.length === 0) return null;
  return (
    <section aria-labelledby={id} className={`shelf-room ${className}`}>
      <h2 id={id} className={`font-shop ${heading}`}>
        {title}
      </h2>
      <ul aria-labelledby={id} className={`${grid.className} mt-2`} style={grid.style}>
        {cards.map((card, at) => (
          <li key={card.id} className="flex flex-col" {...(mark && { [`data-${mark}`]: card.familyId })}>
            <CardBody card={card} open={open && (() => open(card, at))} />
            <div className="h-1 bg-edge" />
            {under?.(card)}
          </li>
        ))}
      </ul>
    </section>
  );
}
