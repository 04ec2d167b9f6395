import { ArrowLeft, Search, X } from 'lucide-react';
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { useStore } from 'zustand';
import { longestQuery } from '../../../core/query/readUnits.ts';
import { later, useLater } from '../../look/later.ts';
import { useTexts } from '../../look/texts.tsx';
import { useMedia } from '../../look/useMedia.ts';
import { useShopper, useView, useVisit } from '../shopperHere.tsx';
import { Dictation } from './Dictation.tsx';
import { type LinesTold, type LinesWork, newBoxIds, noLines } from './linesWork.ts';
import { useBox } from './useBox.ts';

/** Below it the open box takes the whole window. */
const phone = matchMedia('(max-width: 499px)');

const boxLines = later(async () => (await import('./BoxLines.tsx')).BoxLines);
/** Asked for a little before the box is entered; where they do not come, it searches without them. */
const askForLines = (): void => void boxLines.load().catch(() => {});

/**
 * The shop's search box: what is searched often before anything is typed, and while it is what it may go on to, products and
 * places to look in. The arrows go through the lines, enter takes the one that is marked, or searches for what was typed.
 */
export function SearchBox() {
  const shopper = useShopper();
  const said = useStore(shopper.said);
  const button = said?.boxButton ?? '';
  const { search } = useVisit();
  const { query, language } = search;
  const { say } = useTexts();
  /** Held open by the desk, with a text of its own. */
  const held = useView((view) => view?.box ?? null);
  const [text, setText] = useState(query);
  useEffect(() => setText(held ?? query), [held, query]);
  const [hasFocus, setFocus] = useState(false);
  const [recent, setRecent] = useState<readonly string[]>([]);
  const isPhone = useMedia(phone);
  /** Where no results are asked for, the box is the first to hear what the shop says of itself. */
  const isFirst = shopper.isWaiting() && said === null;
  const { data } = useBox(text, { isOpen: hasFocus || held !== null || isFirst, language });
  const typed = text.trim();
  const isShown = data !== undefined && (typed === '' || typed.length >= data.letters);
  const { value: BoxLines } = useLater(boxLines, hasFocus || held !== null);
  const work = useRef<LinesWork>(null);
  const [told, setTold] = useState<LinesTold>(noLines);
  const tell = useCallback(
    (now: LinesTold) => setTold((was) => (was.active === now.active && was.isExpanded === now.isExpanded ? was : now)),
    [],
  );
  const [ids] = useState(newBoxIds);
  const input = useRef<HTMLInputElement>(null);
  // The focus is given away once the lines are drawn closed: those that were just opened would take it back.
  const [timesLeft, setTimesLeft] = useState(0);
  useLayoutEffect(() => {
    if (timesLeft > 0) input.current?.blur();
  }, [timesLeft]);
  const leave = (): void => {
    work.current?.close();
    setFocus(false);
    setTimesLeft((times) => times + 1);
  };
  const isFull = isPhone && hasFocus;
  return (
    <search
      className={
        isFull ? 'fixed inset-0 z-40 flex flex-col overflow-y-auto bg-surface p-3' : 'relative min-w-0 flex-[1_1_140px]'
      }
    >
      <form
        part="box"
        className="flex items-center gap-2 rounded-full border border-line bg-paper px-3.5 py-1.5 has-[input:focus-visible]:outline-2 has-[input:focus-visible]:outline-press has-[input:focus-visible]:outline-offset-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (typed === '' && said?.emptySearch === 'nothing') return;
          leave();
          shopper.searchHere(text);
        }}
      >
        {isFull && (
          <button type="button" aria-label={say('box.back')} className="grid size-6 place-items-center" onClick={leave}>
            <ArrowLeft size={17} aria-hidden className="rtl:-scale-x-100" />
          </button>
        )}
        <label id={ids.label} htmlFor={ids.input} className="sr-only">
          {say('box.says')}
        </label>
        <input
          ref={input}
          id={ids.input}
          role="combobox"
          aria-autocomplete="list"
          aria-labelledby={ids.label}
          aria-expanded={told.isExpanded}
          aria-controls={BoxLines ? ids.menu : undefined}
          aria-activedescendant={told.active}
          value={text}
          onPointerEnter={askForLines}
          onFocus={() => {
            setFocus(true);
            setRecent(shopper.recent.list());
            work.current?.open();
          }}
          onBlur={(event) => {
            setFocus(false);
            work.current?.onBlur?.(event);
          }}
          onClick={(event) => work.current?.onClick?.(event)}
          // Said at once, since a letter may be typed before the next is drawn.
          onChange={(event) => {
            setText((event.target as HTMLInputElement).value);
            work.current?.onChange?.(event);
          }}
          onKeyDown={(event) => work.current?.onKeyDown?.(event)}
          type="search"
          placeholder={said?.boxSays ?? ''}
          autoComplete="off"
          enterKeyHint="search"
          className="min-w-0 flex-1 bg-transparent outline-none placeholder:text-soft [&::-webkit-search-cancel-button]:hidden"
          maxLength={longestQuery}
        />
        {text !== '' && hasFocus && (
          <button
            type="button"
            aria-label={say('box.empty')}
            className="grid size-6 place-items-center text-soft hover:text-ink"
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => {
              setText('');
              input.current?.focus();
            }}
          >
            <X size={15} aria-hidden />
          </button>
        )}
        {data?.dictation && (
          <Dictation
            language={language}
            spoken={(said) => {
              setText(said);
              leave();
              shopper.searchHere(said);
            }}
          />
        )}
        <button
          type="submit"
          aria-label={button || say('box.search')}
          className={
            button
              ? '-my-0.5 -me-2 min-h-7 rounded-full bg-press px-3 font-semibold text-[13px] text-on-press hover:bg-press-over'
              : 'grid size-6 place-items-center text-soft hover:text-ink'
          }
          onMouseDown={(event) => event.preventDefault()}
        >
          {button || <Search size={17} aria-hidden />}
        </button>
      </form>
      {BoxLines && (
        <BoxLines
          isHeld={held !== null}
          forget={() => {
            shopper.recent.forget();
            setRecent([]);
          }}
          {...{ input, ids, text, isShown, isFull, hasFocus, data, recent, leave, work, tell }}
        />
      )}
    </search>
  );
}
