import { useState } from 'react';
import { own } from '../../../../core/base/named.ts';
import { most } from '../../../../core/setup/terms/limits.ts';
import { type Device, deviceNames, devices } from '../../../../core/setup/terms/planTerms.ts';
import { Chip } from '../../parts/Chip.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { Picker, PickerItem } from '../../parts/Picker.tsx';
import { Tick } from '../../parts/rule/PlaceTicks.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { useAttributeValues } from '../filters/useFilterData.ts';
import { type OfPlan, unlessEmpty } from './planPart.ts';

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

function WhenChosen({ plan, save }: Pick<OfPlan, 'plan' | 'save'>) {
  const { setup } = useDeskState();
  const whenChosen = plan.whenChosen ?? [];
  const set = (list: readonly (typeof whenChosen)[number][]): void =>
    save({ ...plan, whenChosen: unlessEmpty(list.filter(({ values }) => values.length > 0)) });
  const left = Object.entries(setup.filters).filter(
    ([key, { kind }]) => kind !== 'range' && !whenChosen.some(({ filter }) => filter === key),
  );
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      {whenChosen.length === 0 ? 'Whatever shoppers have chosen' : 'Only while shoppers have chosen'}
      {whenChosen.map(({ filter, values }) => {
        const known = own(setup.filters, filter);
        return (
          <span key={filter} className="flex flex-wrap items-center gap-1">
            {known?.label ?? filter}
            {values.map((value) => (
              <Chip
                key={value}
                takeOff={`Take ${value} off`}
                remove={() =>
                  set(
                    whenChosen.map((each) =>
                      each.filter === filter ? { filter, values: values.filter((other) => other !== value) } : each,
                    ),
                  )
                }
              >
                {value}
              </Chip>
            ))}
            {known && (
              <ValueOf
                label={`or another of ${known.label}`}
                attribute={known.attribute}
                chosen={values}
                choose={(value) =>
                  set(
                    whenChosen.map((each) => (each.filter === filter ? { filter, values: [...values, value] } : each)),
                  )
                }
              />
            )}
          </span>
        );
      })}
      {left.length > 0 && whenChosen.length < most.whenChosen && (
        <NewChoice filters={left} add={(filter, value) => set([...whenChosen, { filter, values: [value] }])} />
      )}
    </div>
  );
}

/** A filter, and then one of its values. */
function NewChoice({
  filters,
  add,
}: {
  readonly filters: readonly (readonly [string, { readonly label: string; readonly attribute: string }])[];
  add(filter: string, value: string): void;
}) {
  const [key, setKey] = useState('');
  const filter = filters.find(([each]) => each === key)?.[1];
  return (
    <span className="inline-flex items-center gap-1.5">
      <Choice
        label="A filter in which something must be chosen"
        value={key}
        options={[['', 'only where a filter …'], ...filters.map(([each, { label }]) => [each, label] as const)]}
        change={setKey}
      />
      {filter && (
        <ValueOf
          label={`Choose a value of ${filter.label}`}
          attribute={filter.attribute}
          chosen={[]}
          choose={(value) => {
            add(key, value);
            setKey('');
          }}
        />
      )}
    </span>
  );
}

const mostOffered = 80;

function ValueOf({
  label,
  attribute,
  chosen,
  choose,
}: {
  readonly label: string;
  readonly attribute: string;
  readonly chosen: readonly string[];
  choose(value: string): void;
}) {
  const { data } = useAttributeValues(attribute);
  return (
    <Picker label={label} find="Values" placeholder="Type a value" isSmall>
      {(typed, close) =>
        data?.values
          .filter(({ value }) => value.toLowerCase().includes(typed.toLowerCase()))
          .slice(0, mostOffered)
          .map(({ value }) => (
            <PickerItem
              key={value}
              value={value}
              isChosen={chosen.includes(value)}
              choose={() => {
                close();
                if (!chosen.includes(value)) choose(value);
              }}
            >
              {value}
            </PickerItem>
          ))
      }
    </Picker>
  );
}
