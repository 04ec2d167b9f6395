import type { SearchAnswer } from '../../core/answer/answer.ts';
import { useTexts } from '../look/texts.tsx';
import { toTop } from './toTop.ts';

const link = 'min-w-8 rounded-md px-2.5 py-1 hover:bg-paper aria-[current]:bg-edge aria-[current]:text-surface';

/** The pages around the present one, the first and the last. */
export function Pages({ answer, go }: { readonly answer: SearchAnswer; go(page: number): void }) {
  const { say, count } = useTexts();
  const last = Math.ceil(answer.total / answer.limit);
  if (last <= 1) return null;
  const near = [1, answer.page - 1, answer.page, answer.page + 1, last];
  const pages = [...new Set(near)].filter((page) => page >= 1 && page <= last).sort((a, b) => a - b);
  return (
    <nav
      part="pages"
      aria-label={say('pages.label')}
      className="mt-3 flex flex-wrap items-center justify-center gap-1 text-[13.5px]"
    >
      {pages.map((page, index) => (
        <span key={page} className="flex items-center gap-1">
          {index > 0 && page - pages[index - 1]! > 1 && <span aria-hidden>…</span>}
          <button
            type="button"
            className={link}
            aria-current={page === answer.page ? 'page' : undefined}
            aria-label={say('pages.page', { page })}
            onClick={({ currentTarget }) => {
              go(page);
              toTop(currentTarget);
            }}
          >
            {count(page)}
          </button>
        </span>
      ))}
    </nav>
  );
}
