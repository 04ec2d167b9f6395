import { levelsOf } from '../../../../core/catalog/levels.ts';
import type { FilterPlaces } from '../../../../core/setup/parts/filters.ts';
import { Chip } from '../../parts/Chip.tsx';
import { CollectionChips } from '../../parts/CollectionChips.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { Picker, PickerItem } from '../../parts/Picker.tsx';
import { Section } from '../../parts/Screen.tsx';
import { SearchChips } from '../../parts/SearchChips.tsx';
import { useAttributes } from '../../state/attributes.ts';
import { useFilterList } from './FilterList.tsx';
import { Line, type OfFilter } from './Looks.tsx';
import { changeFilter, useAttributeValues } from './useFilterData.ts';

const nowhere: FilterPlaces = { collections: [], searches: [], values: [] };

/** What is chosen already, each with a way to take it off. */
function Chips({
  items,
  remove,
}: {
  readonly items: readonly { id: string; name: string }[];
  remove(id: string): void;
}) {
  return items.map(({ id, name }) => (
    <Chip key={id} takeOff={`Take ${name} off`} remove={() => remove(id)}>
      {name}
    </Chip>
  ));
}

/** Where a filter is shown: everywhere, or only in some places; and what must be chosen first. */
export function Places({ filterKey, filter }: OfFilter) {
  const filters = useFilterList();
  const where = filter.where ?? nowhere;
  const set = (to: Partial<FilterPlaces>): void => {
    const next = { ...where, ...to };
    const isEmpty = next.collections.length + next.searches.length + next.values.length === 0;
    changeFilter(filterKey, { where: isEmpty ? undefined : next });
  };
  const others = filters.filter(({ id }) => id !== filterKey);
  const circle = waitsFor(filters, filterKey);
  return (
    <Section
      title="Where"
      note={filter.where ? 'Shown where any of these holds.' : 'Shown everywhere, as nothing is named here.'}
    >
      <Line name="Collections">
        <CollectionChips label="Add" chosen={where.collections} change={(collections) => set({ collections })} />
      </Line>
      <Line name="Searches">
        <SearchChips
          label="Searches it is shown for"
          searches={where.searches}
          change={(searches) => set({ searches })}
        />
      </Line>
      <Line name="Where at least half of the results have">
        <Chips
          items={where.values.map(({ attribute, value }) => ({ id: `${attribute}\n${value}`, name: value }))}
          remove={(id) => set({ values: where.values.filter((each) => `${each.attribute}\n${each.value}` !== id) })}
        />
        <ValuePicker add={(attribute, value) => set({ values: [...where.values, { attribute, value }] })} />
      </Line>
      <Line name="Shown after a choice in">
        <Choice
          label="The filter that must have a choice first"
          value={filter.after ?? ''}
          options={[['', 'no other filter'], ...others.map(({ id, label }) => [id, label] as const)]}
          change={(after) => changeFilter(filterKey, { after: after || undefined })}
        />
        {circle && <span className="text-on-changed">These wait for each other, so neither is ever shown.</span>}
      </Line>
    </Section>
  );
}

/** Whether filters wait for each other in a circle. */
function waitsFor(filters: readonly { id: string; after?: string | undefined }[], key: string): boolean {
  const seen = new Set<string>();
  for (let at: string | undefined = key; at !== undefined; at = filters.find(({ id }) => id === at)?.after) {
    if (seen.has(at)) return true;
    seen.add(at);
  }
  return false;
}

/** A value of a category, brand or kind, of which most results must be. */
function ValuePicker({ add }: { add(attribute: string, value: string): void }) {
  const { attributes = [] } = useAttributes();
  const rows = attributes.filter((row) => row.canFilter && row.values <= 500);
  const attribute = rows.find(({ kind }) => kind === 'path') ?? rows.find(({ key }) => key === 'kind') ?? rows[0];
  const { data } = useAttributeValues(attribute?.key ?? 'category');
  if (!attribute) return null;
  const values = data?.values.map(({ value }) => value) ?? [];
  // Each level of a path can be named, not only its end.
  const levels = [...new Set(values.flatMap(levelsOf))].sort();
  return (
    <Picker label={`Add a value of ${attribute.label}`} find={attribute.label} placeholder="Type a value">
      {(typed, close) =>
        levels
          .filter((value) => value.toLowerCase().includes(typed.toLowerCase()))
          .slice(0, 80)
          .map((value) => (
            <PickerItem
              key={value}
              value={value}
              isChosen={false}
              choose={() => {
                close();
                add(attribute.key, value);
              }}
            >
              {value}
            </PickerItem>
          ))
      }
    </Picker>
  );
}
