import { Heart, Scale } from 'lucide-react';
import type { Card } from '../../core/answer/answer.ts';
import { useTexts } from '../look/texts.tsx';
import { isListFull, isMarked, type MarkList, mostMarked } from '../shopper/marked.ts';
import { useMark, useMarked } from './useMarks.ts';

export const markIcons = { wish: Heart, compare: Scale } as const;

/** Puts a product on a list of the shopper's own, and takes it off. */
export function Mark({
  list,
  card,
}: {
  readonly list: MarkList;
  readonly card: Pick<Card, 'familyId' | 'id' | 'title'>;
}) {
  const mark = useMark();
  const isOn = useMarked((marked) => isMarked(marked, list, card.familyId));
  const isFull = useMarked((marked) => isListFull(marked, list)) && !isOn;
  const { say } = useTexts();
  const Icon = markIcons[list];
  return (
    // Above what covers the card.
    <button
      type="button"
      part={list}
      aria-pressed={isOn}
      aria-label={say(`${list}.mark`, { title: card.title })}
      title={isFull ? say('marked.full', { count: mostMarked[list] }) : undefined}
      disabled={isFull}
      className="relative z-10 inline-flex min-h-6 items-center gap-1 text-[12.5px] text-soft hover:text-ink disabled:opacity-55 aria-pressed:font-semibold aria-pressed:text-ink"
      onClick={() => mark(list, card.familyId, card.id)}
    >
      <Icon size={15} fill={isOn && list === 'wish' ? 'currentColor' : 'none'} aria-hidden />
      {say(list)}
    </button>
  );
}
