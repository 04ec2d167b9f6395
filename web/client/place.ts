import { unnamed } from '../../api/paths.ts';

/** What this page is about: a storefront, and at the desk one of its drafts. */
export interface Place {
  readonly storefront: string;
  readonly draft: string;
  /** The link that leads here, where the shop is shown under a draft to somebody without the desk. */
  readonly preview?: string;
}

/** Until a page says otherwise, the storefront and the draft that are meant where none is named. */
let now: Place = { storefront: unnamed, draft: unnamed };

/** What calls are about that do not say it themselves. */
export const placeNow = (): Place => now;
export function setPlace(place: Place): void {
  now = place;
}
