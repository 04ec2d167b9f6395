import type { Card, CloseResult } from '../../core/answer/answer.ts';
import { useTexts } from '../look/texts.tsx';
import { CardShelf } from './CardShelf.tsx';

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
  return (
    <CardShelf
      title={say('results.close')}
      cards={close}
      className="mt-6"
      heading="text-[17px]"
      mark="close"
      open={(card, at) => open(card, after + at + 1)}
      under={({ without }) => (
        <p className="shelf-pad h-8 pt-0.5 text-[12.5px] text-soft">{rich('results.without', { word: without })}</p>
      )}
    />
  );
}
