import { X } from 'lucide-react';
import { own } from '../../../../core/base/named.ts';
import { most } from '../../../../core/setup/terms/limits.ts';
import { IconButton } from '../../parts/Button.tsx';
import { Picker, PickerItem } from '../../parts/Picker.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { SortableList } from '../../parts/SortableList.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { type OfPlan, unlessEmpty } from './planPart.ts';

/** The filters that stand beside the results of a plan's searches. */
export function PlanFilters({ plan, save, isChanged }: OfPlan) {
  const { setup } = useDeskState();
  const shown = plan.filters ?? [];
  const set = (filters: readonly string[]): void => save({ ...plan, filters: unlessEmpty([...filters]) });
  const labelOf = (key: string): string => own(setup.filters, key)?.label ?? key;
  const rows = shown.map((id) => ({ id, name: labelOf(id) }));
  const left = Object.entries(setup.filters)
    .filter(([key]) => !shown.includes(key))
    .sort(([, a], [, b]) => a.order - b.order);
  return (
    <Section
      title="Filters"
      note={
        shown.length === 0
          ? 'Shoppers get the filters that belong there.'
          : 'Only these, in this order, and those in which a shopper has chosen something.'
      }
    >
      {shown.length > 0 && (
        <SortableList
          label="Filters beside the results"
          items={rows}
          move={({ id }, _, to) => set(shown.filter((each) => each !== id).toSpliced(to, 0, id))}
        >
          {({ id, name }, grip) => (
            <div className={`${shelfRow(isChanged)} flex items-center gap-2 py-1 pr-2 pl-1.5`}>
              {grip}
              <span className="min-w-0 flex-1 truncate">{name}</span>
              {!Object.hasOwn(setup.filters, id) && (
                <span className="text-[13px] text-on-changed">there is no such filter now</span>
              )}
              <IconButton label={`Take ${name} off`} onClick={() => set(shown.filter((each) => each !== id))}>
                <X size={14} aria-hidden />
              </IconButton>
            </div>
          )}
        </SortableList>
      )}
      {left.length > 0 && shown.length < most.planFilters && (
        <div className="mt-1.5">
          <Picker
            label={shown.length === 0 ? 'Show other filters' : 'Add a filter'}
            find="Filters"
            placeholder="Type a filter"
            isSmall
          >
            {(typed, close) =>
              left
                .filter(([, { label }]) => label.toLowerCase().includes(typed.toLowerCase()))
                .map(([key, { label }]) => (
                  <PickerItem
                    key={key}
                    value={key}
                    isChosen={false}
                    choose={() => {
                      close();
                      set([...shown, key]);
                    }}
                  >
                    {label}
                  </PickerItem>
                ))
            }
          </Picker>
        </div>
      )}
    </Section>
  );
}
