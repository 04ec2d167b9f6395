import { X } from 'lucide-react';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { type Texts, useTexts } from '../look/texts.tsx';

/** Words of a search in the order in which it has them. */
const asSearched = (words: readonly string[], query: string): string[] => {
  const text = query.toLowerCase();
  return [...words].sort((a, b) => text.indexOf(a) - text.indexOf(b));
};

function priceInWords({ from, to }: NonNullable<SearchAnswer['understood']>, currency: string, texts: Texts): string {
  const money = (amount: number): string => texts.money(amount, currency);
  if (from === null) return texts.say('price.upTo', { amount: money(to!) });
  return to === null
    ? texts.say('price.from', { amount: money(from) })
    : texts.say('price.between', { from: money(from), to: money(to) });
}

/** What was understood, each with a way to take it off again. */
function Understood({
  answer: { understood, recognised, shop },
  asWords,
}: {
  readonly answer: SearchAnswer;
  asWords(text: string): void;
}) {
  const texts = useTexts();
  const narrowing = recognised.filter(({ as }) => as === 'filter');
  if (!understood && narrowing.length === 0) return null;
  const chip = (said: string, label: string, takeOff: () => void) => (
    <li key={said}>
      <button
        type="button"
        className="inline-flex items-center gap-1 rounded-full border border-edge py-[1px] ps-2.5 pe-1 text-ink hover:border-ink"
        title={texts.say('notice.asWords', { words: said })}
        onClick={takeOff}
      >
        {label}
        <X size={13} aria-label={`: ${texts.say('notice.asWords', { words: said })}`} />
      </button>
    </li>
  );
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      {texts.say('notice.understood')}
      <ul className="contents">
        {narrowing.map(({ text, named }) =>
          chip(text, named ? `${named.label}: ${named.value}` : text, () => asWords(text)),
        )}
        {understood &&
          chip(understood.text, priceInWords(understood, shop.currency, texts), () => asWords(understood.text))}
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
  const texts = useTexts();
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
        <p>{texts.say('notice.best', { search: typed })}</p>
      )}
      {results.length > 0 && answer.takenFor && (
        <p>{texts.rich('notice.instead', { shown: answer.takenFor.search, search: typed })}</p>
      )}
      {results.length > 0 && outside && <p>{texts.say('notice.outside', { title: outside.title })}</p>}
      {results.length > 0 && near && <p>{texts.rich('notice.near', { search: typed, shown: near.search })}</p>}
      {results.length > 0 && loosened.length > 0 && (
        <p>{texts.say('notice.loosened', { words: texts.quoted(loosened) })}</p>
      )}
      {results.length > 0 &&
        corrections.map(({ from, to }) => (
          <p key={from}>{texts.rich('notice.instead', { shown: to, search: from })}</p>
        ))}
      {results.length > 0 && dropped.length > 0 && (
        <p>{texts.say('notice.dropped', { words: texts.quoted(asSearched(dropped, answer.query)) })}</p>
      )}
      {offers.length > 0 && (
        <p>
          {texts.rich(corrections.length > 0 ? 'notice.orMeant' : 'notice.meant', {
            offers: texts.anyOf(
              offers.map((offer) => ({
                key: offer,
                shown: (
                  <button type="button" className="text-press underline" onClick={() => search(offer)}>
                    {offer}
                  </button>
                ),
              })),
            ),
          })}
        </p>
      )}
      {results.length > 0 && isTried && (
        <p>
          <button type="button" className="text-press underline" onClick={() => exactly(true)}>
            {texts.say('notice.exactly', { search: typed })}
          </button>
        </p>
      )}
      {answer.exactly && (
        <p>
          {texts.say('notice.isExact', { search: typed })}{' '}
          <button type="button" className="text-press underline" onClick={() => exactly(false)}>
            {texts.say('notice.usual')}
          </button>
        </p>
      )}
      {ignoredFilters.length > 0 && <p>{texts.say('notice.filterGone', { words: texts.quoted(ignoredFilters) })}</p>}
    </div>
  );
}
