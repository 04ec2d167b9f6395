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
import type { ReactNode } from 'react';
import type { Marks, Result } from '../../core/answer/answer.ts';
import type { ProductAct } from '../bridge/messages.ts';
import { Menu, MenuItem, MenuLine } from '../look/Menu.tsx';

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

export type ShelfAt = 'search' | 'collection' | 'everything';

/** The label hanging under a product: place, movement since what is published, marks of plans; it opens the menu. */
export function ShelfLabel({
  result,
  at,
  act,
}: {
  readonly result: Result;
  /** Where it stands: in a search, on a collection's page, or among everything, for which there are no plans. */
  readonly at: ShelfAt;
  act(what: ProductAct): void;
}) {
  const marks = result.marks ?? {};
  const moved = movement(marks);
  const mark = describeMark(marks);
  const summary = [`Place ${result.place}`, moved?.text, mark?.text].filter(Boolean).join(', ');
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
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
          <HelpCircle size={15} aria-hidden /> Why here?
        </MenuItem>
        <MenuLine />
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
          <EyeOff size={15} aria-hidden /> Hide everywhere
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
          <PinOff size={15} aria-hidden /> Take the pin off
        </MenuItem>
      ) : (
        <MenuItem onSelect={() => act({ act: 'pin', place })}>
          <Pin size={15} aria-hidden /> Pin here, at place {place}
        </MenuItem>
      )}
      {place > 1 && (
        <MenuItem onSelect={() => act({ act: 'pin', place: 1 })}>
          <Pin size={15} aria-hidden /> Pin at place 1
        </MenuItem>
      )}
      <MenuItem onSelect={() => act({ act: 'boost' })}>
        <TrendingUp size={15} aria-hidden /> Boost {here}
      </MenuItem>
      <MenuItem onSelect={() => act({ act: 'lower' })}>
        <TrendingDown size={15} aria-hidden /> Lower {here}
      </MenuItem>
      {marks.pull !== undefined && (
        <MenuItem onSelect={() => act({ act: 'neutral' })}>
          <Undo2 size={15} aria-hidden /> Neither boost nor lower
        </MenuItem>
      )}
    </>
  );
}
