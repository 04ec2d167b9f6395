import { useSyncExternalStore } from 'react';
import type { FilterLayout } from '../../../core/setup/filterSchema.ts';
import type { FilterPosition } from '../../../core/setup/filterTerms.ts';

/** Widths in pixels from which a window is wide, and from which it is more than a phone's. */
const wideFrom = matchMedia('(min-width: 1024px)');
const middleFrom = matchMedia('(min-width: 500px)');

function watch(changed: () => void): () => void {
  wideFrom.addEventListener('change', changed);
  middleFrom.addEventListener('change', changed);
  return () => {
    wideFrom.removeEventListener('change', changed);
    middleFrom.removeEventListener('change', changed);
  };
}
const width = (): 'wide' | 'middle' | 'narrow' =>
  wideFrom.matches ? 'wide' : middleFrom.matches ? 'middle' : 'narrow';

/** Where the filters stand in a window as wide as this one. */
export function useFilterPosition(layout: FilterLayout | undefined): FilterPosition {
  const now = useSyncExternalStore(watch, width);
  return layout?.[now] ?? 'above';
}
