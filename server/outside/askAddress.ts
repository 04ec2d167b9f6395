import { once } from 'node:events';
import { type IncomingMessage, request as overHttp } from 'node:http';
import { request as overHttps } from 'node:https';
import { guardedLookup, isAddress, isPublic, NotPublic } from './publicAddress.ts';

/** How an address of another host is asked: what is accepted and said of who asks, how far and how long. */
export interface Asking {
  readonly accept: string;
  /** Said as the one who asks; nothing of a person is passed on. */
  readonly as: string;
  readonly redirects: number;
  /** For all of it. */
  readonly milliseconds: number;
  /** Which addresses may be connected to; absent: those of the public internet. */
  readonly isAllowed?: ((address: string) => boolean) | undefined;
}
/** Why nothing answered. */
export type AskProblem = 'not-allowed' | 'no-connection' | 'not-found' | 'too-slow';

class NotAllowed extends Error {}

async function ask(url: URL, { accept, as, isAllowed = isPublic }: Asking, signal: AbortSignal) {
  if (url.protocol !== 'http:' && url.protocol !== 'https:') throw new NotAllowed();
  // An address written as one is connected to without any lookup.
  if (isAddress(url.hostname) && !isAllowed(url.hostname)) throw new NotAllowed();
  const request = (url.protocol === 'https:' ? overHttps : overHttp)(url, {
    signal,
    agent: false,
    lookup: guardedLookup(isAllowed),
    headers: { accept, 'user-agent': as },
  });
  request.end();
  const [response] = (await once(request, 'response')) as [IncomingMessage];
  return response;
}

/**
 * Asks an address of another host, only by http and https, only at public addresses (looked up anew at every redirect),
 * within limits; `read` gets the first answer that is no redirect and where it came from, and its connection ends when it is done. What `read` throws
 * is thrown on.
 */
export async function askAddress<Answer>(
  address: string,
  asking: Asking,
  read: (response: IncomingMessage, from: URL) => Promise<Answer>,
): Promise<Answer | { readonly problem: AskProblem }> {
  const signal = AbortSignal.timeout(asking.milliseconds);
  let response: IncomingMessage | null = null;
  try {
    let url = new URL(address.startsWith('//') ? `https:${address}` : address);
    for (let redirects = 0; ; redirects++) {
      response = await ask(url, asking, signal);
      const { statusCode = 0, headers } = response;
      if (statusCode < 300 || statusCode >= 400 || headers.location === undefined) break;
      if (redirects >= asking.redirects) return { problem: 'not-found' };
      url = new URL(headers.location, url);
      response.destroy();
      response = null;
    }
    return await read(response, url);
  } catch (error) {
    if (error instanceof NotAllowed || error instanceof NotPublic) return { problem: 'not-allowed' };
    if (signal.aborted) return { problem: 'too-slow' };
    const { code } = error as { readonly code?: string };
    if (code === 'ERR_INVALID_URL') return { problem: 'not-found' };
    if (code !== undefined) return { problem: 'no-connection' };
    throw error;
  } finally {
    response?.destroy();
  }
}
