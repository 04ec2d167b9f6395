import { pathFor, shopPaths, unnamed } from './shopPaths.ts';

export { pathFor, unnamed };

/**
 * Where each endpoint is: its method and path by name, with the storefront and, at the desk, the draft it is about. Apart from the endpoints' schemas, so that the interface can
 * call them by name without carrying the validation that only the server does.
 */
export const paths = {
  ...shopPaths,
  lettersNeeded: { method: 'get', path: '/desk/{storefront}/{draft}/suggest/letters' },
  ladderTrial: { method: 'get', path: '/desk/{storefront}/{draft}/ladder' },
  deskSuggest: { method: 'get', path: '/desk/{storefront}/{draft}/suggest' },
  deskSearch: { method: 'get', path: '/desk/{storefront}/{draft}/search' },
  deskShopProduct: { method: 'get', path: '/desk/{storefront}/{draft}/shop-product' },
  deskShopArticle: { method: 'get', path: '/desk/{storefront}/{draft}/shop-article' },
  why: { method: 'get', path: '/desk/{storefront}/{draft}/why' },
  words: { method: 'get', path: '/desk/{storefront}/{draft}/words' },
  state: { method: 'get', path: '/desk/{storefront}/{draft}/state' },
  setAside: { method: 'get', path: '/desk/{storefront}/{draft}/set-aside' },
  edit: { method: 'post', path: '/desk/{storefront}/{draft}/edits' },
  undo: { method: 'post', path: '/desk/{storefront}/{draft}/undo' },
  redo: { method: 'post', path: '/desk/{storefront}/{draft}/redo' },
  publish: { method: 'post', path: '/desk/{storefront}/{draft}/publish' },
  releases: { method: 'get', path: '/desk/{storefront}/{draft}/releases' },
  takeBack: { method: 'post', path: '/desk/{storefront}/{draft}/releases/again' },
  attributes: { method: 'get', path: '/desk/{storefront}/{draft}/attributes' },
  values: { method: 'get', path: '/desk/{storefront}/{draft}/values' },
  products: { method: 'get', path: '/desk/{storefront}/{draft}/products' },
  vocabularyNotes: { method: 'get', path: '/desk/{storefront}/{draft}/vocabulary/notes' },
  usualStopWords: { method: 'get', path: '/desk/{storefront}/{draft}/vocabulary/stop-words' },
  vocabularyTimes: { method: 'get', path: '/desk/{storefront}/{draft}/vocabulary/times' },
  dictionary: { method: 'get', path: '/desk/{storefront}/{draft}/vocabulary/dictionary' },
  readVocabulary: { method: 'post', path: '/desk/{storefront}/{draft}/vocabulary/read' },
  effect: { method: 'get', path: '/desk/{storefront}/{draft}/effect' },
  filterProposals: { method: 'get', path: '/desk/{storefront}/{draft}/filters/proposals' },
  filterWorth: { method: 'get', path: '/desk/{storefront}/{draft}/filters/worth' },
  attributeValues: { method: 'get', path: '/desk/{storefront}/{draft}/filters/values' },
  conditionMet: { method: 'post', path: '/desk/{storefront}/{draft}/rules/condition' },
  pullFor: { method: 'post', path: '/desk/{storefront}/{draft}/rules/pull' },
  ruleUse: { method: 'get', path: '/desk/{storefront}/{draft}/rules/use' },
  redirects: { method: 'get', path: '/desk/{storefront}/{draft}/rules/redirects' },
  askPages: { method: 'post', path: '/desk/{storefront}/{draft}/rules/redirects/ask' },
  readRules: { method: 'post', path: '/desk/{storefront}/{draft}/rules/read' },
  amounts: { method: 'post', path: '/desk/{storefront}/{draft}/rules/amounts' },
  ruleFigures: { method: 'get', path: '/desk/{storefront}/{draft}/rules/figures' },
  ruleEffect: { method: 'post', path: '/desk/{storefront}/{draft}/rules/effect' },
  deadEnds: { method: 'get', path: '/desk/{storefront}/{draft}/dead-ends/list' },
  remedies: { method: 'get', path: '/desk/{storefront}/{draft}/dead-ends/remedies' },
  takeRemedies: { method: 'post', path: '/desk/{storefront}/{draft}/dead-ends/mend' },
  proposals: { method: 'get', path: '/desk/{storefront}/{draft}/proposals' },
  acceptProposals: { method: 'post', path: '/desk/{storefront}/{draft}/proposals/accept' },
  declineProposal: { method: 'post', path: '/desk/{storefront}/{draft}/proposals/decline' },
  content: { method: 'get', path: '/desk/{storefront}/{draft}/content' },
  collection: { method: 'get', path: '/desk/{storefront}/{draft}/content/collection' },
  article: { method: 'get', path: '/desk/{storefront}/{draft}/content/article' },
  askStyle: { method: 'post', path: '/desk/{storefront}/{draft}/pictures/style' },
  bringInPicture: { method: 'post', path: '/desk/{storefront}/{draft}/pictures' },
  bringInContent: { method: 'post', path: '/desk/{storefront}/{draft}/content/import' },
  topSearches: { method: 'get', path: '/desk/{storefront}/{draft}/demand/searches' },
  demand: { method: 'get', path: '/desk/{storefront}/{draft}/demand' },
  bringInLog: { method: 'post', path: '/desk/{storefront}/{draft}/demand/log' },
  keepLog: { method: 'post', path: '/desk/{storefront}/{draft}/demand/keep' },
  rows: { method: 'get', path: '/desk/{storefront}/{draft}/catalog/rows' },
  product: { method: 'get', path: '/desk/{storefront}/{draft}/catalog/product' },
  editCells: { method: 'post', path: '/desk/{storefront}/{draft}/catalog/cells' },
  editProducts: { method: 'post', path: '/desk/{storefront}/{draft}/catalog/products' },
  discard: { method: 'post', path: '/desk/{storefront}/{draft}/catalog/discard' },
  facts: { method: 'post', path: '/desk/{storefront}/{draft}/catalog/facts' },
  feed: { method: 'post', path: '/desk/{storefront}/{draft}/catalog/feed' },
  freshness: { method: 'get', path: '/desk/{storefront}/{draft}/catalog/freshness' },
  catalog: { method: 'get', path: '/desk/{storefront}/{draft}/catalog' },
  startImport: { method: 'post', path: '/desk/{storefront}/{draft}/catalog/import' },
  putBackCatalog: { method: 'post', path: '/desk/{storefront}/{draft}/catalog/put-back' },
  concerns: { method: 'get', path: '/desk/{storefront}/{draft}/catalog/import/concerns' },
  cancelImport: { method: 'post', path: '/desk/{storefront}/{draft}/catalog/import/cancel' },
  importJob: { method: 'get', path: '/desk/{storefront}/{draft}/catalog/import/job' },
  examined: { method: 'get', path: '/desk/{storefront}/{draft}/catalog/import/examined' },
  lookAgain: { method: 'post', path: '/desk/{storefront}/{draft}/catalog/import/form' },
  readImport: { method: 'post', path: '/desk/{storefront}/{draft}/catalog/import/read' },
  differences: { method: 'get', path: '/desk/{storefront}/{draft}/catalog/import/differences' },
  rejectedRows: { method: 'get', path: '/desk/{storefront}/{draft}/catalog/rejected' },
  commitImport: { method: 'post', path: '/desk/{storefront}/{draft}/catalog/import/commit' },
  sources: { method: 'get', path: '/desk/{storefront}/{draft}/catalog/sources' },
  readAgain: { method: 'post', path: '/desk/{storefront}/{draft}/catalog/sources/again' },
  correctFamilies: { method: 'post', path: '/desk/{storefront}/{draft}/catalog/families' },
  corrections: { method: 'get', path: '/desk/{storefront}/{draft}/catalog/families' },
  storefronts: { method: 'get', path: '/desk/storefronts' },
  makeStorefront: { method: 'post', path: '/desk/storefronts/make' },
  nameStorefront: { method: 'post', path: '/desk/storefronts/name' },
  archiveStorefront: { method: 'post', path: '/desk/storefronts/archive' },
  removeStorefront: { method: 'post', path: '/desk/storefronts/remove' },
  drafts: { method: 'get', path: '/desk/{storefront}/{draft}/drafts' },
  beginDraft: { method: 'post', path: '/desk/{storefront}/{draft}/drafts/begin' },
  nameDraft: { method: 'post', path: '/desk/{storefront}/{draft}/drafts/name' },
  takeOutDraft: { method: 'post', path: '/desk/{storefront}/{draft}/drafts/take-out' },
  putBackDraft: { method: 'post', path: '/desk/{storefront}/{draft}/drafts/put-back' },
  mergePreview: { method: 'get', path: '/desk/{storefront}/{draft}/merge' },
  merge: { method: 'post', path: '/desk/{storefront}/{draft}/merge' },
  history: { method: 'get', path: '/desk/{storefront}/{draft}/history' },
  keepHistory: { method: 'post', path: '/desk/{storefront}/{draft}/history/keep' },
  takeStepBack: { method: 'post', path: '/desk/{storefront}/{draft}/history/take-back' },
  previewSearch: { method: 'get', path: '/preview/{token}/search' },
  previewSuggest: { method: 'get', path: '/preview/{token}/suggest' },
  previewProduct: { method: 'get', path: '/preview/{token}/product' },
  previewArticle: { method: 'get', path: '/preview/{token}/article' },
  previewBeside: { method: 'get', path: '/preview/{token}/beside' },
  deskBeside: { method: 'get', path: '/desk/{storefront}/{draft}/beside' },
  companions: { method: 'get', path: '/desk/{storefront}/{draft}/companions' },
  previews: { method: 'get', path: '/desk/{storefront}/{draft}/previews' },
  makePreview: { method: 'post', path: '/desk/{storefront}/{draft}/previews/make' },
  withdrawPreview: { method: 'post', path: '/desk/{storefront}/{draft}/previews/withdraw' },
  shopKeys: { method: 'get', path: '/desk/{storefront}/{draft}/shop-keys' },
  makeShopKey: { method: 'post', path: '/desk/{storefront}/{draft}/shop-keys/make' },
  changeShopKey: { method: 'post', path: '/desk/{storefront}/{draft}/shop-keys/change' },
  withdrawShopKey: { method: 'post', path: '/desk/{storefront}/{draft}/shop-keys/withdraw' },
  pauseShop: { method: 'post', path: '/desk/{storefront}/{draft}/shop-keys/pause' },
  place: { method: 'post', path: '/desk/{storefront}/{draft}/here' },
  shareCatalog: { method: 'post', path: '/desk/{storefront}/{draft}/catalog/share' },
  reach: { method: 'get', path: '/desk/{storefront}/{draft}/reach' },
  ownPart: { method: 'post', path: '/desk/{storefront}/{draft}/following/own' },
  duplicates: { method: 'get', path: '/desk/{storefront}/{draft}/catalog/duplicates' },
} as const;
export type EndpointName = keyof typeof paths;

