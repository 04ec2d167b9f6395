import { X } from 'lucide-react';
import { useState } from 'react';
import { IconButton } from '../../parts/Button.tsx';
import { Choice, TextField } from '../../parts/Controls.tsx';
import { Section } from '../../parts/Screen.tsx';
import { useCollections } from '../../state/collections.ts';
import type { OfFilter } from './Looks.tsx';
import { changeFilter, useTrialFilters } from './useFilterData.ts';

const everywhere = '';

/** Values that are chosen until the shopper takes them off: everywhere, or in one collection. */
export function Preselected({ filterKey, filter }: OfFilter) {
  const collections = useCollections();
  const { answer } = useTrialFilters();
  const [place, setPlace] = useState(everywhere);
  const { chosen = [] } = filter;
  const shown = answer?.filters.find(({ key }) => key === filterKey);
  const isRange = filter.kind === 'range' || filter.kind === 'slider';
  const collection = place === everywhere ? null : place;
  const here = chosen.find((each) => each.collection === collection)?.values ?? [];
  const set = (of: string | null, values: readonly string[]): void => {
    const others = chosen.filter((each) => each.collection !== of);
    const next = values.length > 0 ? [...others, { collection: of, values: [...values] }] : others;
    changeFilter(filterKey, { chosen: next.length > 0 ? next : undefined });
  };
  const placeName = (id: string | null): string =>
    id === null ? 'Everywhere' : (collections.find((each) => each.id === id)?.title ?? id);
  return (
    <Section title="Preselected" note="Shoppers see these values chosen and can remove them.">
      <ul className="space-y-1 text-[13.5px]">
        {chosen.map((each) => (
          <li key={each.collection ?? everywhere} className="flex items-center gap-2">
            <span className="text-soft">{placeName(each.collection)}:</span> {each.values.join(', ')}
            <IconButton
              label={`Preselect nothing ${placeName(each.collection)}`}
              className="p-1"
              onClick={() => set(each.collection, [])}
            >
              <X size={13} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      <div className="mt-1.5 flex flex-wrap items-center gap-2 text-[13.5px]">
        <Choice
          label="Where values are preselected"
          value={place}
          options={[[everywhere, 'everywhere'], ...collections.map(({ id, title }) => [id, `in ${title}`] as const)]}
          change={setPlace}
        />
        {isRange ? (
          <TextField
            label="Range preselected"
            placeholder="5..20"
            className="w-28"
            mayBeEmpty
            value={here[0] ?? ''}
            change={(text) => set(collection, /^-?[\d.]*\.\.-?[\d.]*$/.test(text) && text !== '..' ? [text] : [])}
          />
        ) : (
          <Choice
            label="Value preselected"
            value=""
            options={[
              ['', 'choose a value'],
              ...(shown?.values ?? [])
                .filter(({ value }) => !here.includes(value))
                .map(({ value, label }) => [value, label] as const),
            ]}
            change={(value) => value && set(collection, [...here, value])}
          />
        )}
      </div>
    </Section>
  );
}
