import { useEffect, useRef, useState } from 'react';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { mostBelow, timesByItself } from '../../core/setup/terms/layoutTerms.ts';
import { useTexts } from '../look/texts.tsx';

/**
 * More of the results below those shown: by a button, or by itself as the shopper comes to it, a few times, so that what is
 * below the results can be reached.
 */
export function MoreBelow({
  answer,
  isStale,
  go,
}: {
  readonly answer: SearchAnswer;
  readonly isStale: boolean;
  go(page: number): void;
}) {
  const { say } = useTexts();
  const { total, page, limit, layout, results } = answer;
  const end = useRef<HTMLDivElement>(null);
  const [times, setTimes] = useState(0);
  const hasMore = results.length < total && (page + 1) * limit <= mostBelow;
  const byItself = layout.way === 'endless' && times < timesByItself && !isStale && hasMore;
  // Another search begins anew.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the search is what is watched
  useEffect(() => setTimes(0), [answer.query, answer.collection?.id]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the way to go is read, not watched
  useEffect(() => {
    if (!byItself || !end.current) return;
    const observer = new IntersectionObserver(
      ([seen]) => {
        if (!seen?.isIntersecting) return;
        setTimes((before) => before + 1);
        go(page + 1);
      },
      { rootMargin: '300px' },
    );
    observer.observe(end.current);
    return () => observer.disconnect();
  }, [byItself, page]);
  if (total <= limit) return null;
  return (
    <div ref={end} className="mt-4 flex flex-col items-center gap-2">
      <p className="text-[13px] text-soft">{say('more.shown', { shown: results.length, total })}</p>
      {hasMore && (
        <button
          type="button"
          disabled={isStale}
          className="rounded-lg border border-line px-4 py-1.5 font-semibold hover:border-edge disabled:opacity-55"
          onClick={() => {
            setTimes(0);
            go(page + 1);
          }}
        >
          {say('more.show')}
        </button>
      )}
    </div>
  );
}
