import { useState } from 'react';
import { own } from '../../../../core/base/named.ts';
import type { FilterSetting } from '../../../../core/setup/parts/filters.ts';
import { most } from '../../../../core/setup/terms/limits.ts';
import { choicesIn } from '../../../../core/values/shownValues.ts';
import { choiceInWords } from '../../../look/filterWords.ts';
import { Chip } from '../../parts/Chip.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { Picker, PickerItem } from '../../parts/Picker.tsx';
import { useAttributes } from '../../state/attributes.ts';
import { useDeskState } from '../../state/deskState.ts';
import { useAttributeValues } from '../filters/useFilterData.ts';
import { type OfPlan, unlessEmpty } from './planPart.ts';

/** Filters in which shoppers must have chosen something for a plan to hold. */
export function WhenChosen({ plan, save }: Pick<OfPlan, 'plan' | 'save'>) {
  const { setup } = useDeskState();
  const whenChosen = plan.whenChosen ?? [];
  const set = (list: readonly (typeof whenChosen)[number][]): void =>
    save({ ...plan, whenChosen: unlessEmpty(list.filter(({ values }) => values.length > 0)) });
  const change = (filter: string, values: string[]): void =>
    set(whenChosen.map((each) => (each.filter === filter ? { filter, values } : each)));
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
              <ChosenValue
                key={value}
                filter={known}
                value={value}
                remove={() =>
                  change(
                    filter,
                    values.filter((other) => other !== value),
                  )
                }
              />
            ))}
            {known && (
              <ValueOf
                label={`or another of ${known.label}`}
                filter={known}
                chosen={values}
                choose={(value) => change(filter, [...values, value])}
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

/** What a filter is chosen from, each in words. */
function useChoices(filter: FilterSetting | undefined): readonly (readonly [value: string, words: string])[] {
  const { setup } = useDeskState();
  const { attributes = [] } = useAttributes();
  const { data } = useAttributeValues(filter?.attribute ?? '');
  if (!filter) return [];
  const about = attributes.find(({ key }) => key === filter.attribute);
  const values = data?.values.map(({ value }) => value) ?? [];
  const money = { isMoney: about?.kind === 'price', currency: setup.storefront.shop.currency };
  return choicesIn(filter, setup.valueGroups, { values, isDate: about?.kind === 'date' }).map((choice) => [
    choice.value,
    choiceInWords({ ...money, kind: filter.kind }, choice),
  ]);
}

function ChosenValue({
  filter,
  value,
  remove,
}: {
  readonly filter: FilterSetting | undefined;
  readonly value: string;
  remove(): void;
}) {
  const words = useChoices(filter).find(([each]) => each === value)?.[1] ?? value;
  return (
    <Chip takeOff={`Take ${words} off`} remove={remove}>
      {words}
    </Chip>
  );
}

/** A filter, and then one of its values. */
function NewChoice({
  filters,
  add,
}: {
  readonly filters: readonly (readonly [string, FilterSetting])[];
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
          filter={filter}
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
  filter,
  chosen,
  choose,
}: {
  readonly label: string;
  readonly filter: FilterSetting;
  readonly chosen: readonly string[];
  choose(value: string): void;
}) {
  const choices = useChoices(filter);
  return (
    <Picker label={label} find="Values" placeholder="Type a value" isSmall>
      {(typed, close) =>
        choices
          .filter(([, words]) => words.toLowerCase().includes(typed.toLowerCase()))
          .slice(0, mostOffered)
          .map(([value, words]) => (
            <PickerItem
              key={value}
              value={value}
              isChosen={chosen.includes(value)}
              choose={() => {
                close();
                if (!chosen.includes(value)) choose(value);
              }}
            >
              {words}
            </PickerItem>
          ))
      }
    </Picker>
  );
}
