import type { FilterLayout } from '../../../core/setup/parts/storefront.ts';
import type { FilterPosition } from '../../../core/setup/terms/filterTerms.ts';
import { useMedia } from '../../look/useMedia.ts';

/** Widths in pixels from which a window is wide, and from which it is more than a phone's. */
const wideFrom = matchMedia('(min-width: 1024px)');
const middleFrom = matchMedia('(min-width: 500px)');

/** Where the filters stand in a window as wide as this one. */
export function useFilterPosition(layout: FilterLayout | undefined): FilterPosition {
  const isWide = useMedia(wideFrom);
  const isMiddle = useMedia(middleFrom);
  return layout?.[isWide ? 'wide' : isMiddle ? 'middle' : 'narrow'] ?? 'above';
}
