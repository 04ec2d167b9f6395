import { askAddress } from '../outside/askAddress.ts';
import { bytesOf } from '../outside/bytesOf.ts';
import { pictureKind } from './pictureKind.ts';

/** Largest picture, in bytes; redirects followed; longest time for all of it, in milliseconds. */
const pictureLimits = { bytes: 8 * 1024 * 1024, redirects: 4, milliseconds: 10_000 } as const;

export const pictureProblems = [
  'not-allowed',
  'no-connection',
  'not-found',
  'too-slow',
  'too-large',
  'no-picture',
] as const;
/** Why a picture could not be fetched. */
export type PictureProblem = (typeof pictureProblems)[number];
export type FetchedPicture = { readonly bytes: Buffer; readonly type: string } | { readonly problem: PictureProblem };

type Limits = { readonly [Name in keyof typeof pictureLimits]: number };

export interface FetchPictureOptions {
  readonly isAllowed?: (address: string) => boolean;
  readonly limits?: Limits;
}

/**
 * Fetches one picture from another host, as `askAddress` asks, within a limit of size, and only where its content is a
 * picture.
 */
export function fetchPicture(address: string, options: FetchPictureOptions = {}): Promise<FetchedPicture> {
  const { isAllowed, limits = pictureLimits } = options;
  const as = 'Clever Shelf, pictures of a catalog';
  return askAddress<FetchedPicture>(address, { accept: 'image/*', as, isAllowed, ...limits }, async (response) => {
    if (response.statusCode !== 200) return { problem: 'not-found' };
    const bytes = await bytesOf(response, limits.bytes);
    if (!bytes) return { problem: 'too-large' };
    const type = await pictureKind(bytes);
    return type === null ? { problem: 'no-picture' } : { bytes, type };
  });
}
