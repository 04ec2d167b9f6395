import type { ReactNode } from 'react';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import type { FilterPosition } from '../../core/setup/terms/filterTerms.ts';
import type { PagePiece } from '../../core/setup/terms/pageTerms.ts';
import { arrangedPage, inUsableOrder, type PageRow } from './arrangedPage.ts';
import { useFilterPosition } from './filters/useFilterPosition.ts';
import { PageMain } from './PageMain.tsx';
import { type OnPage, PagePieceOf } from './PagePieceOf.tsx';
import { allParts, type PagePart, PlacedFilters, pageParts, useFiltering } from './pageParts.tsx';
import { useVisit } from './shopperHere.tsx';

/** Where the filters stand beside the results, the room for both. */
const columns: Partial<Record<FilterPosition, string>> = {
  left: 'grid grid-cols-[210px_1fr] gap-7',
  right: 'grid grid-cols-[1fr_210px] gap-7',
};

const isPart = (piece: PagePiece): piece is PagePiece & PagePart => (pageParts as readonly string[]).includes(piece);

/** Pieces that tell of the products, which are of no use where something else stands in their place. */
const ofProducts: ReadonlySet<PagePiece> = new Set(['filters', 'chosen', 'more']);

/** What a search, or a collection, shows: its pieces as the merchandiser put them in order. */
export function ResultsPage({
  data,
  isStale,
  shows = allParts,
}: {
  readonly data: SearchAnswer;
  /** Whether these are still the results of the search before. */
  readonly isStale: boolean;
  readonly shows?: ReadonlySet<PagePart> | undefined;
}) {
  const { search } = useVisit();
  const filtering = useFiltering(data, isStale);
  const position = useFilterPosition(data.filterLayout);
  // Of what stands before any search shoppers are to see the first products, and no more.
  const endsHere =
    data.emptySearch === 'first' &&
    data.query.trim() === '' &&
    !data.collection &&
    Object.keys(search.filters).length === 0;
  const here: OnPage = { data, isStale, filtering, position, endsHere };
  const hasProducts = data.besides.show === null && data.emptyShelf === null;
  const pieces = inUsableOrder(data.pieces, data.layout.way !== 'pages').filter(
    (piece) => (piece === 'results' || !isPart(piece) || shows.has(piece)) && (hasProducts || !ofProducts.has(piece)),
  );
  const { above, beside } = arrangedPage(pieces, columns[position] !== undefined);
  // A page without a heading still has one for those who hear it.
  const heading = !pieces.includes('heading') && <PagePieceOf piece="heading" isHeard {...here} />;
  return (
    <PageMain isBusy={isStale}>
      {heading}
      <Rows rows={above} here={here} />
      {beside.length > 0 && (
        <div className={columns[position]}>
          <div part="filters" className={position === 'right' ? 'order-2' : ''}>
            <PlacedFilters {...filtering} position={position} />
          </div>
          <div className="min-w-0">
            <Rows rows={beside} here={here} />
          </div>
        </div>
      )}
    </PageMain>
  );
}

function Rows({ rows, here }: { readonly rows: readonly PageRow[]; readonly here: OnPage }): ReactNode {
  return rows.map((row) => {
    const [first] = row;
    const pieces = row.map((piece) => <PagePieceOf key={piece} piece={piece} {...here} />);
    if (row.length === 1 && first !== 'count' && first !== 'sorting') return pieces;
    return (
      <div key={row.join()} className="flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1 not-first:mt-2">
        {pieces}
      </div>
    );
  });
}
