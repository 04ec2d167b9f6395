import { Link } from 'react-router';
import { dayNumber, dayText } from '../../../../core/base/day.ts';
import { daysInForce } from '../../../../core/rules/daysInForce.ts';
import { datedIn } from '../../../../core/rules/periods.ts';
import type { Setup } from '../../../../core/setup/schema.ts';
import { isAlways, spanInWords } from '../../../../core/setup/terms/span.ts';
import { counted } from '../../../look/price.ts';
import { useProducts } from '../../parts/ProductLine.tsx';
import { Section } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { useShopWindow } from '../../state/shopWindow.ts';
import { whenNow } from '../../state/whenNow.ts';
import { ruleAddress, ruleName } from './reviewInWords.ts';

/** Months drawn, this one first. */
const monthsShown = 12;
/** Rows drawn: those that begin or end soonest. */
const mostRows = 60;

/** First days of the months drawn, and of the one after them, in days since 1970. */
function monthsFrom(today: number): number[] {
  const [year, month] = dayText(today).split('-').map(Number) as [number, number];
  return Array.from({ length: monthsShown + 1 }, (_, at) => Date.UTC(year, month - 1 + at, 1) / 86_400_000);
}
const monthName = (day: number): string =>
  new Date(day * 86_400_000).toLocaleDateString('en-GB', { month: 'short', timeZone: 'UTC' }).slice(0, 3);

/** What has dates and is switched on, with the days on which it is in force. */
function datedRows(setup: Setup, first: number, last: number) {
  return datedIn(setup)
    .flatMap(({ part, key, entry }) =>
      isAlways(entry) || entry.on === false ? [] : [{ part, key, span: entry, days: daysInForce(entry, first, last) }],
    )
    .filter(({ days }) => days.length > 0)
    .sort((a, b) => a.days[0]![0] - b.days[0]![0] || a.days[0]![1] - b.days[0]![1] || (a.key < b.key ? -1 : 1));
}

/** When which plans, rules, hidings and collections are in force, over a year; a month shows the shop as of its first day. */
export function Calendar() {
  const { setup } = useDeskState();
  const { at, seeAsOf } = useShopWindow();
  const { today } = whenNow(setup);
  const months = monthsFrom(today);
  const [first, end] = [months[0]!, months.at(-1)!];
  const rows = datedRows(setup, first, end - 1);
  const hidden = rows.flatMap(({ part, key }) => {
    const entry = part === 'hiding' ? setup.hiding[key] : undefined;
    return entry?.what === 'product' ? [entry.product] : [];
  });
  const products = useProducts(hidden);
  if (rows.length === 0) return null;
  const share = (days: number): string => `${(days / (end - first)) * 100}%`;
  const seen = at === '' ? today : dayNumber(at.slice(0, 10));
  return (
    <Section title="When what is in force" note="A month shows the shop as of its first day, in the window.">
      {/* Where there is less room it scrolls, so that the shortest month stays wide enough to be hit. */}
      <div className="overflow-x-auto">
        <div className="min-w-[450px]">
          <div className="grid grid-cols-[110px_1fr] gap-x-2 text-[12.5px]">
            <span />
            <div className="flex">
              {months.slice(0, -1).map((day, month) => (
                <button
                  key={day}
                  type="button"
                  aria-label={`See the shop as of 1 ${monthName(day)} ${dayText(day).slice(0, 4)}`}
                  className="min-h-6 min-w-0 border-l text-left text-soft hover:bg-press-soft hover:text-ink"
                  style={{ width: share(months[month + 1]! - day) }}
                  onClick={() => seeAsOf(`${dayText(Math.max(day, today))}T12:00`)}
                >
                  {monthName(day)}
                </button>
              ))}
            </div>
          </div>
          <ul aria-label="When what is in force" className="text-[12.5px]">
            {rows.slice(0, mostRows).map(({ part, key, span, days }) => {
              const name = ruleName({ part, key }, { setup, titleOf: (id) => products?.get(id)?.title ?? id });
              return (
                <li key={`${part}/${key}`} className="grid grid-cols-[110px_1fr] items-center gap-x-2 border-t">
                  <Link to={ruleAddress({ part, key }, setup)} title={name} className="truncate py-1 hover:text-press">
                    {name}
                  </Link>
                  <div className="relative h-6">
                    <span className="sr-only">{spanInWords(span)}</span>
                    {days.map(([from, to]) => (
                      <span
                        key={from}
                        title={spanInWords(span)}
                        className={`absolute top-1.5 h-3 rounded-sm ${part === 'hiding' ? 'border border-soft bg-paper-deep' : 'bg-press'}`}
                        style={{ left: share(from - first), width: share(to + 1 - from) }}
                      />
                    ))}
                    {seen >= first && seen < end && (
                      <span
                        aria-hidden
                        className="absolute inset-y-0 w-[2px] bg-changed"
                        style={{ left: share(seen - first) }}
                      />
                    )}
                  </div>
                </li>
              );
            })}
          </ul>
        </div>
      </div>
      {rows.length > mostRows && (
        <p className="mt-1 text-[12.5px] text-soft">
          And {counted(rows.length - mostRows, 'more', 'more')} that begin later.
        </p>
      )}
    </Section>
  );
}
