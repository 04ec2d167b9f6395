import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { call } from '../../../client/call.ts';
import { useDeskState } from '../../state/deskState.ts';
import { lettersInWords } from './lettersInWords.ts';

/** How soon the box has what shoppers are about to search for, under the draft and as it is published. */
export function LettersNeeded() {
  const { revision } = useDeskState();
  const { data, error, isFetching } = useQuery({
    queryKey: ['desk', 'lettersNeeded', revision],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('lettersNeeded', { signal }),
  });
  if (data?.draft.looked === 0) return null;
  return (
    <p role="status" className="mt-4 rounded-lg bg-press-soft px-3.5 py-2 text-[13.5px]">
      {data
        ? lettersInWords(data.draft, data.live)
        : error
          ? `How soon the box has what shoppers look for could not be worked out. ${error.message}`
          : 'Typing the searches made most …'}
      {data && isFetching && ' Typing them again …'}
    </p>
  );
}
