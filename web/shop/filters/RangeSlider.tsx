import { Slider } from 'radix-ui';
import { useState } from 'react';
import { amountIn } from '../../look/filterWords.ts';
import { useTexts } from '../../look/texts.tsx';
import { chosenEnds, type Ranged } from './RangeBoxes.tsx';

/** Steps a slider has from one end to the other, at least. */
const fewestSteps = 50;

/** A round step that parts the span finely enough. */
function stepFor(span: number): number {
  const power = 10 ** Math.floor(Math.log10(Math.max(span / fewestSteps, 0.01)));
  return [1, 2, 5, 10].map((factor) => factor * power).findLast((step) => span / step >= fewestSteps) ?? power;
}

/** Two handles under a histogram of the results: how many products lie where is seen before anything is moved. */
export function RangeSlider({ filter, range, chosen, choose }: Ranged) {
  const texts = useTexts();
  const step = stepFor(range.most - range.least);
  const least = Math.floor(range.least / step) * step;
  const most = Math.ceil(range.most / step) * step;
  const [from, to] = chosenEnds(chosen);
  const clamped = (amount: number): number => Math.min(most, Math.max(least, amount));
  const settled: readonly [number, number] = [
    from === '' ? least : clamped(Number(from)),
    to === '' ? most : clamped(Number(to)),
  ];
  const [moving, setMoving] = useState<readonly [number, number] | null>(null);
  const [low, high] = moving ?? settled;
  const bars = range.histogram ?? [];
  const highest = Math.max(1, ...bars);
  const width = (range.most - range.least) / Math.max(1, bars.length);
  const settle = ([first, second]: readonly [number, number]): void => {
    setMoving(null);
    const text = `${first <= least ? '' : Number(first.toFixed(4))}..${second >= most ? '' : Number(second.toFixed(4))}`;
    choose(text === '..' ? [] : [text]);
  };
  const thumb = (end: 'filters.least' | 'filters.most', amount: number) => (
    <Slider.Thumb
      aria-label={texts.say(end, { filter: filter.label })}
      aria-valuetext={amountIn(filter, amount, texts)}
      className="block size-[18px] rounded-full border-2 border-press bg-surface shadow-sm hover:bg-press-soft"
    />
  );
  return (
    <div>
      <div aria-hidden className="flex h-9 items-end gap-px px-[9px]">
        {bars.map((products, at) => {
          const middle = range.least + (at + 0.5) * width;
          const isIn = middle >= low && middle <= high;
          return (
            <span
              // biome-ignore lint/suspicious/noArrayIndexKey: a bar is its place
              key={at}
              className={`flex-1 rounded-t-[1px] ${isIn ? 'bg-press' : 'bg-line'}`}
              style={{ height: products === 0 ? 0 : `${Math.max(6, (products / highest) * 100)}%` }}
            />
          );
        })}
      </div>
      <Slider.Root
        min={least}
        max={most}
        step={step}
        value={[low, high]}
        onValueChange={([first, second]) => setMoving([first!, second!])}
        onValueCommit={([first, second]) => settle([first!, second!])}
        className="relative flex h-5 w-full touch-none items-center"
      >
        <Slider.Track className="relative h-1 grow rounded-full bg-line">
          <Slider.Range className="absolute h-full rounded-full bg-press" />
        </Slider.Track>
        {thumb('filters.least', low)}
        {thumb('filters.most', high)}
      </Slider.Root>
      <p className="mt-0.5 flex justify-between text-[12.5px] text-soft">
        <span>{amountIn(filter, low, texts)}</span>
        <span>{amountIn(filter, high, texts)}</span>
      </p>
    </div>
  );
}
