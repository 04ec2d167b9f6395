import { useEffect } from 'react';
import { useStore } from 'zustand';
import { usualLayout } from '../../core/setup/terms/layoutTerms.ts';
import { CallProblem } from '../client/request.ts';
import { day } from '../look/dates.ts';
import { TextsIn, useTexts } from '../look/texts.tsx';
import { ArticlePage } from './ArticlePage.tsx';
import { LayoutIn } from './layout.tsx';
import { ProductPage } from './ProductPage.tsx';
import { ResultsPage } from './ResultsPage.tsx';
import { ShopHeader } from './ShopHeader.tsx';
import { useShopper, useVisit } from './shopperHere.tsx';
import { useScrollPlace } from './useScrollPlace.ts';
import { useShopTexts } from './useShopTexts.ts';

/** The shop: the page a shopper uses, and the very same page in the desk's window. */
export function Shop() {
  const { data: results, isStale } = useStore(useShopper().results);
  const { search, place } = useVisit();
  // Where results go on below each other, more of them are the same screen.
  const screen = results?.layout.way === 'pages' ? search.page : 0;
  useScrollPlace(JSON.stringify([place, search.query, screen, search.collection]), results !== undefined && !isStale);
  const name = results?.shop.name;
  const texts = useShopTexts(results);
  useEffect(() => {
    if (name) document.title = name;
  }, [name]);
  const preview = (results as { preview?: { name: string; endsAt: string } } | undefined)?.preview;
  return (
    <TextsIn value={texts}>
      <LayoutIn value={results?.layout ?? usualLayout}>
        <div className="flex min-h-full flex-col bg-surface text-ink">
          {preview && (
            <p className="bg-changed-soft px-4 py-1.5 text-center text-[13px] text-on-changed">
              A preview of “{preview.name}”, until {day(preview.endsAt)}. Nothing here is live, and nothing is noted.
            </p>
          )}
          <ShopHeader />
          <Page />
          {results?.shop.tax && <Tax {...results.shop.tax} />}
        </div>
      </LayoutIn>
    </TextsIn>
  );
}

function Tax({ included, rate }: { readonly included: boolean; readonly rate: number }) {
  const { say } = useTexts();
  return (
    <footer className="border-line border-t px-5 py-3 text-[13px] text-soft">
      {say(included ? 'price.taxIn' : 'price.taxOut', { rate })}
    </footer>
  );
}

/** What shoppers are told of a shop that has nothing to show. */
const nobodyHome = {
  closed: 'shop.closed',
  'no-catalog': 'shop.noCatalog',
  'preview-ended': 'shop.previewEnded',
  'unknown-storefront': 'shop.unknown',
} as const;

function Page() {
  const shopper = useShopper();
  const { place } = useVisit();
  const { data, error, isStale } = useStore(shopper.results);
  const { say } = useTexts();
  if (place?.kind === 'product') return <ProductPage />;
  if (place?.kind === 'article') return <ArticlePage />;
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
  return <ResultsPage data={data} isStale={isStale} />;
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
