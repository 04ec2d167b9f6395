import { useMemo, useState } from 'react';
import { counted } from '../../../look/price.ts';
import { Choice } from '../../parts/Controls.tsx';
import { RowList } from '../../parts/RowList.tsx';
import { Nothing, Section } from '../../parts/Screen.tsx';
import { useTrial } from '../../state/trial.ts';
import { listSearches, type SearchMade, type SearchOrder, searchOrders } from './listSearches.ts';
import { percent } from './percent.ts';

/** Every search that was made, to look through and to try. */
export function SearchesMade({ searches }: { readonly searches: readonly SearchMade[] }) {
  const search = useTrial((state) => state.search);
  const [contains, setContains] = useState('');
  const [order, setOrder] = useState<SearchOrder>('often');
  const rows = useMemo(() => listSearches(searches, contains, order), [searches, contains, order]);
  return (
    <Section title="Searches" note="Choose one to try it in the shop window.">
      {searches.length === 0 ? (
        <Nothing>Nobody has searched yet.</Nothing>
      ) : (
        <>
          <div className="mb-2 flex flex-wrap items-center gap-2">
            <input
              type="search"
              aria-label="Searches with this text"
              placeholder="Find a search"
              className="min-w-0 flex-1 rounded-md border bg-surface px-2 py-[5px] placeholder:text-soft"
              value={contains}
              onChange={(event) => setContains(event.target.value)}
            />
            <Choice<SearchOrder>
              label="Order of the searches"
              value={order}
              options={Object.entries(searchOrders) as [SearchOrder, string][]}
              change={setOrder}
            />
            <span role="status" className="text-[13px] text-soft">
              {counted(rows.length, 'search', 'searches')}
            </span>
          </div>
          {rows.length === 0 ? (
            <Nothing>No search has “{contains.trim()}”.</Nothing>
          ) : (
            <RowList label={`Searches, ${searchOrders[order]}`} items={rows} rowHeight={44} mostHeight={420}>
              {(row) => (
                <>
                  <button
                    type="button"
                    className="min-w-0 flex-1 truncate text-left font-semibold text-press hover:underline"
                    onClick={() => search(row.search)}
                  >
                    {row.search}
                  </button>
                  <span className="text-right text-[12.5px] text-soft leading-tight">
                    {counted(row.searches, 'time')}
                    <br />
                    {whatCame(row)}
                  </span>
                </>
              )}
            </RowList>
          )}
        </>
      )}
    </Section>
  );
}

function whatCame({ searches, foundNothing, clicked, clickPlace }: SearchMade): string {
  if (foundNothing === searches) return 'found nothing';
  const nothing = foundNothing > 0 ? `, ${percent(foundNothing, searches)} found nothing` : '';
  return `${percent(clicked, searches)} clicked${clickPlace === null ? '' : `, at place ${clickPlace.toFixed(1)}`}${nothing}`;
}
