import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { Result } from '../../../../core/answer/answer.ts';
import { call } from '../../../client/call.ts';
import { LoadProblem } from '../../parts/Screen.tsx';
import { useAttributes } from '../../state/attributes.ts';
import { useDeskState } from '../../state/deskState.ts';
import { useTrial } from '../../state/trial.ts';
import { placesInWords } from './placesInWords.ts';

/** What decided a place: the score, a pin, an exact part number, a tie-breaker by its attribute, or the id. */
function decidedBy({ why }: Result): string {
  if (!why) return 'score';
  if (why.pin) return 'pin';
  if (why.exactSku) return 'sku';
  return why.closeCall?.decidedBy ?? 'score';
}

/** Which places of the trial search were decided by relevance and which by which tie-breaker. */
export function DecidedPlaces() {
  const { revision } = useDeskState();
  const query = useTrial((state) => state.query);
  const { attributes } = useAttributes();
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'decided', query, revision],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('deskSearch', { query: { q: query, explain: '1' }, signal }),
  });
  if (error && !data) return <LoadProblem error={error} again={refetch} />;
  if (!data || data.results.length === 0) return null;
  const groups = new Map<string, number[]>();
  for (const result of data.results) {
    const by = decidedBy(result);
    groups.set(by, [...(groups.get(by) ?? []), result.place]);
  }
  const known: Record<string, string> = {
    score: 'Relevance',
    pin: 'A pin',
    sku: 'An exact part number',
    id: 'The id, all else being equal',
    availability: 'In stock',
    margin: 'Margin',
  };
  const name = (by: string): string => known[by] ?? attributes?.find(({ key }) => key === by)?.label ?? by;
  return (
    <div className="mt-3">
      <h3 className="mb-1 text-[13px] text-soft">
        What decided each place for {query ? `“${query}”` : 'everything in the shop'}:
      </h3>
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5 text-[13.5px]">
        {[...groups].map(([by, places]) => (
          <div key={by} className="contents">
            <dt className="font-semibold">{name(by)}</dt>
            <dd>
              {places.length === 1 ? 'place' : 'places'} {placesInWords(places)}
            </dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
