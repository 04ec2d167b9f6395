import { ChevronRight, X } from 'lucide-react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import type { FilterAnswer } from '../../../../core/answer/answer.ts';
import type { FilterSetting } from '../../../../core/setup/parts/filters.ts';
import { valueInWords } from '../../../look/filterWords.ts';
import { count } from '../../../look/price.ts';
import { IconButton } from '../../parts/Button.tsx';
import { Nothing, Section, shelfRow } from '../../parts/Screen.tsx';
import { SortableList } from '../../parts/SortableList.tsx';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit, step } from '../../state/edits.ts';
import { kindNames, leavesInWords, warningInWords, whyNotShown } from './filterWords.ts';
import { changeFilter, useFilterWorth, useTrialFilters } from './useFilterData.ts';

export interface ListedFilter extends FilterSetting {
  readonly id: string;
  readonly name: string;
}

/** The draft's filters in the order shoppers see them. */
export function useFilterList(): ListedFilter[] {
  const { setup } = useDeskState();
  return Object.entries(setup.filters)
    .map(([key, filter]) => ({ ...filter, id: key, name: filter.label }))
    .sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1));
}

const sampled = 5;

/** What shoppers see of a filter for the trial search, in a line. */
function sampleOf(answer: FilterAnswer): string {
  if (answer.range) return `${count(Math.floor(answer.range.least))} to ${count(Math.ceil(answer.range.most))}`;
  const shown = answer.values.slice(0, sampled).map((value) => `${valueInWords(answer, value)} ${count(value.count)}`);
  const more = answer.values.length + answer.more - shown.length;
  return shown.join(' · ') + (more > 0 ? ` · ${count(more)} more` : '');
}

/** The filters shoppers have: in order by drag, each with what it shows beside the trial search and what it is worth. */
export function FilterList() {
  const filters = useFilterList();
  const changed = useChanged('filters');
  const { query, answer } = useTrialFilters();
  const { data: worth } = useFilterWorth();
  const remove = async (item: ListedFilter): Promise<void> => {
    await edit({ part: 'filters', key: item.id, value: null });
    toast(`The filter ${item.label} is removed`, { action: { label: 'Undo', onClick: () => void step('undo') } });
  };
  return (
    <Section
      title="In the shop"
      note={`Drag into order, open one to set it up. Beside each: what shoppers see for ${query ? `“${query}”` : 'everything'}.`}
    >
      {filters.length === 0 ? (
        <Nothing>Shoppers have no filters yet. Add one of those proposed below.</Nothing>
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
            changeFilter(item.id, { order: (before + after) / 2 });
          }}
        >
          {(item, grip) => {
            const shown = answer?.filters.find(({ key }) => key === item.id);
            const why = answer?.filtersNotShown.find(({ key }) => key === item.id)?.why;
            const own = worth?.filters.find(({ key }) => key === item.id);
            const warning = own?.warnings[0];
            return (
              <div className={`${shelfRow(changed(item.id))} flex items-center gap-2 py-1.5 pr-2 pl-2`}>
                {grip}
                <Link to={`/filters/${encodeURIComponent(item.id)}`} className="min-w-0 flex-1 hover:text-press">
                  <span className="flex items-baseline gap-2">
                    <span className="shrink-0 font-semibold">{item.label}</span>
                    <span className="truncate text-[12.5px] text-soft">{kindNames[item.kind]}</span>
                    {own && own.shownIn > 0 && (
                      <span
                        className="ml-auto shrink-0 text-[12.5px] text-soft"
                        title={`${leavesInWords(own.leaves)}${worth?.areMadeUp ? ', in searches made up from your catalog' : ''}`}
                      >
                        {own.leaves !== null && `narrows results to ${Math.round(own.leaves * 100)}%`}
                      </span>
                    )}
                  </span>
                  <span className={`block text-[12.5px] ${warning ? 'text-on-changed' : 'truncate text-soft'}`}>
                    {warning
                      ? warningInWords(warning, item.attribute)
                      : shown
                        ? sampleOf(shown)
                        : why
                          ? whyNotShown(why)
                          : ' '}
                  </span>
                </Link>
                <IconButton label={`Remove the filter ${item.label}`} onClick={() => void remove(item)}>
                  <X size={15} aria-hidden />
                </IconButton>
                <ChevronRight size={16} aria-hidden className="text-soft" />
              </div>
            );
          }}
        </SortableList>
      )}
    </Section>
  );
}
