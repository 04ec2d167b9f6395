import { once } from 'node:events';
import { type IncomingMessage, request as overHttp } from 'node:http';
import { request as overHttps } from 'node:https';
import { pictureKind } from './pictureKind.ts';
import { guardedLookup, isAddress, isPublic, NotPublic } from './publicAddress.ts';

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

class Problem extends Error {
  readonly problem: PictureProblem;
  constructor(problem: PictureProblem) {
    super(problem);
    this.problem = problem;
  }
}

async function ask(url: URL, isAllowed: (address: string) => boolean, signal: AbortSignal): Promise<IncomingMessage> {
  if (url.protocol !== 'http:' && url.protocol !== 'https:') throw new Problem('not-allowed');
  // An address written as one is connected to without any lookup.
  if (isAddress(url.hostname) && !isAllowed(url.hostname)) throw new Problem('not-allowed');
  const request = (url.protocol === 'https:' ? overHttps : overHttp)(url, {
    signal,
    agent: false,
    lookup: guardedLookup(isAllowed),
    headers: { accept: 'image/*', 'user-agent': 'Clever Shelf, pictures of a catalog' },
  });
  request.end();
  const [response] = (await once(request, 'response')) as [IncomingMessage];
  return response;
}

async function bytesOf(response: IncomingMessage, most: number): Promise<Buffer> {
  if (Number(response.headers['content-length'] ?? 0) > most) throw new Problem('too-large');
  const chunks: Buffer[] = [];
  let bytes = 0;
  for await (const chunk of response as AsyncIterable<Buffer>) {
    bytes += chunk.length;
    if (bytes > most) throw new Problem('too-large');
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}

async function follow(
  address: string,
  isAllowed: (address: string) => boolean,
  limits: Limits,
  signal: AbortSignal,
): Promise<FetchedPicture> {
  let url = new URL(address.startsWith('//') ? `https:${address}` : address);
  for (let redirects = 0; ; redirects++) {
    const response = await ask(url, isAllowed, signal);
    try {
      const { statusCode = 0, headers } = response;
      if (statusCode >= 300 && statusCode < 400 && headers.location !== undefined) {
        if (redirects >= limits.redirects) return { problem: 'not-found' };
        url = new URL(headers.location, url);
        continue;
      }
      if (statusCode !== 200) return { problem: 'not-found' };
      const bytes = await bytesOf(response, limits.bytes);
      const type = await pictureKind(bytes);
      return type === null ? { problem: 'no-picture' } : { bytes, type };
    } finally {
      response.destroy();
    }
  }
}

/**
 * Fetches one picture from another host: only by http and https, only from public addresses (asked anew at every
 * redirect), within limits of size and time, and only where its content is a picture. Nothing of the person who asked is
 * passed on.
 */
export async function fetchPicture(address: string, options: FetchPictureOptions = {}): Promise<FetchedPicture> {
  const { isAllowed = isPublic, limits = pictureLimits } = options;
  const signal = AbortSignal.timeout(limits.milliseconds);
  try {
    return await follow(address, isAllowed, limits, signal);
  } catch (error) {
    if (error instanceof Problem) return { problem: error.problem };
    if (error instanceof NotPublic) return { problem: 'not-allowed' };
    if (signal.aborted) return { problem: 'too-slow' };
    return { problem: (error as { code?: string }).code === 'ERR_INVALID_URL' ? 'not-found' : 'no-connection' };
  }
}
