import type { UseQueryResult } from '@tanstack/react-query';
import { ArrowLeft } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import { useTexts } from '../look/texts.tsx';

/** A page of its own in the shop: the way back to the results, and what was fetched for it. */
export function Fetched<Data>({
  what,
  query: { data, error, isPlaceholderData, refetch },
  children,
}: {
  readonly what: 'product' | 'article';
  readonly query: UseQueryResult<Data>;
  readonly children: (data: Data) => ReactNode;
}) {
  const { search } = useLocation();
  const { say } = useTexts();
  return (
    <main className="flex-1 px-4 pt-4 pb-8 sm:px-5" aria-busy={(!data && !error) || isPlaceholderData}>
      <Link to={`/${search}`} className="inline-flex min-h-6 items-center gap-1 text-[13px] text-press hover:underline">
        <ArrowLeft size={14} aria-hidden /> {say('results.back')}
      </Link>
      {error && !data && (
        <div role="alert" className="mt-4 rounded-lg bg-changed-soft p-4 text-on-changed">
          <p>{error.message}</p>
          <button type="button" className="mt-2 font-semibold underline" onClick={() => refetch()}>
            {say('tryAgain')}
          </button>
        </div>
      )}
      {!error && !data && (
        <p role="status" aria-label={say(`${what}.waiting`)} className="mt-4 h-72 animate-pulse rounded-md bg-paper" />
      )}
      {data && children(data)}
    </main>
  );
}
