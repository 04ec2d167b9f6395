import type { SearchAnswer } from '../../core/answer.ts';

const quoted = (words: readonly string[]): string => words.map((word) => `“${word}”`).join(' and ');

/** What the shop did with the words, told to the shopper: corrections and words left out. */
export function Notices({ answer }: { readonly answer: SearchAnswer }) {
  const { corrections, dropped, ignoredFilters, results } = answer;
  if (results.length === 0 || corrections.length + dropped.length + ignoredFilters.length === 0) return null;
  return (
    <div className="mt-1 space-y-0.5 text-[13px] text-soft">
      {corrections.map(({ from, to }) => (
        <p key={from}>
          Showing what says <b className="font-semibold text-ink">{to}</b> instead of “{from}”.
        </p>
      ))}
      {dropped.length > 0 && <p>Nothing has all these words; {quoted(dropped)} left out.</p>}
      {ignoredFilters.length > 0 && <p>This shop no longer has the filter {quoted(ignoredFilters)}.</p>}
    </div>
  );
}
