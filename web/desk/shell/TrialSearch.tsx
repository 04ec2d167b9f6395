import { History, X } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { longestQuery } from '../../../core/query/readUnits.ts';
import { PopoverPanel } from '../../look/PopoverPanel.tsx';
import { count, counted } from '../../look/price.ts';
import { useCollections } from '../state/collections.ts';
import { useTopSearches } from '../state/demand.ts';
import { useShopWindow } from '../state/shopWindow.ts';
import { useTrial } from '../state/trial.ts';

/** The trial search: what every screen previews. S goes to it from anywhere but a text field. */
export function TrialSearch() {
  const { query, collection, search } = useTrial();
  const total = useShopWindow((state) => state.total);
  const [text, setText] = useState(query);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => setText(query), [query]);
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      const target = event.target as HTMLElement;
      if (event.defaultPrevented || event.key !== 's' || event.ctrlKey || event.metaKey || event.altKey) return;
      if (target.closest('input, textarea, select, [contenteditable], [role=menu], [role=listbox]')) return;
      event.preventDefault();
      field.current?.select();
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, []);
  return (
    <search className="min-w-0 flex-1 max-[939px]:basis-full min-[940px]:max-w-[430px]">
      <form
        className="flex items-center gap-2.5 rounded-[9px] border bg-paper px-3 py-[7px] focus-within:border-edge"
        onSubmit={(event) => {
          event.preventDefault();
          search(text, collection);
        }}
      >
        <label htmlFor="trial" className="shrink-0 text-[12.5px] text-soft">
          Trial search
        </label>
        <WithinCollection />
        <input
          id="trial"
          ref={field}
          className="min-w-0 flex-1 bg-transparent font-semibold outline-none"
          maxLength={longestQuery}
          value={text}
          placeholder={collection ? 'all of it' : 'everything'}
          onChange={(event) => setText(event.target.value)}
          onBlur={() => setText(query)}
        />
        <span className="shrink-0 text-[12.5px] text-soft" role="status">
          {total !== null && counted(total, 'product')}
        </span>
        <RecentTrials />
        <kbd className="rounded border bg-surface px-[5px] font-sans text-[12px] text-soft" title="Press S to search">
          S
        </kbd>
      </form>
    </search>
  );
}

/** The collection the trial search is made in, with the way out of it. */
function WithinCollection() {
  const { query, collection, search } = useTrial();
  const known = useCollections();
  if (collection === '') return null;
  const title = known.find(({ id }) => id === collection)?.title ?? collection;
  return (
    <span className="inline-flex max-w-[45%] shrink items-center rounded-full bg-ink px-2 text-[12.5px] text-paper">
      <span className="truncate">in {title}</span>
      <button
        type="button"
        aria-label={`Leave the collection ${title}`}
        className="grid size-6 shrink-0 place-items-center"
        onClick={() => search(query)}
      >
        <X size={12} aria-hidden />
      </button>
    </span>
  );
}

function RecentTrials() {
  const { recent, search, forget } = useTrial();
  const [isOpen, setOpen] = useState(false);
  return (
    <Popover.Root open={isOpen} onOpenChange={setOpen}>
      <Popover.Trigger aria-label="Recent trial searches" className="rounded p-0.5 text-soft hover:text-ink">
        <History size={15} aria-hidden />
      </Popover.Trigger>
      <PopoverPanel label="Recent trial searches" align="end" className="w-[280px] p-2">
        {recent.length === 0 && <p className="p-2 text-soft">No trial searches yet.</p>}
        <ul>
          {recent.map((each) => (
            <li key={each} className="flex items-center">
              <button
                type="button"
                className="min-w-0 flex-1 truncate rounded px-2 py-1.5 text-left hover:bg-press-soft"
                onClick={() => {
                  search(each);
                  setOpen(false);
                }}
              >
                {each}
              </button>
              <button
                type="button"
                aria-label={`Forget “${each}”`}
                className="rounded p-1.5 text-soft hover:text-ink"
                onClick={() => forget(each)}
              >
                <X size={14} aria-hidden />
              </button>
            </li>
          ))}
        </ul>
        <AskedMost
          choose={(each) => {
            search(each);
            setOpen(false);
          }}
        />
        <button
          type="button"
          className="mt-1 w-full rounded border-t px-2 py-1.5 text-left text-soft hover:text-ink"
          onClick={() => {
            search('');
            setOpen(false);
          }}
        >
          Show everything (no search)
        </button>
      </PopoverPanel>
    </Popover.Root>
  );
}

/** Searches made most that are offered. */
const mostOffered = 12;

/** What shoppers search for most, to try at once. */
function AskedMost({ choose }: { choose(search: string): void }) {
  const { data } = useTopSearches();
  if (!data || data.top.length === 0) return null;
  return (
    <>
      <h3 className="mt-1.5 border-t px-2 pt-1.5 text-[12px] text-soft">Asked most by shoppers</h3>
      <ul className="max-h-[210px] overflow-auto">
        {data.top.slice(0, mostOffered).map(({ search, searches }) => (
          <li key={search}>
            <button
              type="button"
              className="flex w-full items-baseline gap-2 rounded px-2 py-1 text-left hover:bg-press-soft"
              onClick={() => choose(search)}
            >
              <span className="min-w-0 flex-1 truncate">{search}</span>
              <span className="text-[12.5px] text-soft">{count(searches)}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
