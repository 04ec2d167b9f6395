import type { AnswerOf, BodyOf, QueryOf } from '../../api/endpoint.ts';
import type { endpoints } from '../../api/endpoints.ts';
import { pathFor, shopPaths } from '../../api/shopPaths.ts';
import { send, type Values, withQuery } from '../client/request.ts';
import { picturesFrom } from './picturesFrom.ts';

type Endpoints = typeof endpoints;
export type BesideQuery = Omit<QueryOf<Endpoints['shopBeside']>, 'key'>;
type SearchQuery = Omit<QueryOf<Endpoints['shopSearch']>, 'key'>;
type SuggestQuery = QueryOf<Endpoints['shopSuggest']>;
/** Things shoppers do that are written down. */
type Note = 'noteSearch' | 'noteClick' | 'noteOutcome';

/** Where a shop's answers come from: what is live, a draft at the desk, or a preview. Each call throws a `CallProblem` where it is refused. */
export interface ShopClient {
  /** Tells the answers of different setups apart. */
  readonly name: string;
  /** The storefront, by whose name a browser keeps what is the shopper's own. */
  readonly storefront: string;
  search(query: SearchQuery, signal?: AbortSignal): Promise<AnswerOf<Endpoints['shopSearch']>>;
  suggest(query: SuggestQuery, signal?: AbortSignal): Promise<AnswerOf<Endpoints['shopSuggest']>>;
  product(id: string, signal?: AbortSignal): Promise<AnswerOf<Endpoints['shopProduct']>>;
  /** What some things are now, and what goes with them. */
  beside(query: BesideQuery, signal?: AbortSignal): Promise<AnswerOf<Endpoints['shopBeside']>>;
  article(id: string, signal?: AbortSignal): Promise<AnswerOf<Endpoints['shopArticle']>>;
  /** Writes down what a shopper does; null where whoever looks is no shopper. */
  readonly note:
    | (<Name extends Note>(what: Name, body: BodyOf<Endpoints[Name]>) => Promise<AnswerOf<Endpoints[Name]>>)
    | null;
}

export interface LiveShop {
  /** Where the server is, without a slash at its end; empty: where the page came from. */
  readonly base?: string;
  readonly storefront: string;
  /** The storefront's key for pages of other sites; empty on the server's own. */
  readonly key?: string;
  /** The browser's own, where a page may have put something else in its place; else what stands there. */
  readonly fetch?: typeof fetch;
}

/** What is live in a storefront, as its shoppers get it. */
export function liveShop({ base = '', storefront, key = '', fetch }: LiveShop): ShopClient {
  const at = (name: keyof typeof shopPaths): string => base + pathFor(shopPaths[name].path, { storefront });
  const isElsewhere = base !== '';
  // No header of one's own and no cookie: a question to another origin then needs no other before it, and tells nobody's name.
  const credentials = isElsewhere ? 'omit' : 'same-origin';
  const said: Values = key === '' ? {} : { key };
  const get = async <Name extends keyof typeof shopPaths>(
    name: Name,
    query: Values,
    signal?: AbortSignal,
  ): Promise<AnswerOf<Endpoints[Name]>> => {
    const init: RequestInit = { credentials, ...(signal && { signal }) };
    const answer = (await send(withQuery(at(name), { ...query, ...said }), init, fetch)) as AnswerOf<Endpoints[Name]>;
    return isElsewhere ? picturesFrom(base, answer) : answer;
  };
  return {
    name: 'shop',
    storefront,
    search: (query, signal) => get('shopSearch', query, signal),
    suggest: (query, signal) => get('shopSuggest', query, signal),
    product: (id, signal) => get('shopProduct', { id }, signal),
    article: (id, signal) => get('shopArticle', { id }, signal),
    beside: (query, signal) => get('shopBeside', query, signal),
    note: <Name extends Note>(what: Name, body: BodyOf<Endpoints[Name]>) =>
      send(
        withQuery(at(what), said),
        {
          method: 'POST',
          credentials,
          body: JSON.stringify(body),
          headers: { 'content-type': 'application/json' },
          keepalive: true,
        },
        fetch,
      ) as Promise<AnswerOf<Endpoints[Name]>>,
  };
}
