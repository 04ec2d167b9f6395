import { ChevronDown } from 'lucide-react';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { useTexts } from '../look/texts.tsx';

/** The orders a shopper may choose from; not there where there is only one. */
export function SortMenu({
  sorting,
  choose,
}: {
  readonly sorting: SearchAnswer['sorting'];
  choose(key: string): void;
}) {
  const { say } = useTexts();
  if (sorting.length < 2) return null;
  return (
    <label part="sorting" className="inline-flex items-center gap-1.5 text-[13px] text-soft">
      {say('results.sort')}
      <span className="relative">
        <select
          className="appearance-none rounded-md border border-line bg-surface py-0.5 ps-2 pe-6 text-ink"
          value={sorting.find(({ chosen }) => chosen)?.key}
          onChange={(event) => choose(event.target.value)}
        >
          {sorting.map(({ key, label }) => (
            <option key={key} value={key}>
              {label}
            </option>
          ))}
        </select>
        <ChevronDown size={13} aria-hidden className="pointer-events-none absolute top-1/2 end-1.5 -translate-y-1/2" />
      </span>
    </label>
  );
}
