import type { Card, CloseResult } from '../../core/answer/answer.ts';
import { useTexts } from '../look/texts.tsx';
import { CardBody } from './CardBody.tsx';
import { useShelfGrid } from './layout.tsx';

/** Below what has every word, and clearly parted from it: products that lack one, each with the word it lacks. */
export function CloseToSearch({
  close,
  after,
  open,
}: {
  readonly close: readonly CloseResult[];
  /** Products above it. */
  readonly after: number;
  open(product: Pick<Card, 'familyId'>, place: number): void;
}) {
  const { say, rich } = useTexts();
  const grid = useShelfGrid();
  if (close.length === 0) return null;
  return (
    <section aria-labelledby="close-to-search" className="shelf-room mt-6">
      <h2 id="close-to-search" className="font-shop text-[17px]">
        {say('results.close')}
      </h2>
      <ol className={`${grid.className} mt-2 -mx-[7px]`} style={grid.style}>
        {close.map((card, at) => (
          <li key={card.familyId} className="flex flex-col" data-close={card.familyId}>
            <CardBody card={card} open={() => open(card, after + at + 1)} />
            <div className="border-edge border-b-4" />
            <p className="h-8 px-[7px] pt-0.5 text-[12.5px] text-soft">
              {rich('results.without', { word: card.without })}
            </p>
          </li>
        ))}
      </ol>
    </section>
  );
}
