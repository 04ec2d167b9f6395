import { useRef, useState } from 'react';
import { usualAges } from '../../../../core/values/bands.ts';
import { Button } from '../../parts/Button.tsx';
import { TextField } from '../../parts/Controls.tsx';
import { Loading, Section } from '../../parts/Screen.tsx';
import type { OfFilter } from './Looks.tsx';
import { changeFilter, useAttributeValues } from './useFilterData.ts';

const ascending = (list: readonly number[]): number[] => [...new Set(list)].sort((a, b) => a - b).slice(0, 20);

/** Reads numbers typed with commas, semicolons or spaces between them. */
const numbersIn = (text: string): number[] =>
  ascending(
    text
      .split(/[;\s]+|,\s+|,(?=\d{3,})/)
      .map((part) => Number(part.replace(',', '.')))
      .filter((number) => Number.isFinite(number)),
  );

/** Where a filter's own ranges end: typed, proposed, or dragged on a histogram of the whole catalog. */
export function Ranges({ filterKey, filter, isDate }: OfFilter & { readonly isDate: boolean }) {
  const { data } = useAttributeValues(filter.attribute);
  const set = (thresholds: readonly number[]): void =>
    changeFilter(filterKey, { thresholds: thresholds.length > 0 ? ascending(thresholds) : undefined });
  const thresholds = filter.thresholds ?? (isDate ? usualAges : []);
  const typed = (
    <TextField
      key={thresholds.join()}
      label={isDate ? 'Ages in days' : 'Where ranges end'}
      mayBeEmpty
      className="w-72"
      maxLength={200}
      value={thresholds.join('; ')}
      placeholder="5; 10; 25"
      change={(text) => set(numbersIn(text))}
    />
  );
  if (isDate)
    return (
      <Section title="Ages" note="In days, the youngest first: 30 is “Last 30 days”.">
        {typed}
      </Section>
    );
  const amounts = data?.amounts;
  return (
    <Section
      title="Ranges"
      note="Drag an end along the histogram, or type where each range ends and the next begins."
      aside={
        amounts && (
          <span className="flex gap-1">
            <Button tone="quiet" onClick={() => set(amounts.round)}>
              Round numbers
            </Button>
            <Button tone="quiet" onClick={() => set(amounts.equal)}>
              Equal counts
            </Button>
          </span>
        )
      }
    >
      {!data ? (
        <Loading what="Looking at the amounts" />
      ) : amounts ? (
        <Ends amounts={amounts} thresholds={thresholds} set={set} />
      ) : (
        <p className="text-soft">The catalog has no amounts here.</p>
      )}
      <div className="mt-2">{typed}</div>
    </Section>
  );
}

interface EndsOf {
  readonly amounts: {
    readonly least: number;
    readonly most: number;
    readonly usual: number;
    readonly histogram: readonly number[];
  };
  readonly thresholds: readonly number[];
  set(thresholds: readonly number[]): void;
}

/** The histogram with a handle for each end: by mouse, or by the arrows. */
function Ends({ amounts: { least, most: all, usual: most, histogram }, thresholds, set }: EndsOf) {
  const room = useRef<HTMLDivElement>(null);
  const [moved, setMoved] = useState<{ readonly at: number; readonly to: number } | null>(null);
  const span = most - least || 1;
  const highest = Math.max(1, ...histogram);
  // Round enough to read: a hundredth of the span, to a power of ten.
  const grain = 10 ** Math.floor(Math.log10(span / 50));
  const rounded = (amount: number): number => Number((Math.round(amount / grain) * grain).toPrecision(8));
  const amountAt = (clientX: number): number => {
    const { left, width } = room.current!.getBoundingClientRect();
    return rounded(Math.min(most, Math.max(least, least + ((clientX - left) / width) * span)));
  };
  const shown = thresholds.map((threshold, at) => (moved?.at === at ? moved.to : threshold));
  const settle = (at: number, to: number): void => {
    setMoved(null);
    set(thresholds.map((threshold, index) => (index === at ? to : threshold)));
  };
  return (
    <div ref={room} className="relative mt-1 mb-8 h-20 rounded-t-[5px] border-edge border-b-[3px] bg-surface">
      <div aria-hidden className="absolute inset-0 flex items-end gap-px">
        {histogram.map((products, at) => (
          <span
            // biome-ignore lint/suspicious/noArrayIndexKey: a bar is its place
            key={at}
            className="flex-1 bg-press-soft"
            style={{ height: products === 0 ? 0 : `${Math.max(4, (products / highest) * 90)}%` }}
          />
        ))}
      </div>
      {shown.map((threshold, at) => (
        <button
          // biome-ignore lint/suspicious/noArrayIndexKey: an end is its place
          key={at}
          type="button"
          role="slider"
          aria-label={`End ${at + 1} of ${thresholds.length}`}
          aria-valuenow={threshold}
          aria-valuemin={least}
          aria-valuemax={most}
          className="-translate-x-1/2 absolute inset-y-0 w-3.5 cursor-ew-resize touch-none before:absolute before:inset-y-0 before:left-1/2 before:w-[3px] before:-translate-x-1/2 before:bg-press"
          style={{ left: `${Math.min(100, Math.max(0, ((threshold - least) / span) * 100))}%` }}
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={(event) =>
            event.currentTarget.hasPointerCapture(event.pointerId) && setMoved({ at, to: amountAt(event.clientX) })
          }
          onPointerUp={(event) => moved && settle(at, amountAt(event.clientX))}
          onKeyDown={(event) => {
            const way = { ArrowLeft: -1, ArrowRight: 1, PageDown: -10, PageUp: 10 }[event.key];
            if (way === undefined) return;
            event.preventDefault();
            settle(at, rounded(Math.min(most, Math.max(least, threshold + way * grain))));
          }}
        >
          <span className="absolute top-full left-1/2 mt-1 -translate-x-1/2 rounded bg-edge px-1 text-[11.5px] text-surface">
            {threshold}
          </span>
        </button>
      ))}
      <span aria-hidden className="absolute top-full left-0 mt-1 text-[11.5px] text-soft">
        {rounded(least)}
      </span>
      <span aria-hidden className="absolute top-full right-0 mt-1 text-[11.5px] text-soft">
        {rounded(most)}
        {all > most && ` (5% lie above, up to ${rounded(all)})`}
      </span>
    </div>
  );
}
