import {
  ArrowDown,
  ArrowUp,
  CalendarOff,
  EyeOff,
  HelpCircle,
  ListStart,
  PackagePlus,
  Pin,
  PinOff,
  TrendingDown,
  TrendingUp,
  Undo2,
} from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { type KeyboardEvent, type ReactNode, useLayoutEffect, useRef } from 'react';
import type { Marks, Result } from '../../core/answer/answer.ts';
import type { ProductAct } from '../bridge/messages.ts';
import { Menu, MenuItem, MenuLine } from '../look/Menu.tsx';
import { actOfKey, type ShelfAt, shelfKeys, shelfShortcuts } from './shelfKeys.ts';

function movement({ moved }: Marks): { text: string; shown: ReactNode } | null {
  if (moved === undefined || moved === 0) return null;
  if (moved === null) return { text: 'new here', shown: 'new' };
  const places = Math.abs(moved);
  const Arrow = moved > 0 ? ArrowUp : ArrowDown;
  return {
    text: `${moved > 0 ? 'up' : 'down'} ${places}`,
    shown: (
      <>
        <Arrow size={12} strokeWidth={2.6} aria-hidden />
        {places}
      </>
    ),
  };
}

function describeMark(marks: Marks): { text: string; icon: ReactNode } | null {
  if (marks.pin) return { text: 'pinned', icon: <Pin size={12} aria-hidden /> };
  if (marks.exactSku) return { text: 'exact SKU', icon: null };
  if (marks.first) return { text: 'put first', icon: <ListStart size={13} aria-hidden /> };
  if (marks.broughtIn) return { text: 'brought in', icon: <PackagePlus size={13} aria-hidden /> };
  if (marks.pull === undefined) return null;
  return marks.pull > 1
    ? { text: 'boosted', icon: <TrendingUp size={13} aria-hidden /> }
    : { text: 'lowered', icon: <TrendingDown size={13} aria-hidden /> };
}

/** The key that does the same, where the label has the focus. */
function Key({ of }: { readonly of: keyof typeof shelfKeys }) {
  return (
    <kbd aria-hidden className="ml-auto pl-4 font-sans text-[12px] text-soft">
      {shelfKeys[of]}
    </kbd>
  );
}

/** How long after a key its product may move, in milliseconds. */
const movesWithin = 3000;

/**
 * Keeps the focus on a label that acted by a key: a product that moves on the page loses it, and one that is hidden gives
 * it to the next. Nothing is taken from whoever works in the desk meanwhile.
 */
function useKeptFocus() {
  const trigger = useRef<HTMLButtonElement>(null);
  const keptUntil = useRef(0);
  useLayoutEffect(() => {
    const isLost = document.hasFocus() && document.activeElement === document.body;
    if (isLost && performance.now() < keptUntil.current) trigger.current?.focus();
  });
  useLayoutEffect(() => {
    const { current } = trigger;
    return () => {
      if (current === null || document.activeElement !== current || !document.hasFocus()) return;
      const shelf = current.closest('[data-product]');
      const next = shelf?.nextElementSibling ?? shelf?.previousElementSibling;
      next?.querySelector<HTMLElement>('[aria-keyshortcuts]')?.focus();
    };
  }, []);
  const keep = (): void => {
    keptUntil.current = performance.now() + movesWithin;
  };
  const leave = (): void => {
    keptUntil.current = 0;
  };
  return { trigger, keep, leave };
}

/**
 * The label hanging under a product: place, movement since what is published, marks of plans. It opens the menu, and takes
 * the menu's keys; beside it the product is chosen, to do something to several.
 */
