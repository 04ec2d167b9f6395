import { ChevronLeft } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { availability } from '../../../../core/catalog/standardColumns.ts';
import type { FilterSetting } from '../../../../core/setup/parts/filters.ts';
import { Nothing, ScreenHead } from '../../parts/Screen.tsx';
import { useAttributes } from '../../state/attributes.ts';
import { warningInWords, whyNotShown } from './filterWords.ts';
import { GroupChoice } from './GroupChoice.tsx';
import { Looks } from './Looks.tsx';
import { OtherNames } from './OtherNames.tsx';
import { Places } from './Places.tsx';
import { Preselected } from './Preselected.tsx';
import { Ranges } from './Ranges.tsx';
import { useFilter, useFilterWorth, useTrialFilters } from './useFilterData.ts';
import { Values } from './Values.tsx';

/** A way back to the list. */
export function BackToFilters({ children = 'Filters' }: { readonly children?: ReactNode }) {
  return (
    <Link to="/filters" className="mb-1 inline-flex items-center gap-1 text-[13px] text-press hover:underline">
      <ChevronLeft size={14} aria-hidden /> {children}
    </Link>
  );
}

const listed = (kind: FilterSetting['kind']): boolean =>
  ['ticks', 'single', 'dropdown', 'swatches', 'tiles', 'tree'].includes(kind);

/** Everything about one filter. */
export function FilterPage() {
  const { key, filter } = useFilter();
  const { attributes } = useAttributes();
  const { answer } = useTrialFilters();
  const { data: worth } = useFilterWorth();
  if (!filter)
    return (
      <>
        <BackToFilters />
        <ScreenHead title="A filter">What shoppers narrow their results with.</ScreenHead>
        <Nothing>This filter is gone: somebody removed it, or a step was taken back.</Nothing>
      </>
    );
  const row = attributes?.find((each) => each.key === filter.attribute);
  const own = worth?.filters.find((each) => each.key === key);
  const why = answer?.filtersNotShown.find((each) => each.key === key)?.why;
  return (
    <>
      <BackToFilters />
      <ScreenHead title={filter.label}>
        Made from {row ? `“${row.label}”` : `“${filter.attribute}”, which the catalog does not have`}
        {filter.prefix && `, values that begin with “${filter.prefix}”`}
        {why && <>; {whyNotShown(why)}</>}.
        {filter.attribute === availability.key &&
          ' A product is in stock when at least one of its variants is, and sold out when none is.'}
      </ScreenHead>
      {own?.warnings.map((warning) => (
        <p key={warning.what} className="mb-2 rounded-lg bg-changed-soft px-3 py-2 text-[13.5px] text-on-changed">
          {warningInWords(warning, filter.attribute)}
        </p>
      ))}
      <Looks filterKey={key} filter={filter} attribute={row} />
      {filter.kind === 'bands' && <Ranges filterKey={key} filter={filter} isDate={row?.kind === 'date'} />}
      {listed(filter.kind) && filter.kind !== 'tree' && filter.prefix === undefined && (
        <GroupChoice filterKey={key} filter={filter} />
      )}
      {listed(filter.kind) && <Values filterKey={key} filter={filter} />}
      <Places filterKey={key} filter={filter} />
      <Preselected filterKey={key} filter={filter} />
      <OtherNames filterKey={key} filter={filter} />
    </>
  );
}
