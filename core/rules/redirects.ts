import { safeLink } from '../catalog/safeLink.ts';
import type { Demand } from '../demand/logEntry.ts';
import { wordsOf } from '../query/readUnits.ts';
import { resolve } from './resolve.ts';
import type { Triggers } from './triggers.ts';

/** What a redirect leads to, as far as it can be told without asking anybody: a page of this shop, or one elsewhere. */
export interface LinkTarget {
  readonly kind: 'product' | 'article' | 'collection' | 'search' | 'page' | 'elsewhere';
  /** What it is called or which it is: an id, a search, or the link. */
  readonly id: string;
}

/** Reads where a link leads. The shop's own pages stand below `/shop/…` or at its root; others of the site are pages. */
export function linkTarget(given: string): LinkTarget {
  const link = safeLink(given);
  if (!/^\/(?![/\\])/.test(link)) return { kind: 'elsewhere', id: link };
  const [address = '', query = ''] = link.split('#', 1)[0]!.split('?', 2);
  const path = address.replace(/^\/shop(?:\/[^/]+)?(?=\/|$)/, '') || '/';
  const found = /^\/(products|articles)\/([^/]+)$/.exec(path);
  if (found) return { kind: found[1] === 'products' ? 'product' : 'article', id: decoded(found[2]!) };
  const asked = new Map(
    query.split('&').map((pair): [string, string] => {
      const [name = '', value = ''] = pair.split('=', 2);
      return [name, decoded(value.replaceAll('+', ' '))];
    }),
  );
  const [collection, search] = [asked.get('collection'), asked.get('q')];
  if (path === '/' && collection) return { kind: 'collection', id: collection };
  return path === '/' && search ? { kind: 'search', id: search } : { kind: 'page', id: link };
}
/** The address of a page that a link leads to; of a page of the own site null where the site's address is not known. */
export function pageAddress(given: string, site: string | undefined): string | null {
  const link = safeLink(given);
  if (!/^\/(?![/\\])/.test(link)) return link;
  const host = site === undefined ? null : /^https?:\/\/[^/?#]+/.exec(site);
  return host ? `${host[0]}${link}` : null;
}

const decoded = (text: string): string => {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
};

/** Whom a redirect caught: how often, and by which searches most. */
export interface Caught {
  readonly times: number;
  readonly searches: readonly string[];
}
const searchesTold = 5;

/** By plan, the searches of a log that it sends elsewhere; of several plans the one that holds. Cost: the lookups for each search. */
export function caughtBy(
  triggers: Triggers,
  demand: readonly Pick<Demand, 'key' | 'search' | 'searches'>[],
): Map<string, Caught> {
  const caught = new Map<string, { times: number; searches: string[] }>();
  for (const { key, search, searches: times } of demand) {
    const words = wordsOf(key).tokens;
    if (triggers.holdingFor([words]).length === 0) continue;
    const sent = resolve(triggers, { words }).find(({ what }) => what === 'redirect');
    if (sent?.source.kind !== 'plan') continue;
    const own = caught.get(sent.source.id) ?? { times: 0, searches: [] };
    caught.set(sent.source.id, own);
    own.times += times;
    if (own.searches.length < searchesTold) own.searches.push(search);
  }
  return caught;
}
