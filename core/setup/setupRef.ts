/** A draft of a storefront. */
export interface DraftRef {
  readonly storefront: string;
  readonly draft: string;
}
/** A release of a storefront: one by its number, or whichever is live when it is looked at. */
export interface ReleaseRef {
  readonly storefront: string;
  readonly release: number | 'live';
}
/** The one way to name a setup. Everything that is answered by a setup says which one by this. */
export type SetupRef = DraftRef | ReleaseRef;

/** What shoppers of a storefront get. */
export const liveOf = (storefront: string): ReleaseRef => ({ storefront, release: 'live' });
export const isLive = (ref: SetupRef): boolean => 'release' in ref && ref.release === 'live';

/** A setup's name among those of its storefront: `draft:winter`, `release:12`, `release:live`. */
export const nameOf = (ref: SetupRef): string => ('draft' in ref ? `draft:${ref.draft}` : `release:${ref.release}`);
/** The same with its storefront, to keep things by. */
export const keyOf = (ref: SetupRef): string => `${ref.storefront}/${nameOf(ref)}`;

/** Ids of storefronts and drafts, as they stand in addresses; at most `longestId` letters, digits and hyphens. */
export const longestId = 40;
export const idPattern = /^[a-z0-9](?:[a-z0-9-]{0,38}[a-z0-9])?$/;

const written = /^(?:draft:([a-z0-9-]{1,40})|release:(live|[1-9]\d{0,8}))$/;

/** Reads a name as `nameOf` writes it; null where it is none. */
export function readName(storefront: string, text: string): SetupRef | null {
  const [, draft, release] = written.exec(text) ?? [];
  if (draft !== undefined) return idPattern.test(draft) ? { storefront, draft } : null;
  if (release === undefined) return null;
  return { storefront, release: release === 'live' ? release : Number(release) };
}
