import { useStore } from 'zustand';
import { CallProblem } from '../client/request.ts';
import { later, useLater } from '../look/later.ts';
import { useTexts } from '../look/texts.tsx';
import { ArticlePage } from './ArticlePage.tsx';
import { BasketPage } from './BasketPage.tsx';
import { ProductPage } from './ProductPage.tsx';
import type { PagePart } from './pageParts.tsx';
import { ResultsPage } from './ResultsPage.tsx';
import { useShopper, useVisit } from './shopperHere.tsx';

/** What shoppers are told of a shop that has nothing to show. */
const nobodyHome = {
  closed: 'shop.closed',
  'no-catalog': 'shop.noCatalog',
  'preview-ended': 'shop.previewEnded',
  'unknown-storefront': 'shop.unknown',
} as const;

/** What a shopper is at: results, or a page of its own. `shows`: what of the results' page; absent, all of it. */
export function ShopPage({ shows }: { readonly shows?: ReadonlySet<PagePart> }) {
  const shopper = useShopper();
  const { place } = useVisit();
  const { data, error, isStale } = useStore(shopper.results);
  const { say } = useTexts();
  if (place?.kind === 'product') return <ProductPage />;
  if (place?.kind === 'article') return <ArticlePage />;
  if (place?.kind === 'basket') return <BasketPage />;
  if (place?.kind === 'list') return <ListPage list={place.id} />;
  if (!data && error instanceof CallProblem && error.code in nobodyHome)
    return (
      <p role="alert" className="m-6 text-soft">
        {say(nobodyHome[error.code as keyof typeof nobodyHome])}
      </p>
    );
  if (!data)
    return error ? (
      <div role="alert" className="m-6 rounded-lg bg-changed-soft p-4 text-on-changed">
        <p>
          {say('results.failed')} {error.message}
        </p>
        <button type="button" className="mt-2 font-semibold underline" onClick={shopper.again}>
          {say('tryAgain')}
        </button>
      </div>
    ) : (
      <Waiting />
    );
  return <ResultsPage data={data} isStale={isStale} shows={shows} />;
}

/** Few shoppers open their lists: what draws them comes when it is wanted. */
const wishPage = later(async () => (await import('./WishPage.tsx')).WishPage);
const comparePage = later(async () => (await import('./ComparePage.tsx')).ComparePage);

function ListPage({ list }: { readonly list: string }) {
  const isCompared = list === 'compare';
  const { value: WishPage } = useLater(wishPage, !isCompared);
  const { value: ComparePage } = useLater(comparePage, isCompared);
  const Page = isCompared ? ComparePage : WishPage;
  return Page ? <Page /> : <Waiting />;
}

function Waiting() {
  const { say } = useTexts();
  return (
    <div className="grid grid-cols-2 gap-4 p-5 sm:grid-cols-3" role="status" aria-label={say('results.waiting')}>
      {['a', 'b', 'c', 'd', 'e', 'f'].map((name) => (
        <div key={name} className="h-48 animate-pulse rounded-md bg-paper" />
      ))}
    </div>
  );
}
