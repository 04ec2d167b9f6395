import { filterParameters } from '../../api/filterParameters.ts';
import { named } from '../../core/base/named.ts';
import { type BesideKind, besideKinds } from '../../core/setup/terms/besidesTerms.ts';
import type { Device } from '../../core/setup/terms/planTerms.ts';
import { isLanguage } from '../../core/text/languages.ts';

/** What a shopper searches for, with everything that was said about it. */
export interface ShopperSearch {
  readonly query: string;
  readonly page: number;
  /** Only the products of this collection; empty for all. */
  readonly collection: string;
  /** The order chosen from the sorting menu; empty for relevance. */
  readonly sort: string;
  /** What is taken as words though it was recognised. */
  readonly asWords: readonly string[];
  /** Only what was typed is looked for. */
  readonly exactly: boolean;
  /** The language filters are named in; empty for the catalog's own. */
  readonly language: string;
  /** All articles, or collections, that it finds, in place of the products; empty for these. */
  readonly show: BesideKind | '';
  /** What the shopper has said of filters; a key with nothing takes off what is preselected. */
  readonly filters: Readonly<Record<string, readonly string[]>>;
}

/** A search begun anew. */
export const freshSearch: ShopperSearch = {
  query: '',
  page: 1,
  filters: {},
  collection: '',
  sort: '',
  asWords: [],
  exactly: false,
  language: '',
  show: '',
};

/** The shopper's search from the parameters of an address. */
export function readAddress(parameters: URLSearchParams): ShopperSearch {
  const filters = named<string[]>();
  for (const [name, value] of parameters)
    if (name.startsWith('f.')) {
      const key = name.slice(2);
      // An address may say anything: only keys it has given itself are read.
      const before = Object.hasOwn(filters, key) ? filters[key]! : [];
      filters[key] = [...before, ...(value === '' ? [] : [value])];
    }
  return {
    query: parameters.get('q') ?? '',
    collection: parameters.get('collection') ?? '',
    sort: parameters.get('sort') ?? '',
    asWords: parameters.getAll('word'),
    exactly: parameters.has('exactly'),
    language: parameters.get('language') ?? '',
    show: besideKinds.find((kind) => kind === parameters.get('show')) ?? '',
    page: Math.max(1, Number(parameters.get('page')) || 1),
    filters,
  };
}

/** The parameters that say a search, no more than is chosen. */
export function writeAddress(search: ShopperSearch): URLSearchParams {
  const parameters = new URLSearchParams();
  if (search.query) parameters.set('q', search.query);
  if (search.collection) parameters.set('collection', search.collection);
  if (search.sort) parameters.set('sort', search.sort);
  if (search.language) parameters.set('language', search.language);
  for (const text of search.asWords) parameters.append('word', text);
  if (search.exactly) parameters.set('exactly', '');
  if (search.show) parameters.set('show', search.show);
  if (search.page > 1) parameters.set('page', String(search.page));
  for (const [name, value] of filterParameters(search.filters)) parameters.append(name, value);
  return parameters;
}

/** A search as the server is asked for it. */
export const queryFor = (search: ShopperSearch, device: Device) => ({
  q: search.query,
  page: String(search.page),
  collection: search.collection,
  sort: search.sort,
  device,
  ...(isLanguage(search.language) && { language: search.language }),
  ...(search.asWords.length > 0 && { asWords: [...search.asWords] }),
  ...(search.show && { show: search.show }),
  ...(search.exactly && { exactly: '1' as const }),
  ...Object.fromEntries(
    Object.entries(search.filters).map(([key, values]) => [`f.${key}`, values.length > 0 ? [...values] : '']),
  ),
});
