import type { SearchAnswer } from '../../core/answer.ts';
import { price } from '../look/price.ts';

const quoted = (words: readonly string[]): string => words.map((word) => `“${word}”`).join(' and ');

const priceInWords = ({ from, to }: NonNullable<SearchAnswer['understood']>): string => {
  if (from === null) return `up to ${price(to!)}`;
  return to === null ? `${price(from)} or more` : `between ${price(from)} and ${price(to)}`;
};

/** What the shop did with the words, told to the shopper: corrections and words left out. */
export function Notices({ answer, literally }: { readonly answer: SearchAnswer; literally(): void }) {
  const { corrections, dropped, ignoredFilters, results, understood } = answer;
  const isQuiet = corrections.length + dropped.length + ignoredFilters.length === 0 && !understood;
  if ((results.length === 0 && !understood) || isQuiet) return null;
  return (
    <div className="mt-1 space-y-0.5 text-[13px] text-soft">
      {understood && (
        <p>
          Only what costs <b className="font-semibold text-ink">{priceInWords(understood)}</b>.{' '}
          <button type="button" className="text-press underline" onClick={literally}>
            Look for “{understood.text}” as words
          </button>
        </p>
      )}
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
