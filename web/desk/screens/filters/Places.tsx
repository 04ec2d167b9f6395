import { Plus } from 'lucide-react';
import { useLayoutEffect, useRef, useState } from 'react';
import type { FilterPlaces } from '../../../../core/setup/parts/filters.ts';
import type { Condition } from '../../../../core/setup/terms/condition.ts';
import { Button } from '../../parts/Button.tsx';
import { CollectionChips } from '../../parts/CollectionChips.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { ConditionEditor } from '../../parts/condition/ConditionEditor.tsx';
import { ConditionMet } from '../../parts/condition/ConditionMet.tsx';
import { Section } from '../../parts/Screen.tsx';
import { SearchChips } from '../../parts/SearchChips.tsx';
import { useFilterList } from './FilterList.tsx';
import { Line, type OfFilter } from './Looks.tsx';
import { changeFilter } from './useFilterData.ts';

const nowhere: FilterPlaces = { collections: [], searches: [] };

/** Where a filter is shown: everywhere, or only in some places; and what must be chosen first. */
export function Places({ filterKey, filter }: OfFilter) {
  const filters = useFilterList();
  const where = filter.where ?? nowhere;
  const set = (to: { [Field in keyof FilterPlaces]?: FilterPlaces[Field] | undefined }): void => {
    const { mostly, ...next } = { ...where, ...to };
    const isEmpty = next.collections.length + next.searches.length === 0 && !mostly;
    changeFilter(filterKey, { where: isEmpty ? undefined : { ...next, ...(mostly && { mostly }) } });
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
      <Mostly condition={where.mostly ?? null} change={(mostly) => set({ mostly })} />
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

/** What at least half of the results must be for it to be shown. */
function Mostly({
  condition,
  change,
}: {
  readonly condition: Condition | null;
  change(condition: Condition | undefined): void;
}) {
  const [isBegun, setBegun] = useState(false);
  const isOpen = condition !== null || isBegun;
  const begin = useRef<HTMLButtonElement>(null);
  /** Whether it was closed just now: whoever did it by keyboard goes on where it is begun again. */
  const isLeft = useRef(false);
  useLayoutEffect(() => {
    if (isLeft.current && !isOpen) begin.current?.focus();
    if (!isOpen) isLeft.current = false;
  }, [isOpen]);
  return (
    <div className="py-1 text-[13.5px]">
      <p className="mb-1 text-[13px] text-soft">Where for at least half of the results holds</p>
      {isOpen ? (
        <div className="space-y-2">
          <ConditionEditor value={condition} change={change} />
          {condition && <ConditionMet condition={condition} />}
          <Button
            className="py-1 text-[13px]"
            onClick={() => {
              isLeft.current = true;
              setBegun(false);
              if (condition) change(undefined);
            }}
          >
            Ask for nothing of the results
          </Button>
        </div>
      ) : (
        <Button ref={begin} className="py-1 text-[13px]" onClick={() => setBegun(true)}>
          <Plus size={14} aria-hidden /> Say what
        </Button>
      )}
    </div>
  );
}
