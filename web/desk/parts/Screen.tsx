import type { ReactNode } from 'react';

/** A screen's head: its name and, in a sentence, what it decides. */
export function ScreenHead({
  title,
  children,
  aside,
}: {
  readonly title: string;
  readonly children: ReactNode;
  readonly aside?: ReactNode;
}) {
  return (
    <header className="mb-4">
      <div className="flex flex-wrap items-start justify-between gap-x-3 gap-y-1">
        <h1 className="font-display font-semibold text-[25px] leading-tight tracking-tight">{title}</h1>
        {aside}
      </div>
      <p className="mt-1 max-w-[56ch] text-soft">{children}</p>
    </header>
  );
}

/** A part of a screen under a heading of its own. */
export function Section({
  title,
  note,
  aside,
  children,
}: {
  readonly title: string;
  readonly note?: ReactNode;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <section className="mt-6 first:mt-0" aria-label={title}>
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="font-display font-semibold text-[15.5px]">{title}</h2>
        {aside}
      </div>
      {note && <p className="text-[13px] text-soft">{note}</p>}
      <div className="mt-2">{children}</div>
    </section>
  );
}

/** What stands where a list has nothing in it yet. */
export function Nothing({ children }: { readonly children: ReactNode }) {
  return <p className="rounded-lg border border-dashed px-4 py-5 text-center text-soft">{children}</p>;
}

export function Loading({ what }: { readonly what: string }) {
  return (
    <p role="status" className="py-6 text-center text-soft">
      {what} …
    </p>
  );
}

export function LoadProblem({ error, again }: { readonly error: Error; again(): void }) {
  return (
    <div role="alert" className="rounded-lg bg-changed-soft p-4 text-on-changed">
      {error.message}{' '}
      <button type="button" className="font-semibold underline" onClick={again}>
        Try again
      </button>
    </div>
  );
}

/** The look of a row that stands on a shelf edge; saffron on its side where it is not yet published. */
export const shelfRow = (isChanged: boolean): string =>
  `relative rounded-t-[7px] border-edge border-b-[3px] bg-surface ${
    isChanged
      ? 'before:absolute before:inset-y-0 before:left-0 before:w-1 before:rounded-tl-[7px] before:bg-changed'
      : ''
  }`;
