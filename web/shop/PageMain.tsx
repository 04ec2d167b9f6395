import type { ReactNode } from 'react';
import { useAround } from '../look/around.tsx';
import { useTexts } from '../look/texts.tsx';

/** What a page of the shop is about: its main part, or within another site's page a part with a name. */
export function PageMain({ isBusy, children }: { readonly isBusy: boolean; readonly children: ReactNode }) {
  const { isEmbedded } = useAround();
  const { say } = useTexts();
  return isEmbedded ? (
    <section part="page" aria-label={say('results.label')} aria-busy={isBusy}>
      {children}
    </section>
  ) : (
    <main part="page" className="flex-1 [--page-side:16px] px-4 pt-3 pb-6 sm:px-5" aria-busy={isBusy}>
      {children}
    </main>
  );
}

/** Its heading: of the first level, or below that of the page around it. */
export function PageHeading({ className, children }: { readonly className: string; readonly children: ReactNode }) {
  const Heading = useAround().isEmbedded ? 'h2' : 'h1';
  return (
    <Heading part="heading" className={className}>
      {children}
    </Heading>
  );
}
