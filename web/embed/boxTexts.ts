/** Which texts a page that only has the box needs, by their keys; all others come with the results. */
export const isOfBox = (key: string): boolean =>
  /^(box|basket|card|filters)(\.|$)|^(quoted|products|product\.inStock|price\..*)$/.test(key);
