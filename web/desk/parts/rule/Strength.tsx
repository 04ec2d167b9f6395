import { Slider } from 'radix-ui';
import { useEffect, useState } from 'react';
import { factorAt, stepOf, strengthSteps } from '../../../../core/rules/strength.ts';
import { leastPull, most } from '../../../../core/setup/terms/limits.ts';
import { NumberField } from '../Controls.tsx';
import { strengthInWords } from './strengthInWords.ts';

/** How strongly something is boosted or lowered, drawn or typed; what it is drawn to is told at once and taken when it is let go. */
export function Strength({
  label,
  value,
  change,
  drawn,
}: {
  readonly label: string;
  readonly value: number;
  change(factor: number): void;
  /** Called while it is drawn. */
  drawn?(factor: number): void;
}) {
  const [shown, setShown] = useState(value);
  useEffect(() => setShown(value), [value]);
  const draw = (factor: number): void => {
    setShown(factor);
    drawn?.(factor);
  };
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <span className="flex min-w-[150px] flex-1 items-center gap-2 text-[12.5px] text-soft">
        lower
        <Slider.Root
          className="relative flex h-5 w-full touch-none items-center"
          min={-strengthSteps}
          max={strengthSteps}
          step={1}
          value={[stepOf(shown)]}
          onValueChange={([step]) => draw(factorAt(step!))}
          onValueCommit={([step]) => change(factorAt(step!))}
        >
          <Slider.Track className="relative h-2.5 grow rounded-full bg-paper-deep">
            <span className="absolute top-[-3px] left-1/2 h-4 w-px bg-soft" />
          </Slider.Track>
          <Slider.Thumb
            aria-label={label}
            aria-valuetext={`${strengthInWords(shown)}, score ×${shown}`}
            className="block h-4 w-2.5 rounded-[4px] border border-edge bg-press shadow-sm"
          />
        </Slider.Root>
        boost
      </span>
      <span className="w-[100px] font-semibold text-[13px]">{strengthInWords(shown)}</span>
      <span className="inline-flex items-center gap-1 text-[13px] text-soft">
        ×
        <NumberField
          label={`${label}, as a factor`}
          className="w-[56px]"
          value={shown}
          least={leastPull}
          most={most.pull}
          step={0.1}
          change={(factor) => {
            draw(factor);
            change(factor);
          }}
        />
      </span>
    </div>
  );
}
