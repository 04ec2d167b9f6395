import { Slider } from 'radix-ui';
import { useState } from 'react';
import type { AttributeValues } from '../../../../core/browse/attributeValues.ts';

export interface EndsOf {
  readonly amounts: NonNullable<AttributeValues['amounts']>;
  readonly thresholds: readonly number[];
  set(thresholds: readonly number[]): void;
}

/** The histogram with a handle for each end: by mouse, or by the arrows. */
export function Ends({ amounts: { least, most: all, usual: most, histogram }, thresholds, set }: EndsOf) {
  const [moving, setMoving] = useState<readonly number[] | null>(null);
  const span = most - least || 1;
  const highest = Math.max(1, ...histogram);
  // Round enough to read: a hundredth of the span, to a power of ten.
  const grain = 10 ** Math.floor(Math.log10(span / 50));
  const rounded = (amount: number): number => Number((Math.round(amount / grain) * grain).toPrecision(8));
  const [from, to] = [Math.floor(least / grain) * grain, Math.ceil(most / grain) * grain];
  // An end beyond what the histogram shows stands at its edge, and stays what it is until it is moved.
  const clamped = thresholds.map((threshold) => Math.min(to, Math.max(from, threshold)));
  const shown = moving ?? clamped;
  const settle = (values: readonly number[]): void => {
    setMoving(null);
    set(values.map((value, at) => (value === clamped[at] ? thresholds[at]! : rounded(value))));
  };
  return (
    <Slider.Root
      min={from}
      max={to}
      step={grain}
      minStepsBetweenThumbs={1}
      disabled={thresholds.length === 0}
      value={[...shown]}
      onValueChange={setMoving}
      onValueCommit={settle}
      className="relative mt-1 mb-8 block h-20 touch-none select-none rounded-t-[5px] border-edge border-b-[3px] bg-surface"
    >
      <Slider.Track className="absolute inset-0 flex items-end gap-px">
        {histogram.map((products, at) => (
          <span
            // biome-ignore lint/suspicious/noArrayIndexKey: a bar is its place
            key={at}
            className="flex-1 bg-press-soft"
            style={{ height: products === 0 ? 0 : `${Math.max(4, (products / highest) * 90)}%` }}
          />
        ))}
      </Slider.Track>
      {shown.map((threshold, at) => (
        <Slider.Thumb
          // biome-ignore lint/suspicious/noArrayIndexKey: an end is its place
          key={at}
          aria-label={`End ${at + 1} of ${thresholds.length}`}
          className="relative block h-20 w-3.5 cursor-ew-resize before:absolute before:inset-y-0 before:left-1/2 before:w-[3px] before:-translate-x-1/2 before:bg-press"
        >
          <span className="absolute top-full left-1/2 mt-1 -translate-x-1/2 rounded bg-edge px-1 text-[11.5px] text-surface">
            {moving ? rounded(threshold) : thresholds[at]}
          </span>
        </Slider.Thumb>
      ))}
      <span aria-hidden className="absolute top-full left-0 mt-1 text-[11.5px] text-soft">
        {rounded(least)}
      </span>
      <span aria-hidden className="absolute top-full right-0 mt-1 text-[11.5px] text-soft">
        {rounded(most)}
        {all > most && ` (5% lie above, up to ${rounded(all)})`}
      </span>
    </Slider.Root>
  );
}
