import { useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { create } from 'zustand';
import { leaderOf } from '../../../core/setup/leaderOf.ts';
import { type FollowablePart, followable, isFollowable } from '../../../core/setup/terms/followable.ts';
import type { EntryEdit } from '../../../core/setup/withEntry.ts';
import { call } from '../../client/call.ts';
import { knownState } from './deskState.ts';
import { useStorefronts } from './storefronts.ts';

/** What publishing would change in other storefronts; asked for while somebody is about to. */
export const useReach = (isAsked: boolean) =>
  useQuery({ queryKey: ['desk', 'reach'], queryFn: ({ signal }) => call('reach', { signal }), enabled: isAsked });

/** What storefronts are called, by their ids. */
export function useStorefrontName(): (id: string) => string {
  const { data } = useStorefronts();
  return (id) => data?.storefronts.find((each) => each.id === id)?.name ?? id;
}

/** The first part among some edits that follows another storefront's, so that nothing of one's own can be in it. */
export function followedAmong(edits: readonly EntryEdit[]): FollowablePart | null {
  const setup = knownState()?.setup;
  if (!setup) return null;
  const found = edits.find(({ part }) => isFollowable(part) && leaderOf(setup, part) !== null)?.part;
  return found !== undefined && isFollowable(found) ? found : null;
}

/** An edit in a followed part, which is made once the part is the storefront's own. */
interface AskedToOwn {
  readonly part: FollowablePart;
  readonly storefront: string;
  andThen(): void;
}
export const useAskedToOwn = create<{
  readonly asked: AskedToOwn | null;
  /** How often it was answered with no: fields then show again what holds. */
  readonly declined: number;
}>(() => ({ asked: null, declined: 0 }));

export const tellOwned = (part: FollowablePart): unknown =>
  toast(`${followable[part]} are this storefront’s own`, {
    description: 'In this draft, as a copy. Shoppers see no difference until you change something and publish.',
  });
