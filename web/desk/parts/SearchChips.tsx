import { X } from 'lucide-react';
import { useState } from 'react';
import { searchKey } from '../../../core/query/readUnits.ts';
import { longest } from '../../../core/setup/terms/limits.ts';
import { TrySearch } from './TrySearch.tsx';

/** A list of searches: typed in, tried with a click, taken off. */
export function SearchChips({
  label,
  searches,
  change,
}: {
  readonly label: string;
  readonly searches: readonly string[];
  change(searches: string[]): void;
}) {
  const [text, setText] = useState('');
  const add = (): void => {
    const fresh = text
      .split(',')
      .map((each) => each.trim().slice(0, 200))
      .filter((each) => each !== '' && !searches.some((known) => searchKey(known) === searchKey(each)));
    setText('');
    if (fresh.length > 0) change([...searches, ...fresh]);
  };
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      <ul aria-label={label} className="contents">
        {searches.map((each) => (
          <li key={each} className="inline-flex max-w-full items-center rounded-full border bg-surface text-[13.5px]">
            <TrySearch search={each} className="min-w-0 truncate rounded-full py-1 pr-1 pl-3 hover:text-press" />
            <button
              type="button"
              aria-label={`Take “${each}” off`}
              className="rounded-full p-1 pr-2 text-soft hover:text-ink"
              onClick={() => change(searches.filter((known) => known !== each))}
            >
              <X size={13} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <input
        aria-label={`Add to ${label.toLowerCase()}`}
        placeholder="Add a search, then Enter"
        maxLength={longest.search}
        className="min-w-[180px] flex-1 rounded-full border border-dashed bg-transparent px-3 py-1 text-[13.5px] placeholder:text-soft"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={add}
        onKeyDown={(event) => {
          if (event.key === 'Enter') add();
          if (event.key === 'Backspace' && text === '' && searches.length > 0) change(searches.slice(0, -1));
        }}
      />
    </div>
  );
}
