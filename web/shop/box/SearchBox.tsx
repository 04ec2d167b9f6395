import { useCombobox } from 'downshift';
import { ArrowLeft, Search, X } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useStore } from 'zustand';
import type { Result } from '../../../core/answer/answer.ts';
import { longestQuery } from '../../../core/query/readUnits.ts';
import { useAround } from '../../look/around.tsx';
import { useTexts } from '../../look/texts.tsx';
import { useMedia } from '../../look/useMedia.ts';
import { useShopper, useView, useVisit } from '../shopperHere.tsx';
import { BoxPanel } from './BoxPanel.tsx';
import { type BoxItem, shownBlocks, targetOf } from './boxItems.ts';
import { Dictation } from './Dictation.tsx';
import { environmentIn } from './environmentIn.ts';
import { useBox } from './useBox.ts';

/** Below it the open box takes the whole window. */
const phone = matchMedia('(max-width: 499px)');

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
  const view = useView();
  const { say } = useTexts();
  const { container } = useAround();
  /** Held open by the desk, with a text of its own. */
  const held = view?.box ?? null;
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
  const { columns, all } = useMemo(
    () => (isShown ? shownBlocks(data, typed === '' ? recent : []) : { columns: [], all: null }),
    [data, isShown, recent, typed],
  );
  const items = useMemo<readonly BoxItem[]>(
    () => [...columns.flat().flatMap((block) => block.items), ...(all ? [all] : [])],
    [columns, all],
  );

  const choose = (item: BoxItem): void => {
    shopper.notes.click({ inBox: true, search: typed, kind: item.what, target: targetOf(item) });
    switch (item.what) {
      case 'search':
        shopper.searchEverywhere(item.text);
        break;
      case 'within':
        shopper.searchWithin(typed, item.filter, item.value);
        break;
      case 'product':
        shopper.open(item.card.familyId);
        shopper.notes.openedBesides(item.card.familyId);
        break;
      case 'collection':
        shopper.openCollection(item.id);
        break;
      case 'article':
        shopper.openArticle(item.id, item.link);
        break;
      case 'all':
        shopper.searchEverywhere(typed);
    }
  };
  /** What was put into the basket last, to be said; a product of the desk's window is in none. */
  const [lastPut, setLastPut] = useState('');
  const put = (card: Result): void => {
    if (shopper.desk) return;
    shopper.putInBasket(card.familyId, card.id);
    setLastPut(say('basket.isIn', { title: card.title }));
    shopper.notes.click({ inBox: true, search: typed, kind: 'basket', target: card.familyId });
  };
  const box = useCombobox<BoxItem>({
    items: items as BoxItem[],
    ...environmentIn(container),
    inputValue: text,
    // What is chosen leads somewhere: nothing stays chosen, and what was typed stays as it is.
    selectedItem: null,
    itemToString: () => text,
    itemToKey: (item) => item?.key ?? '',
    stateReducer: (state, { type, changes }) => {
      switch (type) {
        case useCombobox.stateChangeTypes.InputKeyDownEnter:
        case useCombobox.stateChangeTypes.ItemClick:
          return { ...changes, inputValue: state.inputValue };
        // A click into the open box leaves it open.
        case useCombobox.stateChangeTypes.InputClick:
          return { ...changes, isOpen: true };
        case useCombobox.stateChangeTypes.InputBlur:
          return { ...changes, inputValue: state.inputValue, selectedItem: null };
        default:
          return changes;
      }
    },
    onSelectedItemChange: ({ selectedItem }) => {
      if (!selectedItem) return;
      leave();
      choose(selectedItem);
    },
  });
  const { isOpen, highlightedIndex, getInputProps, getMenuProps, getItemProps, getLabelProps, closeMenu } = box;
  const input = useRef<HTMLInputElement>(null);
  const leave = (): void => {
    closeMenu();
    setFocus(false);
    input.current?.blur();
  };
  const hasLines = items.length > 0 || columns.length > 0;
  const isHanging = (isOpen || held !== null) && isShown && hasLines;
  const isFull = isPhone && hasFocus;
  return (
    <search
      className={isFull ? 'fixed inset-0 z-40 flex flex-col overflow-y-auto bg-surface p-3' : 'relative min-w-0 flex-1'}
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
        {/* biome-ignore lint/a11y/noLabelWithoutControl: the box's own label, by its id */}
        <label {...getLabelProps()} className="sr-only">
          {say('box.says')}
        </label>
        <input
          {...getInputProps({
            ref: input,
            onFocus: () => {
              setFocus(true);
              setRecent(shopper.recent.list());
              box.openMenu();
            },
            onBlur: () => setFocus(false),
            // Said at once, since a letter may be typed before the next is drawn.
            onChange: (event) => setText((event.target as HTMLInputElement).value),
            onKeyDown: (event) => {
              if (event.key !== 'Enter') return;
              const marked = isOpen ? items[highlightedIndex] : undefined;
              const isPut = event.shiftKey && marked?.what === 'product' && data?.line.includes('basket');
              if (isPut && marked.card.variantAvailable) {
                event.preventDefault();
                put(marked.card);
              } else if (marked) return;
              // Without a line that is marked, the form is sent.
              (event.nativeEvent as KeyboardEvent & { preventDownshiftDefault?: boolean }).preventDownshiftDefault =
                true;
            },
          })}
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
      <BoxPanel
        menu={getMenuProps({ 'aria-label': say('box.lines') })}
        itemProps={getItemProps}
        {...{ columns, all, items, typed, highlightedIndex, put }}
        answer={data}
        isHanging={isHanging}
        isFull={isFull}
        forget={
          typed === '' && recent.length > 0
            ? () => {
                shopper.recent.forget();
                setRecent([]);
              }
            : null
        }
      />
      <p role="status" className="sr-only">
        {isHanging && typed !== '' && items.length === 0 && data?.moment === 'nothing' && say('box.nothing')}
      </p>
      <p role="status" className="sr-only">
        {lastPut}
      </p>
    </search>
  );
}
