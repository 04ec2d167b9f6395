import type { DraftRef } from '../../core/setup/setupRef.ts';
import type { StorefrontReader } from '../store/storefronts.ts';

/** The drafts of all open storefronts that something was changed in last, the latest first: somebody is at work on them. */
export function draftsTouched(reader: StorefrontReader, most: number): DraftRef[] {
  return reader
    .storefronts()
    .filter(({ archivedAt }) => archivedAt === null)
    .flatMap(({ id: storefront }) =>
      reader
        .drafts(storefront)
        .filter(({ removedAt }) => removedAt === null)
        .map(({ id, touchedAt }) => ({ ref: { storefront, draft: id }, touchedAt })),
    )
    .sort((one, other) => other.touchedAt - one.touchedAt)
    .slice(0, most)
    .map(({ ref }) => ref);
}
