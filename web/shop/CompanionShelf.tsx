import type { Card } from '../../core/answer/answer.ts';
import { CardShelf } from './CardShelf.tsx';
import { useShopper } from './shopperHere.tsx';

/** Products that go with others or stand in for them, each with the way to its page. */
export function CompanionShelf({ title, cards }: { readonly title: string; readonly cards: readonly Card[] }) {
  const { open, notes } = useShopper();
  return (
    <CardShelf
      title={title}
      cards={cards}
      className="mt-10"
      heading="text-[19px]"
      open={({ familyId }) => {
        notes.openedBesides(familyId);
        open(familyId);
      }}
    />
  );
}
