import { useSyncExternalStore } from 'react';

/** Whether a media query holds now. */
export function useMedia(list: MediaQueryList): boolean {
  return useSyncExternalStore(
    (changed) => {
      list.addEventListener('change', changed);
      return () => list.removeEventListener('change', changed);
    },
    () => list.matches,
  );
}
