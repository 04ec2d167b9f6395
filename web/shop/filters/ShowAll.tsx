import type { FilterAnswer } from '../../../core/answer/answer.ts';
import { useTexts } from '../../look/texts.tsx';

/** Shows all values of a filter, or the first again; not there where the first are all. */
export function ShowAll({
  filter,
  isLong,
  show,
}: {
  readonly filter: FilterAnswer;
  readonly isLong: boolean;
  show(isLong: boolean): void;
}) {
  const { say } = useTexts();
  if (filter.values.length <= filter.showFirst) return null;
  const text = isLong ? say('filters.showFewer') : say('filters.showAll', { count: filter.values.length });
  return (
    <button
      type="button"
      aria-expanded={isLong}
      className="mt-1 text-[13px] text-press underline"
      onClick={() => show(!isLong)}
    >
      <span aria-hidden>{text}</span>
      <span className="sr-only">{say('filters.of', { text, filter: filter.label })}</span>
    </button>
  );
}
