import type { FilterAnswer } from '../../../core/answer/answer.ts';

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
  if (filter.values.length <= filter.showFirst) return null;
  return (
    <button
      type="button"
      aria-expanded={isLong}
      className="mt-1 text-[13px] text-press underline"
      onClick={() => show(!isLong)}
    >
      {isLong ? 'Show fewer' : `Show all ${filter.values.length}`}
      <span className="sr-only"> of {filter.label}</span>
    </button>
  );
}
