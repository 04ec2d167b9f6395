import { X } from 'lucide-react';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { price } from '../look/price.ts';

const inWords = new Intl.ListFormat('en-GB');
const quoted = (words: readonly string[]): string => inWords.format(words.map((word) => `“${word}”`));

/** Words of a search in the order in which it has them. */
const asSearched = (words: readonly string[], query: string): string[] => {
  const text = query.toLowerCase();
  return [...words].sort((a, b) => text.indexOf(a) - text.indexOf(b));
};

function priceInWords({ from, to }: NonNullable<SearchAnswer['understood']>, currency: string): string {
  const money = (amount: number): string => price(amount, currency);
  if (from === null) return `up to ${money(to!)}`;
  return to === null ? `${money(from)} or more` : `between ${money(from)} and ${money(to)}`;
}

/** What was understood, each with a way to take it off again. */
function Understood({
  answer: { understood, recognised, shop },
  asWords,
}: {
  readonly answer: SearchAnswer;
  asWords(text: string): void;
}) {
  const narrowing = recognised.filter(({ as }) => as === 'filter');
  if (!understood && narrowing.length === 0) return null;
  const chip = (said: string, label: string, takeOff: () => void) => (
    <li key={said}>
      <button
        type="button"
        className="inline-flex items-center gap-1 rounded-full border border-edge py-[1px] pr-1 pl-2.5 text-ink hover:border-ink"
        title={`Look for “${said}” as words`}
        onClick={takeOff}
      >
        {label}
        <X size={13} aria-label={`: look for “${said}” as words`} />
      </button>
    </li>
  );
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      Understood as
      <ul className="contents">
        {narrowing.map(({ text, named }) =>
          chip(text, named ? `${named.label}: ${named.value}` : text, () => asWords(text)),
        )}
        {understood && chip(understood.text, priceInWords(understood, shop.currency), () => asWords(understood.text))}
      </ul>
    </div>
  );
}

/** What the shop did with the words, told to the shopper: what was understood, corrected, left out, or may be meant. */
export function Notices({
  answer,
  asWords,
  search,
  exactly,
}: {
  readonly answer: SearchAnswer;
  asWords(text: string): void;
  search(query: string): void;
  /** Looks only for what was typed, or as usual again. */
  exactly(is: boolean): void;
}) {
  const { corrections, dropped, results, offers, near, outside, loosened } = answer;
  const typed = answer.query.trim();
  const isTried = [corrections, dropped, loosened].some((list) => list.length > 0) || near !== null || outside !== null;
  // A filter that is only not beside these results is no matter for the shopper.
  const ignoredFilters = answer.ignoredFilters.filter(
    (key) => !answer.filtersNotShown.some((each) => each.key === key),
  );
  return (
    <div className="mt-1 space-y-0.5 text-[13px] text-soft empty:hidden">
      <Understood answer={answer} asWords={asWords} />
      {results.length > 0 && answer.scoped && answer.scoped.wordsOut.length > 0 && (
        <p>Showing what fits best for “{answer.query.trim()}”.</p>
      )}
      {results.length > 0 && answer.takenFor && (
        <p>
          Showing results for <b className="font-semibold text-ink">{answer.takenFor.search}</b> instead of “
          {answer.query.trim()}”.
        </p>
      )}
      {results.length > 0 && outside && <p>Nothing in “{outside.title}” matches. Showing what the whole shop has.</p>}
      {results.length > 0 && near && (
        <p>
          Nothing matches “{typed}”. Showing results for <b className="font-semibold text-ink">{near.search}</b>, which
          is close to it.
        </p>
      )}
      {results.length > 0 && loosened.length > 0 && (
        <p>Nothing fits with {quoted(loosened)} as a filter; it counts as plain words.</p>
      )}
      {results.length > 0 &&
        corrections.map(({ from, to }) => (
          <p key={from}>
            Showing results for <b className="font-semibold text-ink">{to}</b> instead of “{from}”.
          </p>
        ))}
      {results.length > 0 && dropped.length > 0 && (
        <p>Nothing has all these words; {quoted(asSearched(dropped, answer.query))} left out.</p>
      )}
      {offers.length > 0 && (
        <p>
          {corrections.length > 0 ? 'Or did you mean' : 'Did you mean'}{' '}
          {offers.map((offer, at) => (
            <span key={offer}>
              {at > 0 && (at === offers.length - 1 ? ' or ' : ', ')}
              <button type="button" className="text-press underline" onClick={() => search(offer)}>
                {offer}
              </button>
            </span>
          ))}
          ?
        </p>
      )}
      {results.length > 0 && isTried && (
        <p>
          <button type="button" className="text-press underline" onClick={() => exactly(true)}>
            Search only for “{typed}”
          </button>
        </p>
      )}
      {answer.exactly && (
        <p>
          Showing only what has “{typed}” just so.{' '}
          <button type="button" className="text-press underline" onClick={() => exactly(false)}>
            Search as usual
          </button>
        </p>
      )}
      {ignoredFilters.length > 0 && <p>This shop no longer has the filter {quoted(ignoredFilters)}.</p>}
    </div>
  );
}
