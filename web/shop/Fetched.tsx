import { ArrowLeft } from 'lucide-react';
import type { ReactNode } from 'react';
import type { MessageKey } from '../../core/messages/en.ts';
import { useTexts } from '../look/texts.tsx';
import type { Asked } from '../shopper/question.ts';
import { PageMain } from './PageMain.tsx';
import { PlaceLink } from './PlaceLink.tsx';

/** A page of its own in the shop: the way back to the results, and what was fetched for it. */
export function Fetched<Data>({
  waiting,
  asked: { data, error, isStale },
  again,
  children,
}: {
  /** What is said of it while it comes. */
  readonly waiting: MessageKey;
  readonly asked: Asked<Data>;
  again(): void;
  readonly children: (data: Data) => ReactNode;
}) {
  const { say } = useTexts();
  return (
    <PageMain isBusy={(!data && !error) || isStale}>
      <PlaceLink to={null} className="inline-flex min-h-6 items-center gap-1 text-[13px] text-press hover:underline">
        <ArrowLeft size={14} aria-hidden className="rtl:-scale-x-100" /> {say('results.back')}
      </PlaceLink>
      {error && !data && (
        <div role="alert" className="mt-4 rounded-lg bg-changed-soft p-4 text-on-changed">
          <p>{error.message}</p>
          <button type="button" className="mt-2 font-semibold underline" onClick={again}>
            {say('tryAgain')}
          </button>
        </div>
      )}
      {!error && !data && (
        <p role="status" aria-label={say(waiting)} className="mt-4 h-72 animate-pulse rounded-md bg-paper" />
      )}
      {data && children(data)}
    </PageMain>
  );
}