/** Addresses that answer a file or a stream rather than JSON. */
export const filePaths = {
  exportCatalog: '/desk/{storefront}/{draft}/catalog/export',
  rejectedRows: '/desk/{storefront}/{draft}/catalog/rejected.csv',
  history: '/desk/{storefront}/{draft}/history.csv',
  content: '/desk/{storefront}/{draft}/content.csv',
  /** A stream of what happens, as `api/deskEvents.ts` says. */
  events: '/desk/{storefront}/{draft}/events',
} as const;

/** First words of addresses below each side that are no storefronts. */
const wordsOf = (side: string): ReadonlySet<string> => {
  const beginning = new RegExp(`^/${side}/(?:\\{\\w+\\}/)+([^/.]+)`);
  const all = [...Object.values(paths).map(({ path }) => path), ...Object.values(filePaths)];
  return new Set(all.flatMap((path) => beginning.exec(path)?.[1] ?? []));
};
const words = new Map(['desk', 'shop'].map((side) => [side, wordsOf(side)]));

/** First words of the desk's screens: in addresses of before storefronts had names they stand first. */
export const screenNames: ReadonlySet<string> = new Set([
  ...[
    'catalog',
    'content',
    'attributes',
    'relevance',
    'vocabulary',
    'filters',
    'proposals',
    'plans',
    'hiding',
    'redirects',
  ],
  ...[
    'house-rules',
    'review',
    'companions',
    'search-box',
    'empty-shelf',
    'results-page',
    'words',
    'demand',
    'dead-ends',
    'releases',
    'storefronts',
    'drafts',
    'history',
  ],
]);

/** Ids no storefront may have, since addresses begin with them. */
export const reservedIds: ReadonlySet<string> = new Set([
  ...screenNames,
  ...[...words.values()].flatMap((each) => [...each]),
  ...[
    'desk',
    'shop',
    'assets',
    'embed',
    'pictures',
    'preview',
    'products',
    'articles',
    'basket',
    'lists',
    'storefronts',
    'suggest',
    'openapi',
  ],
]);

/** An address of a time when none named its storefront, or of somebody who means the first, in full. */
export function inFull(path: string): string {
  const [, side = '', first = ''] = path.split('/', 3);
  if (!words.get(side)?.has(/^[^.]*/.exec(first)![0])) return path;
  const named = side === 'desk' ? `/desk/${unnamed}/${unnamed}` : `/shop/${unnamed}`;
  return named + path.slice(side.length + 1);
}
