import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import type { Card, SearchAnswer } from '../../core/answer/answer.ts';
import { useTexts } from '../look/texts.tsx';
import { CardShelf } from './CardShelf.tsx';
import { CompanionShelf } from './CompanionShelf.tsx';
import { Offered, OfferedLink, useSentOn } from './Elsewhere.tsx';
import { ArticleLink, Collections } from './Reading.tsx';
import { useShopper } from './shopperHere.tsx';

type Shelf = NonNullable<SearchAnswer['emptyShelf']>;

/** What a search that finds nothing shows: what the merchandiser says, and ways to go on. */
export function EmptyShelf({
  shelf,
  isInDesk,
  isPlain,
  search,
  openCollection,
}: {
  readonly shelf: Shelf;
  readonly isInDesk: boolean;
  /** Whether this is what a search shows at first, and not what one before showed. */
  readonly isPlain: boolean;
  search(query: string): void;
  openCollection(id: string): void;
}) {
  const { say } = useTexts();
  const { message, tips, searches, products, bestSellers, newest, collection, articles, link, unavailable } = shelf;
  return (
    <section className="py-6" aria-label={say('shelf.label')}>
      {link !== null && <Sent link={link} isInDesk={isInDesk} isPlain={isPlain} />}
      {unavailable && (
        <>
          <p className="font-shop text-lg">{say('shelf.unavailable', { number: unavailable.partNumber })}</p>
          <Cards cards={unavailable.alternatives} title={say('shelf.instead')} />
        </>
      )}
      {message !== '' && !unavailable && (
        <p className="max-w-prose whitespace-pre-line break-words font-shop text-lg">{message}</p>
      )}
      {tips.length > 0 && (
        <ul className="mt-2.5 max-w-prose list-disc space-y-0.5 ps-5 text-[14px]" aria-label={say('shelf.tips')}>
          {tips.map((tip) => (
            <li key={tip} className="break-words">
              {tip}
            </li>
          ))}
        </ul>
      )}
      {searches.length > 0 && (
        <div className="mt-4 flex flex-wrap items-center gap-2">
          <span className="text-[13px] text-soft">{say('shelf.try')}</span>
          {searches.map((text) => (
            <button
              key={text}
              type="button"
              onClick={() => search(text)}
              className="rounded-full border border-line px-3 py-1 text-[13px] hover:border-edge"
            >
              {text}
            </button>
          ))}
        </div>
      )}
      {collection && (
        <div className="mt-3">
          <Collections collections={[collection]} open={openCollection} />
        </div>
      )}
      {articles.length > 0 && <ArticleLinks articles={articles} />}
      <Cards cards={products} title={say('shelf.products')} />
      <Cards cards={bestSellers} title={say('shelf.bestSellers')} />
      <Cards cards={newest} title={say('shelf.newest')} />
      <OfVisit />
    </section>
  );
}

/** What goes with what is in the basket and was opened last; nothing for who just came. */
function OfVisit() {
  const { createBeside, basket, opened } = useShopper();
  const { say } = useTexts();
  const [beside] = useState(() => createBeside('emptyShelf'));
  useEffect(() => {
    const ids = [...new Set([...Object.keys(basket.getState().items), ...opened.list()])];
    if (ids.length > 0) beside.ask(ids);
    return beside.stop;
  }, [beside, basket, opened]);
  const cards = useStore(beside.state, ({ data }) => data?.companions);
  return <CompanionShelf title={say('shelf.companions')} cards={cards ?? []} />;
}

/** Where shoppers are sent: a page of the shop opens at once, any other address is offered; at the desk it is only told. */
function Sent({
  link: given,
  isInDesk,
  isPlain,
}: {
  readonly link: string;
  readonly isInDesk: boolean;
  readonly isPlain: boolean;
}) {
  const link = useSentOn(given, !isInDesk && isPlain);
  if (link === '') return null;
  return (
    <p className="mb-3 rounded-md bg-press-soft px-3 py-2 text-[13.5px]">
      {isInDesk ? (
        <>
          Shoppers are sent to <OfferedLink link={link} />
        </>
      ) : (
        <Offered link={link} />
      )}
    </p>
  );
}

function ArticleLinks({ articles }: { readonly articles: Shelf['articles'] }) {
  const { say } = useTexts();
  return (
    <ul className="mt-4 space-y-1 text-[14px]" aria-label={say('articles')}>
      {articles.map((article) => (
        <li key={article.id}>
          <ArticleLink {...article} className="text-press underline" />
        </li>
      ))}
    </ul>
  );
}

const Cards = ({ cards, title }: { readonly cards: readonly Card[]; readonly title: string }) => (
  <CardShelf title={title} cards={cards} className="mt-6" heading="text-[17px]" />
);
