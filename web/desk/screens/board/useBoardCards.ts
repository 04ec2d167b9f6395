import { hashKey, useQuery } from '@tanstack/react-query';
import { nameOf } from '../../../../core/setup/setupRef.ts';
import type { Device } from '../../../../core/setup/terms/planTerms.ts';
import { call } from '../../../client/call.ts';
import { useDeskState } from '../../state/deskState.ts';
import { usePlace } from '../../state/place.ts';
import { useShopWindow } from '../../state/shopWindow.ts';

/** Cards on a board. */
export const mostCards = 200;

/** The first products of a search or of a collection's page under the draft, as of the moment the window is seen as of. */
export function useBoardCards(asked: {
  readonly query: string;
  readonly collection: string;
  /** What a plan is limited to, so that it holds here. */
  readonly device?: Device | undefined;
  readonly filters?: Readonly<Record<string, readonly string[]>>;
}) {
  const { revision } = useDeskState();
  const { storefront, draft } = usePlace();
  const at = useShopWindow((state) => state.at);
  const { query, collection, device, filters = {} } = asked;
  const key = ['desk', 'board', asked];
  return useQuery({
    queryKey: [...key, revision, at],
    queryFn: ({ signal }) =>
      call('deskSearch', {
        query: {
          ...{ q: query, collection, limit: String(mostCards), movement: '1', from: nameOf({ storefront, draft }) },
          ...(at && { at }),
          ...(device && { device }),
          ...Object.fromEntries(Object.entries(filters).map(([key, values]) => [`f.${key}`, [...values]])),
        },
        signal,
      }),
    // The cards stay until those after an edit have come; another search's are not shown as this one's.
    placeholderData: (before, of) =>
      of && hashKey(of.queryKey.slice(0, key.length)) === hashKey(key) ? before : undefined,
  });
}
