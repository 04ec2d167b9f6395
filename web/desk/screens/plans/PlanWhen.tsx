import { type Device, deviceNames, devices } from '../../../../core/setup/terms/planTerms.ts';
import { Tick } from '../../parts/rule/PlaceTicks.tsx';
import type { OfPlan } from './planPart.ts';
import { WhenChosen } from './WhenChosen.tsx';

/** What else must hold for a plan: what shoppers have chosen, and what they look with. */
export function PlanWhen({ plan, save }: Pick<OfPlan, 'plan' | 'save'>) {
  return (
    <div className="mt-2 space-y-1.5 text-[13px]">
      <Devices plan={plan} save={save} />
      <WhenChosen plan={plan} save={save} />
    </div>
  );
}

function Devices({ plan, save }: Pick<OfPlan, 'plan' | 'save'>) {
  const chosen = devices.filter((device) => plan.devices === undefined || plan.devices.includes(device));
  const toggle = (device: Device): void => {
    const next = devices.filter((each) => chosen.includes(each) !== (each === device));
    if (next.length > 0) save({ ...plan, devices: next.length === devices.length ? undefined : next });
  };
  return (
    <fieldset className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <legend className="sr-only">Devices on which the plan holds</legend>
      <span>On</span>
      {devices.map((device) => (
        <Tick
          key={device}
          isOn={chosen.includes(device)}
          isLast={chosen.length === 1 && chosen.includes(device)}
          toggle={() => toggle(device)}
        >
          {deviceNames[device]}
        </Tick>
      ))}
    </fieldset>
  );
}
