import { notifyManager, QueryClient } from '@tanstack/react-query';
import { placeNow } from '../../client/place.ts';

/**
 * Data set by a click is drawn in the click's own turn. By default the cache tells its readers a timer later, so a box
 * that was ticked stood unticked for a moment (seen: the tick gone for up to 50 ms on a busy machine), and a second
 * tick in that moment was worked out from what stood before the first.
 */
notifyManager.setScheduler(queueMicrotask);

/** Drafts whose answers are kept, so that going back to one shows it at once. */
const placesKept = 4;
const clients = new Map<string, QueryClient>();

/** What was asked about the draft one works in: each draft of each storefront has answers of its own. */
export function clientHere(): QueryClient {
  const { storefront, draft } = placeNow();
  const key = `${storefront}/${draft}`;
  const client =
    clients.get(key) ??
    new QueryClient({ defaultOptions: { queries: { retry: 1, staleTime: 5_000, refetchOnWindowFocus: true } } });
  clients.delete(key);
  clients.set(key, client);
  if (clients.size > placesKept) clients.delete(clients.keys().next().value!);
  return client;
}