export function ShelfLabel({
  result,
  at,
  act,
  isChosen,
  together,
  choose,
}: {
  readonly result: Result;
  readonly at: ShelfAt;
  act(what: ProductAct): void;
  readonly isChosen: boolean;
  /** To how many products its menu does something: to all that are chosen, where it is one of them. */
  readonly together: number;
  /** `upTo`: with all between it and the one chosen before. */
  choose(is: boolean, upTo: boolean): void;
}) {
  const { trigger, keep, leave } = useKeptFocus();
  const onKey = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const what = actOfKey(event.key, { at, place: result.place, marks });
    if (what === null) return;
    event.preventDefault();
    keep();
    if (what === 'choose') choose(!isChosen, event.shiftKey);
    else act(what);
  };
  const marks = result.marks ?? {};
  const moved = movement(marks);
  const mark = describeMark(marks);
  const summary = [`Place ${result.place}`, moved?.text, mark?.text].filter(Boolean).join(', ');
  return (
    <DropdownMenu.Root>
      <label
        className="grid size-6 shrink-0 cursor-pointer place-items-center"
        title="Choose several, to do something to all"
      >
        <input
          type="checkbox"
          aria-label={`Choose ${result.title}`}
          className="size-[15px] accent-press"
          checked={isChosen}
          onChange={(event) => choose(event.target.checked, (event.nativeEvent as MouseEvent).shiftKey === true)}
        />
      </label>
      <DropdownMenu.Trigger
        ref={trigger}
        aria-keyshortcuts={shelfShortcuts}
        onKeyDown={onKey}
        onBlur={(event) => event.relatedTarget && leave()}
        aria-label={`${summary}: ${result.title}. What to do with it`}
        className={`inline-flex items-center gap-2 rounded-b-[7px] border border-t-0 px-2.5 py-0.5 text-[12.5px] hover:border-edge ${
          mark ? 'border-press/40 bg-press-soft' : 'bg-surface'
        }`}
      >
        <b className="font-bold">{result.place}</b>
        {moved && (
          <span className="inline-flex items-center rounded bg-changed-soft px-1 text-on-changed">{moved.shown}</span>
        )}
        {mark && (
          <span className="inline-flex items-center gap-1 font-semibold text-press">
            {mark.icon}
            {mark.text}
          </span>
        )}
      </DropdownMenu.Trigger>
      <Menu className="min-w-[210px] text-[13.5px]">
        <MenuItem onSelect={() => act({ act: 'why' })}>
          <HelpCircle size={15} aria-hidden /> Why here? <Key of="why" />
        </MenuItem>
        <MenuLine />
        {together > 1 && <p className="px-2.5 py-1 font-semibold text-[12.5px]">To all {together} that are chosen</p>}
        {at !== 'everything' ? (
          <PlanItems result={result} at={at} act={act} />
        ) : (
          <p className="max-w-[230px] px-2.5 py-1.5 text-[12.5px] text-soft">
            Search for something, or open a collection, to pin, boost or lower: a shelf plan holds for these.
          </p>
        )}
        <MenuLine />
        <MenuItem onSelect={() => act({ act: 'boostEverywhere' })}>
          <TrendingUp size={15} aria-hidden /> Boost everywhere
        </MenuItem>
        <MenuItem onSelect={() => act({ act: 'lowerEverywhere' })}>
          <TrendingDown size={15} aria-hidden /> Lower everywhere
        </MenuItem>
        <MenuLine />
        <MenuItem onSelect={() => act({ act: 'hide' })}>
          <EyeOff size={15} aria-hidden /> Hide everywhere <Key of="hide" />
        </MenuItem>
        <MenuItem onSelect={() => act({ act: 'hideSome' })}>
          <CalendarOff size={15} aria-hidden /> Hide from some places, or until …
        </MenuItem>
      </Menu>
    </DropdownMenu.Root>
  );
}

function PlanItems({
  result,
  at,
  act,
}: {
  readonly result: Result;
  readonly at: ShelfAt;
  act(what: ProductAct): void;
}) {
  const here = at === 'search' ? 'for this search' : 'on this page';
  const { marks = {}, place } = result;
  return (
    <>
      {marks.pin ? (
        <MenuItem onSelect={() => act({ act: 'unpin' })}>
          <PinOff size={15} aria-hidden /> Take the pin off <Key of="pin" />
        </MenuItem>
      ) : (
        <MenuItem onSelect={() => act({ act: 'pin', place })}>
          <Pin size={15} aria-hidden /> Pin here, at place {place} <Key of="pin" />
        </MenuItem>
      )}
      {place > 1 && (
        <MenuItem onSelect={() => act({ act: 'pin', place: 1 })}>
          <Pin size={15} aria-hidden /> Pin at place 1
        </MenuItem>
      )}
      <MenuItem onSelect={() => act({ act: 'boost' })}>
        <TrendingUp size={15} aria-hidden /> Boost {here} <Key of="boost" />
      </MenuItem>
      <MenuItem onSelect={() => act({ act: 'lower' })}>
        <TrendingDown size={15} aria-hidden /> Lower {here} <Key of="lower" />
      </MenuItem>
      {marks.pull !== undefined && (
        <MenuItem onSelect={() => act({ act: 'neutral' })}>
          <Undo2 size={15} aria-hidden /> Neither boost nor lower <Key of="neutral" />
        </MenuItem>
      )}
    </>
  );
}
