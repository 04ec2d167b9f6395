import { Link } from 'react-router';
import { count, counted } from '../../../look/price.ts';
import { RowList } from '../../parts/RowList.tsx';
import { Loading, LoadProblem, Nothing, Section } from '../../parts/Screen.tsx';
import { useTrial } from '../../state/trial.ts';
import { useFilterList } from './FilterList.tsx';
import { useFilterWorth } from './useFilterData.ts';

/** A filter whose choices leave more than this share helps nobody. */
const useless = 0.97;

/** What the filters do beside the searches made most: which are shown, which never help, which searches have none. */
export function Worth() {
  const filters = useFilterList();
  const search = useTrial((state) => state.search);
  const { data, error, refetch } = useFilterWorth();
  const label = (key: string): string => filters.find(({ id }) => id === key)?.label ?? key;
  if (error && !data)
    return (
      <Section title="What they do">
        <LoadProblem error={error} again={refetch} />
      </Section>
    );
  if (!data)
    return (
      <Section title="What they do">
        <Loading what="Trying the filters on your shoppers’ searches" />
      </Section>
    );
  const found = data.searches.filter(({ total }) => total > 0);
  const without = found.filter(({ shown, total }) => total > 1 && shown.length === 0);
  const idle = data.filters.filter(({ shownIn, leaves }) => shownIn === 0 || (leaves !== null && leaves > useless));
  const alike = data.filters.filter((filter) => filter.alike.length > 0);
  return (
    <Section
      title="What they do"
      note={`For the ${counted(found.length, 'most frequent search', 'most frequent searches')} that find something.`}
    >
      <ul className="space-y-1 text-[13.5px]">
        {idle.length > 0 && (
          <li>
            <b>Never useful</b>: {idle.map(({ key }) => label(key)).join(', ')}: beside these searches{' '}
            {idle.length === 1 ? 'it is' : 'they are'} not shown, or a choice narrows almost nothing.
          </li>
        )}
        {alike.map(({ key, alike: sets }) => (
          <li key={key}>
            <b>{label(key)}</b> shows values nobody could tell apart:{' '}
            {sets
              .slice(0, 3)
              .map((set) => set.map((value) => `“${value}”`).join(' and '))
              .join('; ')}
            {sets.length > 3 && ` and ${counted(sets.length - 3, 'more set')}`}.{' '}
            <Link to={`/filters/${encodeURIComponent(key)}`} className="text-press underline">
              Group them
            </Link>
          </li>
        ))}
        <li>
          {without.length === 0 ? (
            'Every one of these searches has a filter beside its results.'
          ) : (
            <>
              <b>{counted(without.length, 'search', 'searches')} without a filter</b>:{' '}
              {without.slice(0, 6).map((each, at) => (
                <span key={each.search}>
                  {at > 0 && ', '}
                  <button type="button" className="text-press underline" onClick={() => search(each.search)}>
                    {each.search}
                  </button>
                </span>
              ))}
              .
            </>
          )}
        </li>
      </ul>
      {found.length === 0 ? (
        <Nothing>No search is known yet. Import a shopper log under Demand.</Nothing>
      ) : (
        <div className="mt-3">
          <RowList label="Searches and their filters" items={found} rowHeight={48} mostHeight={300}>
            {(each) => (
              <>
                <button
                  type="button"
                  className="w-36 shrink-0 truncate text-left font-semibold hover:text-press"
                  title="Try this search in the shop window"
                  onClick={() => search(each.search)}
                >
                  {each.search}
                  <span className="block font-normal text-[12px] text-soft">{counted(each.total, 'product')}</span>
                </button>
                <span className="line-clamp-2 min-w-0 flex-1 text-[12.5px] text-soft">
                  {each.shown.length === 0
                    ? 'no filter'
                    : each.shown
                        .map(({ key, leaves }) =>
                          leaves === null ? label(key) : `${label(key)} ${Math.round(leaves * 100)}%`,
                        )
                        .join(' · ')}
                </span>
                <span className="shrink-0 text-[12px] text-soft">{count(each.searches)} times</span>
              </>
            )}
          </RowList>
          <p className="mt-1 text-[12.5px] text-soft">“20%” means that a choice narrows results to 20% on average.</p>
        </div>
      )}
    </Section>
  );
}
