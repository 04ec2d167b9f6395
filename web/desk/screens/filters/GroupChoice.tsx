import { Link, useNavigate } from 'react-router';
import { freeKey } from '../../../../core/setup/freeKey.ts';
import type { ValueGroups } from '../../../../core/setup/parts/valueGroups.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { Section } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import type { OfFilter } from './Looks.tsx';
import { changeFilter, useAttributeValues } from './useFilterData.ts';

const reasons = {
  colour: 'by what the shades look like',
  spelling: 'that differ only in spelling',
  amount: 'that are the same amount',
} as const;

/** Which value groups a filter shows its attribute through, and groups proposed where there are none. */
export function GroupChoice({ filterKey, filter }: OfFilter) {
  const { setup } = useDeskState();
  const go = useNavigate();
  const { data } = useAttributeValues(filter.attribute);
  const own = Object.entries(setup.valueGroups).filter(([, { attribute }]) => attribute === filter.attribute);
  const proposed = data?.groups ?? [];
  const make = (groups: ValueGroups['groups']): void => {
    const key = freeKey(setup.valueGroups, filter.attribute);
    const value: ValueGroups = { name: filter.label, attribute: filter.attribute, groups, rest: 'own' };
    void edit(
      { part: 'valueGroups', key, value },
      { part: 'filters', key: filterKey, value: { ...filter, groups: key } },
    );
    if (groups.length === 0) void go(`/filters/groups/${encodeURIComponent(key)}`);
  };
  const inUse = filter.groups !== undefined && own.some(([key]) => key === filter.groups) ? filter.groups : '';
  return (
    <Section title="Value groups" note="Several values of the catalog shown to shoppers as one.">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2 text-[13.5px]">
        <Choice
          label="Value groups shown"
          value={inUse}
          options={[
            ['', 'as the catalog has them'],
            ...own.map(([key, { name, groups }]) => [key, `${name}: ${counted(groups.length, 'group')}`] as const),
          ]}
          change={(groups) => changeFilter(filterKey, { groups: groups || undefined })}
        />
        {inUse && (
          <Link to={`/filters/groups/${encodeURIComponent(inUse)}`} className="text-press underline">
            Open the groups
          </Link>
        )}
        <Button tone="quiet" onClick={() => make([])}>
          New groups
        </Button>
      </div>
      {!inUse && proposed.length > 0 && (
        <div className="mt-2 flex items-center gap-3 rounded-t-[7px] border-edge border-b-[3px] bg-surface px-3 py-2 text-[13px]">
          <p className="min-w-0 flex-1">
            <b>{counted(proposed.length, 'group')} proposed</b>, joining values {reasons[proposed[0]!.why]}:{' '}
            <span className="text-soft">
              {proposed
                .slice(0, 4)
                .map(
                  ({ label, values }) => `${label} (${values.slice(0, 3).join(', ')}${values.length > 3 ? ' …' : ''})`,
                )
                .join('; ')}
            </span>
          </p>
          <Button tone="strong" onClick={() => make(proposed.map(({ why: _, ...group }) => group))}>
            Use them
          </Button>
        </div>
      )}
    </Section>
  );
}
