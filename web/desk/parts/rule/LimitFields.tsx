import type { Hiding } from '../../../../core/setup/parts/hiding.ts';
import { PlaceTicks, Tick } from './PlaceTicks.tsx';
import { WhenFields } from './WhenFields.tsx';

/** From where and when something is hidden. */
export type HidingLimits = Pick<Hiding, 'places' | 'from' | 'until' | 'yearly' | 'whileSoldOut' | 'notIndexed'>;

/** The same, to be changed. */
export function LimitFields({
  of,
  value,
  change,
}: {
  readonly of: string;
  readonly value: HidingLimits;
  change(limits: HidingLimits): void;
}) {
  return (
    <div className="space-y-2">
      <PlaceTicks
        label={`Places ${of} is hidden from`}
        value={value.places}
        change={(places) => change({ ...value, places })}
      />
      <WhenFields of={of} value={value} change={(span) => change({ ...value, ...span })} />
      <Tick
        isOn={value.whileSoldOut ?? false}
        toggle={() => change({ ...value, whileSoldOut: value.whileSoldOut ? undefined : true })}
      >
        Only while it is sold out
      </Tick>{' '}
      <Tick
        isOn={value.notIndexed ?? false}
        toggle={() => change({ ...value, notIndexed: value.notIndexed ? undefined : true })}
      >
        Tell search engines to leave its page out
      </Tick>
    </div>
  );
}
