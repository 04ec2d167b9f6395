import type { Card } from '../../core/answer/answer.ts';
import { CardShelf } from './CardShelf.tsx';
import { useShopper } from './shopperHere.tsx';

/** Products besides the results that lead to their own pages, as what goes with others: what comes of them is not the search's doing. */
export function CompanionShelf({
  title,
  cards,
  className = 'mt-10',
  heading = 'text-[19px]',
}: {
  readonly title: string;
  readonly cards: readonly Card[];
  readonly className?: string;
  readonly heading?: string;
}) {
  const { open, notes } = useShopper();
  return (
    <CardShelf
      {...{ title, cards, className, heading }}
      open={({ familyId }) => {
        notes.openedBesides(familyId);
        open(familyId);
      }}
    />
  );
}
