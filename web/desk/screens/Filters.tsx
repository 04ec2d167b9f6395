import { Plus, X } from 'lucide-react';
import type { AttributeRow } from '../../../api/endpoints.ts';
import type { FilterSetting } from '../../../core/setup/schema.ts';
import { counted } from '../../look/price.ts';
import { IconButton } from '../parts/Button.tsx';
import { Choice, Switch, TextField } from '../parts/Controls.tsx';
import { Loading, LoadProblem, Nothing, ScreenHead, Section, shelfRow } from '../parts/Screen.tsx';
import { SortableList } from '../parts/SortableList.tsx';
import { useAttributes } from '../state/attributes.ts';
import { useChanged } from '../state/changed.ts';
import { useDeskState } from '../state/deskState.ts';
import { edit } from '../state/edits.ts';

const kindNames = { ticks: 'Tick list', single: 'Single choice', range: 'Range from–to' } as const;

/** Kinds that fit an attribute: amounts as a range, values as lists. */
function kindsFor(row: AttributeRow | undefined): FilterSetting['kind'][] {
  if (!row) return ['ticks', 'single', 'range'];
  return row.isNumeric ? ['range'] : ['ticks', 'single'];
}

/** Tune, third screen: what shoppers can narrow their results with. */
export function Filters() {
  const { setup } = useDeskState();
  const { attributes, error, refetch } = useAttributes();
  const changed = useChanged('filters');
  if (error && !attributes) return <LoadProblem error={error} again={refetch} />;
  if (!attributes) return <Loading what="Reading the filters" />;
  const filters = Object.entries(setup.filters)
    .map(([key, filter]) => ({ ...filter, id: key, name: filter.label }))
    .sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1));
  const save = (key: string, filter: FilterSetting): void => void edit({ part: 'filters', key, value: filter });
  const change = ({ id, name: _, ...filter }: (typeof filters)[number], to: Partial<FilterSetting>) =>
    save(id, { ...filter, ...to });
  const free = attributes.filter((row) => row.canFilter && !setup.filters[row.key]);
  return (
    <>
      <ScreenHead title="Filters">
        What shoppers narrow their results with, in the order in which they see it.
      </ScreenHead>
      <Section
        title="In the shop"
        note="Drag into order. Open a filter in the shop window to see its values and counts."
      >
        {filters.length === 0 ? (
          <Nothing>Shoppers have no filters yet. Add one below.</Nothing>
        ) : (
          <SortableList
            label="Filters in the shop, in order"
            items={filters}
            move={(item, from, to) => {
              const order = filters.filter((_, index) => index !== from);
              order.splice(to, 0, item);
              // Only the moved filter changes where there is room between its neighbours.
              const before = order[to - 1]?.order ?? (order[to + 1]?.order ?? 1) - 2;
              const after = order[to + 1]?.order ?? before + 2;
              change(item, { order: (before + after) / 2 });
            }}
          >
            {(item, grip) => {
              const row = attributes.find(({ key }) => key === item.attribute);
              return (
                <div className={`${shelfRow(changed(item.id))} py-1.5 pr-2 pl-2`}>
                  <div className="flex items-center gap-2">
                    {grip}
                    <TextField
                      label={`Label of the filter ${item.label}`}
                      className="min-w-0 flex-1 font-semibold"
                      maxLength={80}
                      value={item.label}
                      change={(label) => change(item, { label })}
                    />
                    <Choice
                      label={`Kind of the filter ${item.label}`}
                      value={item.kind}
                      options={kindsFor(row).map((kind) => [kind, kindNames[kind]] as const)}
                      change={(kind) => change(item, { kind })}
                    />
                    <IconButton
                      label={`Remove the filter ${item.label}`}
                      onClick={() => void edit({ part: 'filters', key: item.id, value: null })}
                    >
                      <X size={15} aria-hidden />
                    </IconButton>
                  </div>
                  <div className="mt-1.5 mb-0.5 flex flex-wrap items-center gap-x-4 gap-y-1 pl-[27px] text-[13px]">
                    <span className={`min-w-0 flex-1 text-soft ${row ? 'truncate' : 'basis-full'}`}>
                      {row ? sourceInWords(row) : goneInWords(item)}
                    </span>
                    {item.kind !== 'range' && (
                      <>
                        <Choice
                          label={`Order of the values of ${item.label}`}
                          value={item.valueOrder}
                          options={[
                            ['count', 'most products first'],
                            ['name', 'by name'],
                          ]}
                          change={(valueOrder) => change(item, { valueOrder })}
                        />
                        <Switch
                          label={`Show counts in ${item.label}`}
                          shown="Counts"
                          isOn={item.counts}
                          change={(counts) => change(item, { counts })}
                        />
                      </>
                    )}
                  </div>
                </div>
              );
            }}
          </SortableList>
        )}
      </Section>
      <Section title="Add a filter" note="From any attribute with values short enough to choose from.">
        <ul className="space-y-[5px]">
          {free.map((row) => (
            <li key={row.key} className={`${shelfRow(false)} flex items-center gap-3 py-1.5 pr-2 pl-3`}>
              <span className="min-w-0 flex-1">
                <span className="font-semibold">{row.label}</span>{' '}
                <span className="text-[12.5px] text-soft">{sourceInWords(row)}</span>
                <span className="block truncate text-[12.5px] text-soft">{row.samples.join(' · ')}</span>
              </span>
              <IconButton
                label={`Add ${row.label} as a filter`}
                onClick={() =>
                  save(row.key, {
                    attribute: row.key,
                    label: row.label,
                    kind: kindsFor(row)[0]!,
                    order: (filters.at(-1)?.order ?? 0) + 1,
                    counts: true,
                    valueOrder: 'count',
                  })
                }
              >
                <Plus size={17} aria-hidden />
              </IconButton>
            </li>
          ))}
        </ul>
      </Section>
    </>
  );
}

const sourceInWords = (row: AttributeRow): string =>
  `${Math.round(row.coverage * 100)}% have it, ${counted(row.values, 'value')}`;

const goneInWords = (filter: FilterSetting): string =>
  `The catalog no longer has the attribute “${filter.attribute}”, so shoppers do not see this filter. It is kept in case it comes back.`;
