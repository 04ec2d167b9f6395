import { notifyManager, QueryClient } from '@tanstack/react-query';

/**
 * Data set by a click is drawn in the click's own turn. By default the cache tells its readers a timer later, so a box
 * that was ticked stood unticked for a moment (seen: the tick gone for up to 50 ms on a busy machine), and a second
 * tick in that moment was worked out from what stood before the first.
 */
notifyManager.setScheduler(queueMicrotask);

export const queryClient = new QueryClient({
  defaultOptions: { queries: { retry: 1, staleTime: 5_000, refetchOnWindowFocus: true } },
});
