import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { Card } from '../../../../core/answer/answer.ts';
import { nameOf } from '../../../../core/setup/setupRef.ts';
import { call } from '../../../client/call.ts';
import { useDeskState } from '../../state/deskState.ts';
import { usePlace } from '../../state/place.ts';
import { useTrial } from '../../state/trial.ts';

/** Products looked through for one of each card. */
const looked = 48;

/** How much of what may be on a card a product has. */
const filled = ({ brand, details, text, choices, formerPrice, rating, ratings }: Card): number =>
  [brand, details.length > 0, text, choices, formerPrice, rating, ratings].filter(Boolean).length;

/** The product of the trial search that has most of what may be on its card, by the card of its own that it has or, with undefined, the usual one; null where none is found, undefined before they come. */
export function useExampleCards(): (ownCard: string | undefined) => Card | null | undefined {
  const { revision } = useDeskState();
  const { storefront, draft } = usePlace();
  const query = useTrial((state) => state.query);
  const { data } = useQuery({
    queryKey: ['desk', 'example cards', query, storefront, draft, revision],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) =>
      call('deskSearch', {
        query: { q: query, limit: String(looked), from: nameOf({ storefront, draft }) },
        signal,
      }),
  });
  return (ownCard) =>
    data && (data.results.filter((each) => each.ownCard === ownCard).sort((a, b) => filled(b) - filled(a))[0] ?? null);
}
