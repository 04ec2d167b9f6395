import { Checkbox } from 'radix-ui';
import { useId } from 'react';
import { type Place, placeNames, places } from '../../../../core/setup/terms/placeTerms.ts';

/** The places at which a rule holds, or from which something is hidden; all of them are undefined, since places may be added. */
export function PlaceTicks({
  label,
  offered = places,
  value,
  change,
}: {
  readonly label: string;
  /** Those that can be chosen. */
  readonly offered?: readonly Place[];
  readonly value: readonly Place[] | undefined;
  change(places: Place[] | undefined): void;
}) {
  const chosen = offered.filter((place) => value === undefined || value.includes(place));
  const toggle = (place: Place): void => {
    const next = offered.filter((each) => chosen.includes(each) !== (each === place));
    // Nowhere would be nothing: the last one stays.
    if (next.length > 0) change(next.length === offered.length ? undefined : next);
  };
  return (
    <fieldset className="flex flex-wrap gap-x-4 gap-y-1.5">
      <legend className="sr-only">{label}</legend>
      {offered.map((place) => (
        <Tick
          key={place}
          isOn={chosen.includes(place)}
          isLast={chosen.length === 1 && chosen.includes(place)}
          toggle={() => toggle(place)}
        >
          {placeNames[place]}
        </Tick>
      ))}
    </fieldset>
  );
}

/** A box to tick with its text; `isLast` keeps one from being taken off. */
export function Tick({
  isOn,
  isLast = false,
  toggle,
  children,
}: {
  readonly isOn: boolean;
  readonly isLast?: boolean;
  toggle(): void;
  readonly children: React.ReactNode;
}) {
  const id = useId();
  return (
    <span className="inline-flex items-center gap-1.5 text-[13.5px]">
      <Checkbox.Root
        id={id}
        checked={isOn}
        disabled={isLast}
        onCheckedChange={toggle}
        className="grid size-[18px] place-items-center rounded border border-soft bg-surface data-[state=checked]:border-press data-[state=checked]:bg-press data-[state=checked]:text-on-press disabled:opacity-60"
      >
        <Checkbox.Indicator>✓</Checkbox.Indicator>
      </Checkbox.Root>
      <label htmlFor={id}>{children}</label>
    </span>
  );
}
