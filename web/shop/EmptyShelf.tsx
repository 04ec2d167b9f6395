import type { SearchAnswer } from '../../core/answer/answer.ts';
import { CardBody } from './CardBody.tsx';

/** What a search that finds nothing shows: the merchandiser's message, searches to try, and chosen products. */
export function EmptyShelf({
  shelf,
  search,
}: {
  readonly shelf: NonNullable<SearchAnswer['emptyShelf']>;
  search(query: string): void;
}) {
  return (
    <section className="py-6" aria-label="Nothing found">
      <p className="max-w-prose whitespace-pre-line break-words font-shop text-lg">{shelf.message}</p>
      {shelf.searches.length > 0 && (
        <div className="mt-4 flex flex-wrap items-center gap-2">
          <span className="text-[13px] text-soft">Try</span>
          {shelf.searches.map((text) => (
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
      {shelf.products.length > 0 && (
        <ul
          className="mt-6 grid grid-cols-2 min-[500px]:grid-cols-3 xl:grid-cols-4"
          aria-label="Products to look at instead"
        >
          {shelf.products.map((card) => (
            <li key={card.id} className="flex flex-col">
              <CardBody card={card} />
              <div className="border-edge border-b-4" />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
