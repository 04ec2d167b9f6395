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
    queryFn: ({ signal }) => call('vocabularyNotes', { query: { key: asked as never }, signal }),
  });
  return new Map(data?.notes.map((note) => [note.key, note]));
}
