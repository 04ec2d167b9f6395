import { CalendarClock, X } from 'lucide-react';
import { Popover } from 'radix-ui';
import { Link } from 'react-router';
import { dayText } from '../../../core/base/day.ts';
import { localMinutes } from '../../../core/base/localTime.ts';
import { comingChanges } from '../../../core/rules/periods.ts';
import { PopoverPanel } from '../../look/PopoverPanel.tsx';
import { Button, IconButton } from '../parts/Button.tsx';
import { DayField } from '../parts/DayField.tsx';
import { useProducts } from '../parts/ProductLine.tsx';
import { ruleName } from '../screens/rules/reviewInWords.ts';
import { useDeskState } from '../state/deskState.ts';
import { useShopWindow } from '../state/shopWindow.ts';
import { whenNow } from '../state/whenNow.ts';

/** Changes that are offered to be looked at. */
const mostOffered = 8;

/** An instant as a moment on a clock, `2026-12-01T08:00`. */
function momentOf(instant: number, timeZone: string | undefined): string {
  const minutes = localMinutes(timeZone, instant);
  const two = (number: number): string => String(number).padStart(2, '0');
  return `${dayText(Math.floor(minutes / 1440))}T${two(Math.floor(minutes / 60) % 24)}:${two(minutes % 60)}`;
}
const shown = (moment: string): string => moment.replace('T', ' ');

/** Shows the window as it will be at another time, or was: a season is looked at before it comes. */
export function AsOf() {
  const at = useShopWindow((state) => state.at);
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label="See the shop as of another day"
        title="See the shop as of another day"
        className={`rounded-md p-1.5 hover:text-ink ${at ? 'bg-changed-soft text-on-changed' : 'text-soft'}`}
      >
        <CalendarClock size={16} aria-hidden />
      </Popover.Trigger>
      <PopoverPanel label="See the shop as of another day" className="w-[340px] p-4">
        <Days />
      </PopoverPanel>
    </Popover.Root>
  );
}

function Days() {
  const { setup } = useDeskState();
  const { at, seeAsOf } = useShopWindow();
  const when = whenNow(setup);
  const coming = comingChanges(setup, when.now, mostOffered);
  const hidden = coming.flatMap(({ part, key }) => {
    const entry = part === 'hiding' ? setup.hiding[key] : undefined;
    return entry?.what === 'product' ? [entry.product] : [];
  });
  const products = useProducts(hidden);
  const [day = '', time = ''] = at.split('T');
  return (
    <div className="space-y-2.5 text-[13px] text-ink">
      <p className="text-soft">Plans, house rules and hidings as they are in force then, by this storefront’s clock.</p>
      <div className="flex flex-wrap items-center gap-1.5">
        As of
        <DayField
          label="Day the shop is seen as of"
          value={day}
          change={(to) => seeAsOf(to === '' ? '' : `${to}T${time || '12:00'}`)}
        />
        <input
          type="time"
          aria-label="Hour the shop is seen as of"
          disabled={day === ''}
          className="rounded-md border bg-surface px-1.5 py-[2px] hover:border-edge disabled:opacity-50"
          value={time}
          onChange={({ target }) => target.value !== '' && seeAsOf(`${day}T${target.value.slice(0, 5)}`)}
        />
        {at !== '' && (
          <Button tone="quiet" className="px-2 py-1" onClick={() => seeAsOf('')}>
            Now
          </Button>
        )}
      </div>
      <h3 className="flex items-baseline justify-between font-semibold">
        What begins and ends next
        <Link to="/review" className="font-normal text-press underline">
          The whole year
        </Link>
      </h3>
      {coming.length === 0 ? (
        <p className="text-soft">Nothing in this draft has a day that is still to come.</p>
      ) : (
        <ul className="space-y-1">
          {coming.map((change) => {
            const moment = momentOf(change.instant, when.timeZone);
            return (
              <li key={`${change.part}/${change.key}/${change.what}`}>
                <button
                  type="button"
                  className="w-full rounded px-1.5 py-0.5 text-left hover:bg-press-soft"
                  onClick={() => seeAsOf(moment)}
                >
                  <b className="font-semibold">{shown(moment)}</b>{' '}
                  {ruleName(change, { setup, titleOf: (id) => products?.get(id)?.title ?? id })} {change.what}
                </button>
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}

/** Says above the window that it is not as of now. */
export function AsOfNotice() {
  const { at, seeAsOf } = useShopWindow();
  if (at === '') return null;
  return (
    <p
      role="status"
      className="mb-2 flex items-center gap-2 rounded-md bg-changed-soft px-3 py-1 text-[13px] text-on-changed"
    >
      <span>
        Seen as of <b className="font-semibold">{shown(at)}</b>. Arrows compare with what is live now.
      </span>
      <IconButton label="See the shop as of now" className="ml-auto p-1" onClick={() => seeAsOf('')}>
        <X size={14} aria-hidden />
      </IconButton>
    </p>
  );
}
