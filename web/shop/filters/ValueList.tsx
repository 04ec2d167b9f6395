import { ChevronDown } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useEffect, useId, useState } from 'react';
import type { FilterAnswer, FilterValue } from '../../../core/answer/answer.ts';
import { usualFilter } from '../../../core/setup/terms/filterTerms.ts';
import { valueInWords } from '../../look/filterWords.ts';
import { PopoverPanel } from '../../look/PopoverPanel.tsx';
import { type Texts, useTexts } from '../../look/texts.tsx';
import { takesOne } from './choice.ts';
import type { LookThrough, OneFilter } from './oneFilter.ts';
import { ShowAll } from './ShowAll.tsx';

/** A text a shopper looks through a list for, and the values that have it: from what is there, else fetched. */
function useLookThrough(filter: FilterAnswer, lookThrough: LookThrough, texts: Texts) {
  const [text, setText] = useState('');
  const [fetched, setFetched] = useState<{ readonly text: string; readonly values: readonly FilterValue[] } | null>(
    null,
  );
  const wanted = text.trim().toLowerCase();
  const { key, more } = filter;
  useEffect(() => {
    if (wanted === '' || more === 0) return;
    let isWanted = true;
    const later = setTimeout(async () => {
      const values = await lookThrough(key, wanted).catch(() => null);
      if (isWanted && values) setFetched({ text: wanted, values });
    }, 150);
    return () => {
      isWanted = false;
      clearTimeout(later);
    };
  }, [wanted, key, more, lookThrough]);
  const has = (value: FilterValue): boolean => valueInWords(filter, value, texts).toLowerCase().includes(wanted);
  const here = filter.values.filter(has);
  return {
    text,
    setText,
    isLooking: wanted !== '',
    values: more > 0 && fetched?.text === wanted ? fetched.values : here,
  };
}

/** Values as ticks or, where one only is chosen, as a choice; with what shortens and looks through long lists. */
export function ValueList({ filter, chosen, choose, lookThrough, isOpen = false }: OneFilter & { isOpen?: boolean }) {
  const [isLong, setLong] = useState(false);
  const texts = useTexts();
  const { say, count, inText } = texts;
  const { text, setText, isLooking, values } = useLookThrough(filter, lookThrough, texts);
  const name = useId();
  const { showFirst, anyEntry, selectAll, search, kind } = filter;
  const isOne = takesOne(filter);
  const isShort = !isLong && !isLooking && !isOpen;
  const shown = isShort ? values.filter((value, index) => index < showFirst || value.chosen) : values;
  const hasSearch = search ?? filter.values.length > usualFilter.searchFrom;
  const listed = filter.values.filter(({ count: products }) => products > 0).map(({ value }) => value);
  const toggle = (value: string): void => {
    if (isOne) choose([value]);
    else choose(chosen.includes(value) ? chosen.filter((each) => each !== value) : [...chosen, value]);
  };
  const line = 'flex items-center gap-2 py-[3px] text-[13.5px]';
  // A choice of one cannot be unticked: the way back must be there as soon as it is needed.
  const hasAny =
    (anyEntry && !isLooking) ||
    (isOne && kind !== 'rating' && chosen.length > 0) ||
    (kind === 'rating' && chosen.length > 0);
  return (
    <div>
      {hasSearch && (
        <input
          type="search"
          aria-label={say('filters.lookThrough', { filter: filter.label })}
          placeholder={say('filters.lookThrough', { filter: inText(filter.label) })}
          value={text}
          onChange={(event) => setText(event.target.value)}
          className="mb-1.5 w-full rounded-md border bg-surface px-2 py-1 text-[13px] placeholder:text-soft"
        />
      )}
      {selectAll && !isOne && !isLooking && listed.length > 1 && (
        <label className={`${line} font-semibold`}>
          <input
            type="checkbox"
            className="size-[15px] shrink-0 accent-press"
            checked={listed.every((value) => chosen.includes(value))}
            onChange={(event) => choose(event.target.checked ? listed : [])}
          />
          {say('filters.allOfThese')}
        </label>
      )}
      <ul>
        {hasAny && (
          <li>
            <label className={line}>
              <input
                type={isOne ? 'radio' : 'checkbox'}
                name={name}
                className="size-[15px] shrink-0 accent-press"
                checked={chosen.length === 0}
                onChange={() => choose([])}
              />
              {say('filters.any', { filter: inText(filter.label) })}
            </label>
          </li>
        )}
        {shown.map((value) => (
          <li key={value.value} style={{ paddingInlineStart: (value.depth ?? 0) * 14 }}>
            <label className={`${line} ${value.count === 0 ? 'text-soft' : ''}`}>
              <input
                type={isOne ? 'radio' : 'checkbox'}
                name={name}
                className="size-[15px] shrink-0 accent-press"
                checked={chosen.includes(value.value)}
                disabled={value.count === 0 && !value.chosen}
                onChange={() => toggle(value.value)}
              />
              <span className="min-w-0 flex-1 break-words">
                {kind === 'rating' && value.from && value.from <= mostStars ? (
                  <Stars from={value.from} />
                ) : (
                  valueInWords(filter, value, texts)
                )}
              </span>
              {filter.counts && (
                <span className="text-[12.5px] text-soft">
                  <span aria-hidden>{count(value.count)}</span>
                  <span className="sr-only"> {say('products', { count: value.count })}</span>
                </span>
              )}
            </label>
          </li>
        ))}
      </ul>
      {isLooking && shown.length === 0 && (
        <p className="text-[12.5px] text-soft">{say('filters.noValue', { text: text.trim() })}</p>
      )}
      {!isLooking && !isOpen && <ShowAll filter={filter} isLong={isLong} show={setLong} />}
      {!isLooking && filter.more > 0 && (isLong || isOpen) && (
        <p className="mt-1 text-[12.5px] text-soft">{say('filters.more', { count: filter.more })}</p>
      )}
    </div>
  );
}

