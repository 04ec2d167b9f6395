/** How the search stands in a shop's pages. */
export const placings = [
  ['together', 'Box and results in one place'],
  ['apart', 'The box on every page, results on one of their own'],
] as const;
export type Placing = (typeof placings)[number][0];

/** What is copied into a shop's pages to have its search there. */
export function snippetFor({
  placing,
  server,
  storefront,
  key,
}: {
  readonly placing: Placing;
  /** Where our server is, without a slash at its end. */
  readonly server: string;
  readonly storefront: string;
  readonly key: string;
}): string {
  const script = `<script type="module" src="${server}/embed/clever-shelf.js"></script>`;
  const room = [
    '<!-- Room for the results, so that nothing moves when they come -->',
    '<style>clever-shelf:not([show="box"]) { display: block; min-height: 100vh }</style>',
  ];
  const who = `storefront="${storefront}" shop-key="${key}"`;
  const own = '  <!-- Your own search form: it is shown where this one cannot be. -->';
  if (placing === 'together') return [script, ...room, `<clever-shelf ${who}>`, own, '</clever-shelf>'].join('\n');
  const links = 'results="/search" product-page="/product?shelf.product={id}"';
  return [
    '<!-- On every page -->',
    script,
    `<clever-shelf show="box" ${who}`,
    `  ${links}>`,
    own,
    '</clever-shelf>',
    '',
    '<!-- On the page at /search -->',
    ...room,
    `<clever-shelf show="count sorting filters results" ${who}`,
    `  ${links}></clever-shelf>`,
    '',
    '<!-- On the page at /product -->',
    ...room,
    `<clever-shelf show="results" ${who}`,
    `  ${links}></clever-shelf>`,
  ].join('\n');
}
