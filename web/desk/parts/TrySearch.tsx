import type { ReactNode } from 'react';
import { useTrial } from '../state/trial.ts';

/** A search that is tried in the shop window when it is pressed. */
export function TrySearch({
  search,
  className = 'text-press',
  children = search,
}: {
  readonly search: string;
  readonly className?: string;
  readonly children?: ReactNode;
}) {
  const show = useTrial((state) => state.search);
  return (
    <button
      type="button"
      className={`min-h-6 hover:underline ${className}`}
      title="Try it in the shop window"
      onClick={() => show(search)}
    >
      {children}
    </button>
  );
}
