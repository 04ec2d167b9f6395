import { keepPreviousData, queryOptions, useQuery } from '@tanstack/react-query';
import type { contentEndpoints } from '../../../api/contentEndpoints.ts';
import type { AnswerOf } from '../../../api/endpoint.ts';
import { call } from '../../client/call.ts';
import { useDeskState } from './deskState.ts';
import { clientHere } from './queryClient.ts';

/** Articles and collections under the draft, asked for anew when it changes. */
export const contentList = (revision: number) =>
  queryOptions({
    queryKey: ['desk', 'content', revision],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('content', { signal }),
  });

/** What a collection is called as far as it was read; its id where it was not. */
export function collectionTitle(id: string): string {
  const lists = clientHere().getQueriesData<AnswerOf<(typeof contentEndpoints)['content']>>({
    queryKey: ['desk', 'content'],
  });
  const known = lists.flatMap(([, list]) => list?.collections ?? []).find((each) => each.id === id);
  return known?.title ?? id;
}

/** Names collections in sentences. */
export function useCollectionNames(): (id: string) => string {
  const known = useCollections();
  return (id) => `“${known.find((each) => each.id === id)?.title ?? id}”`;
}

/** The shop's collections. */
export function useCollections() {
  const { revision } = useDeskState();
  const { data } = useQuery(contentList(revision));
  return data?.collections ?? [];
}
