import { Slider } from 'radix-ui';

/** A weight as a bar that can be drawn; saffron where it is not yet published. Tenths with the arrow keys. */
export function WeightSlider({
  label,
  value,
  most,
  step = 0.1,
  isChanged,
  change,
}: {
  readonly label: string;
  readonly value: number;
  readonly most: number;
  readonly step?: number;
  readonly isChanged: boolean;
  change(value: number): void;
}) {
  return (
    <Slider.Root
      className="relative flex h-5 w-full touch-none items-center"
      min={0}
      max={most}
      step={step}
      value={[Math.min(value, most)]}
      onValueChange={([next]) => change(Math.round(next! * 10) / 10)}
    >
      <Slider.Track className="relative h-2.5 grow overflow-hidden rounded-full bg-paper-deep">
        <Slider.Range className={`absolute h-full ${isChanged ? 'bg-changed' : 'bg-press'}`} />
      </Slider.Track>
      <Slider.Thumb
        aria-label={label}
        className="block h-4 w-2.5 rounded-[4px] border border-edge bg-surface shadow-sm"
      />
    </Slider.Root>
  );
}
