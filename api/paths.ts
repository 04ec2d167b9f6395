/**
 * Where each endpoint is: its method and path by name. Apart from the endpoints' schemas, so that the interface can
 * call them by name without carrying the validation that only the server does.
 */
export const paths = {
  shopSearch: { method: 'get', path: '/shop/search' },
  deskSearch: { method: 'get', path: '/desk/search' },
  why: { method: 'get', path: '/desk/why' },
  state: { method: 'get', path: '/desk/state' },
  edit: { method: 'post', path: '/desk/edits' },
  undo: { method: 'post', path: '/desk/undo' },
  redo: { method: 'post', path: '/desk/redo' },
  publish: { method: 'post', path: '/desk/publish' },
  releases: { method: 'get', path: '/desk/releases' },
  takeBack: { method: 'post', path: '/desk/releases/again' },
  attributes: { method: 'get', path: '/desk/attributes' },
  values: { method: 'get', path: '/desk/values' },
  products: { method: 'get', path: '/desk/products' },
  effect: { method: 'get', path: '/desk/effect' },
  proposals: { method: 'get', path: '/desk/proposals' },
  acceptProposals: { method: 'post', path: '/desk/proposals/accept' },
  declineProposal: { method: 'post', path: '/desk/proposals/decline' },
  content: { method: 'get', path: '/desk/content' },
  bringInContent: { method: 'post', path: '/desk/content/import' },
  demand: { method: 'get', path: '/desk/demand' },
  bringInLog: { method: 'post', path: '/desk/demand/log' },
  noteSearch: { method: 'post', path: '/shop/log/search' },
  noteOutcome: { method: 'post', path: '/shop/log/outcome' },
  rows: { method: 'get', path: '/desk/catalog/rows' },
  product: { method: 'get', path: '/desk/catalog/product' },
  editCells: { method: 'post', path: '/desk/catalog/cells' },
  editProducts: { method: 'post', path: '/desk/catalog/products' },
  giveUp: { method: 'post', path: '/desk/catalog/give-up' },
  facts: { method: 'post', path: '/desk/catalog/facts' },
  feed: { method: 'post', path: '/desk/catalog/feed' },
  freshness: { method: 'get', path: '/desk/catalog/freshness' },
  catalog: { method: 'get', path: '/desk/catalog' },
  startImport: { method: 'post', path: '/desk/catalog/import' },
  cancelImport: { method: 'post', path: '/desk/catalog/import/cancel' },
  importJob: { method: 'get', path: '/desk/catalog/import/job' },
  examined: { method: 'get', path: '/desk/catalog/import/examined' },
  lookAgain: { method: 'post', path: '/desk/catalog/import/form' },
  readImport: { method: 'post', path: '/desk/catalog/import/read' },
  differences: { method: 'get', path: '/desk/catalog/import/differences' },
  rejectedRows: { method: 'get', path: '/desk/catalog/rejected' },
  commitImport: { method: 'post', path: '/desk/catalog/import/commit' },
  sources: { method: 'get', path: '/desk/catalog/sources' },
  readAgain: { method: 'post', path: '/desk/catalog/sources/again' },
  correctFamilies: { method: 'post', path: '/desk/catalog/families' },
  corrections: { method: 'get', path: '/desk/catalog/families' },
  twins: { method: 'get', path: '/desk/catalog/twins' },
} as const;
export type EndpointName = keyof typeof paths;

/** Addresses that answer a file rather than JSON. */
export const filePaths = {
  exportCatalog: '/desk/catalog/export',
  rejectedRows: '/desk/catalog/rejected.csv',
} as const;
