import { useEffect } from 'react';
import { taxInWords } from '../../core/setup/terms/taxInWords.ts';
import { CallProblem } from '../client/call.ts';
import { day } from '../look/dates.ts';
import { ArticlePage } from './ArticlePage.tsx';
import { ProductPage } from './ProductPage.tsx';
import { ResultsPage } from './ResultsPage.tsx';
import { ShopHeader } from './ShopHeader.tsx';
import { type Shopper, useShopper } from './useShopper.ts';

/** The shop: the page a shopper uses, and the very same page in the desk's window. */
export function Shop() {
  const shopper = useShopper();
  const results = shopper.results.data;
  const name = results?.shop.name;
  const tax = results ? taxInWords(results.shop) : null;
  useEffect(() => {
    if (name) document.title = name;
  }, [name]);
  const preview = (results as { preview?: { name: string; endsAt: string } } | undefined)?.preview;
  return (
    <div className="flex min-h-full flex-col bg-surface text-ink">
      {preview && (
        <p className="bg-changed-soft px-4 py-1.5 text-center text-[13px] text-on-changed">
          A preview of “{preview.name}”, until {day(preview.endsAt)}. Nothing here is live, and nothing is noted.
        </p>
      )}
      <ShopHeader shopper={shopper} />
      <Page shopper={shopper} />
      {tax && <footer className="border-line border-t px-5 py-3 text-[13px] text-soft">{tax}.</footer>}
    </div>
  );
}

/** What shoppers are told of a shop that has nothing to show. */
const nobodyHome = {
  closed: 'This shop is closed.',
  'no-catalog': 'There is nothing on the shelves of this shop yet.',
  'preview-ended': 'This preview has ended. Ask who sent it to you for another link.',
  'unknown-storefront': 'There is no shop at this address.',
} as const;

function Page({ shopper }: { readonly shopper: Shopper }) {
  const { desk, search, place, isReady, results, go, open, searchHere, openCollection } = shopper;
  const { data, error, isPlaceholderData, refetch } = results;
  if (place?.kind === 'product') return <ProductPage id={place.id} desk={desk.view} isReady={isReady} />;
  if (place?.kind === 'article') return <ArticlePage id={place.id} desk={desk.view} isReady={isReady} />;
  if (!data && error instanceof CallProblem && error.code in nobodyHome)
    return (
      <p role="alert" className="m-6 text-soft">
        {nobodyHome[error.code as keyof typeof nobodyHome]}
      </p>
    );
  if (!data)
    return error ? (
      <div role="alert" className="m-6 rounded-lg bg-changed-soft p-4 text-on-changed">
        <p>The results could not be fetched. {error.message}</p>
        <button type="button" className="mt-2 font-semibold underline" onClick={() => refetch()}>
          Try again
        </button>
      </div>
    ) : (
      <Waiting />
    );
  return (
    <ResultsPage
      search={search}
      data={data}
      isStale={isPlaceholderData}
      desk={desk}
      go={go}
      searchFor={searchHere}
      openCollection={openCollection}
      open={({ familyId }) => open(familyId)}
    />
  );
}

function Waiting() {
  return (
    <div className="grid grid-cols-2 gap-4 p-5 sm:grid-cols-3" role="status" aria-label="The results are being fetched">
      {['a', 'b', 'c', 'd', 'e', 'f'].map((name) => (
        <div key={name} className="h-48 animate-pulse rounded-md bg-paper" />
      ))}
    </div>
  );
}
