/**
 * Limits of what may be written into a setup, each once: the schemas hold to them, the interface's fields end at them.
 * Lengths are in characters.
 */
export const longest = {
  /** Keys of attributes, filters and plans; of decisions about products and content, which name what they are about. */
  key: 80,
  decisionKey: 700,
  hidingKey: 220,
  productId: 200,
  search: 200,
  sentence: 500,
  /** One value of an attribute, as the catalog has it. */
  value: 300,
  label: 80,
  help: 300,
  word: 40,
  /** One side of a synonym, or a phrase. */
  saying: 120,
  entryName: 80,
  planName: 120,
  orderLabel: 60,
  shopName: 60,
  webAddress: 200,
  prefix: 60,
  picture: 500,
  link: 500,
  banner: 200,
  /** A value decided for a product: a text, or one of several. */
  decidedText: 32_000,
  shortText: 200,
  /** Why a rule is there. */
  note: 500,
  /** A style sheet of one's own: every answer of the shop carries what is taken of it. */
  ownStyle: 8000,
} as const;

/** Most of each thing. */
export const most = {
  /** Weights, and the width of a close call. */
  weight: 100,
  closeCall: 100,
  signals: 12,
  signalsOfOrder: 3,
  orders: 12,
  ratingsAdded: 10_000,
  halfLife: 10_000,
  lowBelow: 1_000_000,
  /** Of a plan. */
  searches: 200,
  pins: 200,
  place: 500,
  pulls: 500,
  /** Of a plan: products first, brought in or hidden; conditions that boost, lower or hide; collections. */
  first: 200,
  planConditions: 20,
  whenChosen: 5,
  wordsOut: 20,
  planFilters: 30,
  banners: 5,
  collections: 50,
  pull: 10,
  /** Of house rules. */
  rules: 5000,
  /** Of the empty shelf. */
  suggestions: 20,
  products: 24,
  /** Of lists of words. */
  words: 500,
  sayingWords: 4,
  sayings: 20,
  conditions: 50,
  /** Of a condition: tests of one group, values of one test. */
  tests: 20,
  conditionValues: 500,
  days: 10_000,
  offers: 5,
  /** Of a filter. */
  values: 500,
  showFirst: 100,
  thresholds: 20,
  groups: 200,
  groupValues: 5000,
  groupWords: 50,
  languages: 8,
} as const;

/** Least factor of a pull; 1 is neutral. */
export const leastPull = 0.1;
