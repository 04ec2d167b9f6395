import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { deviceOf } from '../../../core/setup/terms/planTerms.ts';
import { isLanguage } from '../../../core/text/languages.ts';
import { call } from '../../client/call.ts';
import { isPreview } from '../../client/place.ts';
import type { DeskView } from '../useDesk.ts';

/** A pause in typing after which the box is asked for, in milliseconds; nothing typed is asked for at once. */
const pause = 90;
/** How long an answer may be shown again without being asked for, in milliseconds. */
const fresh = 60_000;

/** The text once the hand has paused. */
function useSettled(text: string): string {
  const [settled, setSettled] = useState(text);
  useEffect(() => {
    if (text.trim() === '') setSettled(text);
    else {
      const timer = setTimeout(() => setSettled(text), pause);
      return () => clearTimeout(timer);
    }
  }, [text]);
  return settled;
}

/**
 * What hangs under the box for a text. Every text is a question of its own, asked for once and cancelled when another is
 * typed, so that an answer to an older text never takes a newer one's place; until an answer comes the last one stays.
 */
export function useBox(
  text: string,
  {
    isOpen,
    desk,
    isInDesk,
    language,
  }: {
    readonly isOpen: boolean;
    readonly desk: DeskView | null;
    readonly isInDesk: boolean;
    readonly language: string;
  },
) {
  const settled = useSettled(text);
  return useQuery({
    queryKey: ['box', settled, language, desk?.from ?? 'shop', desk?.turn ?? 0, desk?.at ?? ''],
    enabled: isOpen && (!isInDesk || desk !== null),
    placeholderData: keepPreviousData,
    staleTime: fresh,
    retry: false,
    queryFn: ({ signal }) => {
      const query = { q: settled, device: deviceOf(window.innerWidth), ...(isLanguage(language) && { language }) };
      return desk
        ? call('deskSuggest', { query: { ...query, from: desk.from, ...(desk.at && { at: desk.at }) }, signal })
        : call(isPreview() ? 'previewSuggest' : 'shopSuggest', { query, signal });
    },
  });
}
