import { useTexts } from '../look/texts.tsx';
import { markLists } from '../shopper/marked.ts';
import { listOf } from '../shopper/shopAddress.ts';
import { markIcons } from './Mark.tsx';
import { PlaceLink } from './PlaceLink.tsx';
import { useMarked } from './useMarks.ts';

/** How many products are on each of the shopper's lists, with the way there; nothing of one that is empty. */
export function MarkCounts() {
  const lists = useMarked((marked) => marked.lists);
  const { say, count: written } = useTexts();
  return markLists.map((list) => {
    const count = lists[list].length;
    const Icon = markIcons[list];
    return (
      <p key={list} role="status" aria-label={say(list)} className="flex items-center text-[13.5px] empty:hidden">
        {count > 0 && (
          <PlaceLink to={listOf(list)} className="flex min-h-6 items-center gap-1.5 hover:underline">
            <Icon size={17} aria-hidden />
            <span className="sr-only">{say('products', { count })}</span>
            <b aria-hidden className="tabular-nums">
              {written(count)}
            </b>
          </PlaceLink>
        )}
      </p>
    );
  });
}