/** Ratings are drawn as stars up to here; a shop that counts to ten gets numbers. */
const mostStars = 5;

function Stars({ from }: { readonly from: number }) {
  const { say, rich } = useTexts();
  return rich('filters.andMore', {
    amount: (
      <>
        <span aria-hidden className="tracking-[1px]">
          {'★'.repeat(Math.floor(from))}
          <span className="text-line">{'★'.repeat(Math.max(0, 5 - Math.floor(from)))}</span>
        </span>
        <span className="sr-only">{say('filters.stars', { count: from })}</span>
      </>
    ),
  });
}

/** The list of a drop-down: all of it, with a field to look through it. */
export function DropdownList({ filter, ...one }: OneFilter) {
  return <ValueList {...one} filter={{ ...filter, search: filter.search ?? true }} isOpen />;
}

/** The same list behind a button, for filters that would take much room. */
export function Dropdown(one: OneFilter) {
  const { filter, chosen } = one;
  const texts = useTexts();
  const { say, inText } = texts;
  const first = filter.values.find(({ value }) => value === chosen[0]);
  const named =
    chosen.length === 0
      ? say('filters.any', { filter: inText(filter.label) })
      : first
        ? valueInWords(filter, first, texts)
        : chosen[0]!;
  return (
    <Popover.Root>
      <Popover.Trigger className="flex w-full items-center gap-2 rounded-md border bg-surface px-2.5 py-1.5 text-start text-[13.5px] hover:border-edge">
        <span className="min-w-0 flex-1 truncate">
          {chosen.length > 1 ? say('filters.firstAndMore', { first: named, count: chosen.length - 1 }) : named}
        </span>
        <ChevronDown size={14} aria-hidden className="shrink-0" />
        <span className="sr-only">{filter.label}</span>
      </Popover.Trigger>
      <PopoverPanel
        label={filter.label}
        className="max-h-[min(340px,60vh)] w-[max(220px,var(--radix-popover-trigger-width))] p-3"
      >
        <DropdownList {...one} />
      </PopoverPanel>
    </Popover.Root>
  );
}
