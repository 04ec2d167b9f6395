import { useCallback, useSyncExternalStore } from 'react';
import type { FilterLayout } from '../../../core/setup/parts/storefront.ts';
import type { FilterPosition } from '../../../core/setup/terms/filterTerms.ts';
import { useAround } from '../../look/around.tsx';

/** Widths in pixels from which there is much room, and from which more than on a phone. */
const roomFrom = { wide: 1024, middle: 500 } as const;
type Room = 'wide' | 'middle' | 'narrow';
const roomOf = (width: number): Room =>
  width >= roomFrom.wide ? 'wide' : width >= roomFrom.middle ? 'middle' : 'narrow';

/** The room there is: of the window, or within another site's page of the place that the shop's part has there. */
function useRoom(): Room {
  const { container, room } = useAround();
  const root = container?.getRootNode();
  const host = room ?? (root instanceof ShadowRoot ? root.host : null);
  const subscribe = useCallback(
    (changed: () => void) => {
      if (!host) {
        addEventListener('resize', changed);
        return () => removeEventListener('resize', changed);
      }
      const observer = new ResizeObserver(changed);
      observer.observe(host);
      return () => observer.disconnect();
    },
    [host],
  );
  return useSyncExternalStore(subscribe, () => roomOf(host ? host.clientWidth : window.innerWidth));
}

/** Where the filters stand in the room there is. */
export function useFilterPosition(layout: FilterLayout | undefined): FilterPosition {
  return layout?.[useRoom()] ?? 'above';
}
