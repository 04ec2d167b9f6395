/** Stands in an address for the storefront, or the draft, that is meant where none is named. */
export const unnamed = '-';

/** Endpoints for shoppers: all that a page of another site may call. Apart from the desk's, so that such a page does not carry those. */
export const shopPaths = {
  shopSearch: { method: 'get', path: '/shop/{storefront}/search' },
  shopSuggest: { method: 'get', path: '/shop/{storefront}/suggest' },
  shopProduct: { method: 'get', path: '/shop/{storefront}/product' },
  shopArticle: { method: 'get', path: '/shop/{storefront}/article' },
  shopBeside: { method: 'get', path: '/shop/{storefront}/beside' },
  noteSearch: { method: 'post', path: '/shop/{storefront}/log/search' },
  noteClick: { method: 'post', path: '/shop/{storefront}/log/choice' },
  noteOutcome: { method: 'post', path: '/shop/{storefront}/log/outcome' },
} as const;

/** Fills in what a path of the contract is about. */
export const pathFor = (
  path: string,
  about: { readonly storefront: string; readonly draft?: string; readonly preview?: string },
): string =>
  path
    .replace('{storefront}', about.storefront)
    .replace('{draft}', about.draft ?? unnamed)
    .replace('{token}', about.preview ?? unnamed);
