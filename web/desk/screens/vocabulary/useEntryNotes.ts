import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { EntryNote } from '../../../../api/vocabularyEndpoints.ts';
import { call } from '../../../client/call.ts';
import { useDeskState } from '../../state/deskState.ts';

/** What each of some entries does for real searches; asked for together, at most as many as are shown. */
export function useEntryNotes(keys: readonly string[]): ReadonlyMap<string, EntryNote> {
  const { revision } = useDeskState();
  const asked = keys.slice(0, 60);
  const { data } = useQuery({
    queryKey: ['desk', 'vocabulary', revision, asked],
    enabled: asked.length > 0,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('vocabularyNotes', { query: { key: asked }, signal }),
  });
  return new Map(data?.notes.map((note) => [note.key, note]));
}

/** How often shoppers say a word of each entry; asked for only where the list is put in order by it. */
export function useEntryTimes(isWanted: boolean): ReadonlyMap<string, number> {
  const { revision } = useDeskState();
  const { data } = useQuery({
    queryKey: ['desk', 'vocabulary-times', revision],
    enabled: isWanted,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('vocabularyTimes', { signal }),
  });
  return new Map(Object.entries(data?.times ?? {}));
}
