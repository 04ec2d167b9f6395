import { useCombobox } from 'downshift';
import { type RefObject, useLayoutEffect, useMemo, useState } from 'react';
import type { Result } from '../../../core/answer/answer.ts';
import type { BoxAnswer } from '../../../core/suggest/boxAnswer.ts';
import { useAround } from '../../look/around.tsx';
import { useTexts } from '../../look/texts.tsx';
import { useShopper } from '../shopperHere.tsx';
import { BoxPanel } from './BoxPanel.tsx';
import { type BoxItem, shownBlocks, targetOf } from './boxItems.ts';
import { environmentIn } from './environmentIn.ts';
import type { BoxIds, LinesTold, LinesWork } from './linesWork.ts';

/**
 * The lines under the box: what may be gone through with the arrows and taken. They are asked for when the box is first
 * entered, so that a page which only has a box need not carry them; the input is the box's own, and they work on it.
 */
export function BoxLines({
  input,
  ids,
  text,
  isShown,
  isHeld,
  isFull,
  hasFocus,
  data,
  recent,
  forget,
  leave,
  work,
  tell,
}: {
  readonly input: RefObject<HTMLInputElement | null>;
  readonly ids: BoxIds;
  readonly text: string;
  /** Whether there is an answer, and enough was typed for it. */
  readonly isShown: boolean;
  /** Held open by the desk. */
  readonly isHeld: boolean;
  readonly isFull: boolean;
  readonly hasFocus: boolean;
  readonly data: BoxAnswer | undefined;
  readonly recent: readonly string[];
  forget(): void;
  leave(): void;
  /** Where what they do with the input is put. */
  readonly work: RefObject<LinesWork | null>;
  /** Says what the input is to tell of them. */
  tell(told: LinesTold): void;
}) {
  const shopper = useShopper();
  const { say } = useTexts();
  const { container } = useAround();
  const typed = text.trim();
  const { columns, all } = useMemo(
    () => (isShown && data ? shownBlocks(data, typed === '' ? recent : []) : { columns: [], all: null }),
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
    inputId: ids.input,
    labelId: ids.label,
    menuId: ids.menu,
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
  const { isOpen, highlightedIndex, getMenuProps, getItemProps } = box;
  const { ref, onChange, onKeyDown, onBlur, onClick, ...attributes } = box.getInputProps({
    onKeyDown: (event) => {
      if (event.key !== 'Enter') return;
      const marked = isOpen ? items[highlightedIndex] : undefined;
      const isPut = event.shiftKey && marked?.what === 'product' && data?.line.includes('basket');
      if (isPut && marked.card.variantAvailable) {
        event.preventDefault();
        put(marked.card);
      } else if (marked) return;
      // Without a line that is marked, the form is sent.
      (event.nativeEvent as KeyboardEvent & { preventDownshiftDefault?: boolean }).preventDownshiftDefault = true;
    },
  });
  useLayoutEffect(() => {
    if (typeof ref === 'function') ref(input.current);
    work.current = { onChange, onKeyDown, onBlur, onClick, open: box.openMenu, close: box.closeMenu };
    tell({ active: attributes['aria-activedescendant'] || undefined, isExpanded: isOpen });
  });
  // Not open from the beginning: the box would be given the focus a little later, when it may have been left.
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, as the lines come to a box that was entered before
  useLayoutEffect(() => {
    if (hasFocus) box.openMenu();
  }, []);
  const hasLines = items.length > 0 || columns.length > 0;
  const isHanging = (isOpen || isHeld) && isShown && hasLines;
  return (
    <>
      <BoxPanel
        menu={getMenuProps({ 'aria-label': say('box.lines') })}
        itemProps={getItemProps}
        {...{ columns, all, items, typed, highlightedIndex, put }}
        answer={data}
        isHanging={isHanging}
        isFull={isFull}
        forget={typed === '' && recent.length > 0 ? forget : null}
      />
      <p role="status" className="sr-only">
        {isHanging && typed !== '' && items.length === 0 && data?.moment === 'nothing' && say('box.nothing')}
      </p>
      <p role="status" className="sr-only">
        {lastPut}
      </p>
    </>
  );
}
