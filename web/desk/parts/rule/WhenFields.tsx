import { isWholeDay } from '../../../../core/base/localTime.ts';
import { endsBeforeItBegins, endsTooSoon, isAlways, type Span, stateOf } from '../../../../core/setup/terms/span.ts';
import { useDeskState } from '../../state/deskState.ts';
import { whenNow } from '../../state/whenNow.ts';
import { Choice, NumberField } from '../Controls.tsx';
import { DayField } from '../DayField.tsx';
import { Tick } from './PlaceTicks.tsx';

const stateTexts = {
  holds: 'In force now.',
  early: 'Not in force yet.',
  over: 'Its time is over.',
  outOfSeason: 'Not in season now.',
};

/** When something holds: from and until a day or an hour, and on which days of every year. */
export function WhenFields({
  of,
  value,
  change,
}: {
  readonly of: string;
  readonly value: Span;
  change(span: Span): void;
}) {
  const { setup } = useDeskState();
  const { from, until, yearly } = value;
  const state = stateOf(value, whenNow(setup));
  const isBackwards = endsBeforeItBegins(value);
  return (
    <div className="space-y-1.5 text-[13px]">
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        From <Moment label={`First day of ${of}`} value={from} change={(to) => change({ ...value, from: to })} />
        until <Moment label={`Last day of ${of}`} value={until} change={(to) => change({ ...value, until: to })} />
        <span className={isBackwards || state === 'over' ? 'text-on-changed' : 'text-soft'}>
          {isBackwards ? endsTooSoon : isAlways(value) ? 'Without days it always holds.' : stateTexts[state]}
        </span>
      </div>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        <Tick
          isOn={yearly !== undefined}
          toggle={() => change({ ...value, yearly: yearly ? undefined : { from: '12-01', until: '12-31' } })}
        >
          Only on some days of every year
        </Tick>
        {yearly && (
          <>
            from
            <YearDay
              label={`First day of the year of ${of}`}
              value={yearly.from}
              change={(to) => change({ ...value, yearly: { ...yearly, from: to } })}
            />
            to
            <YearDay
              label={`Last day of the year of ${of}`}
              value={yearly.until}
              change={(to) => change({ ...value, yearly: { ...yearly, until: to } })}
            />
          </>
        )}
      </div>
    </div>
  );
}

/** A day, and the hour of it where one is said. */
function Moment({
  label,
  value,
  change,
}: {
  readonly label: string;
  readonly value: string | undefined;
  change(moment: string | undefined): void;
}) {
  const [day = '', time = ''] = (value ?? '').split('T');
  return (
    <span className="inline-flex items-center gap-1">
      <DayField
        label={label}
        value={day}
        change={(to) => change(to === '' ? undefined : time === '' ? to : `${to}T${time}`)}
      />
      {value !== undefined && (
        <input
          type="time"
          aria-label={`${label}, hour`}
          title={isWholeDay(value) ? 'The whole day; say an hour to be exact' : 'On the storefront’s clock'}
          className="rounded-md border bg-surface px-1.5 py-[2px] text-ink hover:border-edge"
          value={time}
          onChange={({ target }) => change(target.value === '' ? day : `${day}T${target.value.slice(0, 5)}`)}
        />
      )}
    </span>
  );
}

const monthNames = [
  ...['January', 'February', 'March', 'April', 'May', 'June'],
  ...['July', 'August', 'September', 'October', 'November', 'December'],
];
const two = (number: number): string => String(number).padStart(2, '0');
/** 2028 has a 29th of February. */
const daysIn = (month: number): number => new Date(Date.UTC(2028, month, 0)).getUTCDate();

/** A day of every year, as 12-24. */
function YearDay({
  label,
  value,
  change,
}: {
  readonly label: string;
  readonly value: string;
  change(day: string): void;
}) {
  const [month, day] = value.split('-').map(Number) as [number, number];
  const set = (toMonth: number, toDay: number): void =>
    change(`${two(toMonth)}-${two(Math.min(toDay, daysIn(toMonth)))}`);
  return (
    <span className="inline-flex items-center gap-1">
      <NumberField
        label={label}
        className="w-[50px]"
        value={day}
        least={1}
        most={daysIn(month)}
        change={(to) => set(month, Math.round(to))}
      />
      <Choice
        label={`${label}, month`}
        value={two(month)}
        options={monthNames.map((name, at) => [two(at + 1), name] as const)}
        change={(to) => set(Number(to), day)}
      />
    </span>
  );
}
