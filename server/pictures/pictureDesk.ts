import type { FetchedPicture, PictureProblem } from './fetchPicture.ts';
import type { KeptPicture, PictureCache } from './pictureCache.ts';
import { openTurns } from './turns.ts';

/**
 * Pictures fetched, and made smaller, at the same time, and how many may wait for either. Each has turns of its own: hosts
 * that are slow to answer hold up no picture that is there already.
 */
const fetchedAtOnce = 6;
const shrunkAtOnce = 2;
const mostWaiting = 600;
/** How long a picture that could not be fetched is not tried again, in milliseconds, and how many of them are known. */
const triedAgainAfter = 600_000;
const failuresKnown = 50_000;

/** What came of pictures of other hosts since the start. */
export interface PictureTally {
  readonly fetched: number;
  readonly failed: number;
  /** Hosts whose pictures failed, those with most of them first, with the reason of the last one. */
  readonly hosts: readonly { readonly host: string; readonly failed: number; readonly problem: PictureProblem }[];
}

/** Pictures of other hosts: from the disk where they are kept, else fetched, each once however many ask for it. */
export interface PictureDesk {
  picture(address: string): Promise<KeptPicture | { readonly problem: PictureProblem | 'too-busy' }>;
  /**
   * A picture no wider than so many pixels, made once and kept like fetched ones; `key` names it among all pictures. As it
   * is where too many are being made.
   */
  smaller(key: string, picture: KeptPicture, width: number): Promise<KeptPicture>;
  tally(): PictureTally;
}

const hostsListed = 5;
const hostOf = (address: string): string => /^(?:https?:)?\/\/([^/?#]*)/i.exec(address)?.[1]?.toLowerCase() ?? '';

export function openPictureDesk(options: {
  readonly cache: PictureCache;
  readonly fetch: (address: string) => Promise<FetchedPicture>;
  readonly shrink: (picture: KeptPicture, width: number) => Promise<KeptPicture>;
  readonly now: () => number;
}): PictureDesk {
  const { cache, now } = options;
  const failures = new Map<string, { readonly problem: PictureProblem; readonly at: number }>();
  const underWay = new Map<string, Promise<FetchedPicture>>();
  const shrinking = new Map<string, Promise<KeptPicture>>();
  const fetches = openTurns(fetchedAtOnce);
  const shrinks = openTurns(shrunkAtOnce);
  let fetched = 0;

  /** Failures by host, kept as they come and go: a catalog may have tens of thousands. */
  const hosts = new Map<string, { readonly failed: number; readonly problem: PictureProblem }>();
  const forget = (address: string): void => {
    if (!failures.delete(address)) return;
    const host = hostOf(address);
    const { failed, problem } = hosts.get(host)!;
    if (failed > 1) hosts.set(host, { failed: failed - 1, problem });
    else hosts.delete(host);
  };

  const fetchOnce = (address: string): Promise<FetchedPicture> => {
    const asked = underWay.get(address);
    if (asked) return asked;
    const fetching = fetches
      .run(() => options.fetch(address))
      .then(async (answer) => {
        forget(address);
        if ('problem' in answer) {
          if (failures.size >= failuresKnown) forget(failures.keys().next().value!);
          failures.set(address, { problem: answer.problem, at: now() });
          const host = hostOf(address);
          hosts.set(host, { failed: (hosts.get(host)?.failed ?? 0) + 1, problem: answer.problem });
        } else {
          fetched++;
          await cache.keep(address, answer);
        }
        return answer;
      })
      .finally(() => underWay.delete(address));
    underWay.set(address, fetching);
    return fetching;
  };
  return {
    async picture(address) {
      const kept = await cache.find(address);
      if (kept) return kept;
      const failure = failures.get(address);
      if (failure && now() - failure.at < triedAgainAfter) return { problem: failure.problem };
      if (fetches.waiting() >= mostWaiting && !underWay.has(address)) return { problem: 'too-busy' };
      return fetchOnce(address);
    },
    async smaller(key, picture, width) {
      const name = `${key} ${width}`;
      const kept = await cache.find(name);
      if (kept) return kept;
      const asked = shrinking.get(name);
      if (asked) return asked;
      if (shrinks.waiting() >= mostWaiting) return picture;
      const made = shrinks
        .run(() => options.shrink(picture, width))
        .then(async (small) => {
          await cache.keep(name, small);
          return small;
        })
        .finally(() => shrinking.delete(name));
      shrinking.set(name, made);
      return made;
    },
    tally() {
      return {
        fetched,
        failed: failures.size,
        hosts: [...hosts]
          .map(([host, failures]) => ({ host, ...failures }))
          .sort((a, b) => b.failed - a.failed)
          .slice(0, hostsListed),
      };
    },
  };
}
