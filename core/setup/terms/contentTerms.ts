export const contentKinds = ['article', 'collection'] as const;
export type ContentKind = (typeof contentKinds)[number];

/** Limits of what is imported and of what is made here alike; lengths in characters. */
export const longestContent = {
  id: 200,
  title: 500,
  articleText: 100_000,
  collectionText: 10_000,
  link: 2000,
  tag: 200,
} as const;
export const mostContent = {
  tags: 100,
  /** Products of a collection made by hand. */
  products: 5000,
} as const;

/** The attributes of each kind that search may read, with their usual weights. */
export const contentAttributes: Readonly<Record<ContentKind, readonly (readonly [string, string, number])[]>> = {
  article: [
    ['title', 'Title', 10],
    ['tags', 'Tags', 4],
    ['text', 'Text', 2],
  ],
  collection: [
    ['title', 'Title', 10],
    ['text', 'Text', 2],
  ],
};

/** The key of the setup's entry that makes an item here, or changes an imported one. */
export const madeKey = (kind: ContentKind, id: string): string => `${kind}:${id}`;

/** The key of the setup's entry that leaves one item out. */
export const leftOutKey = (kind: ContentKind, id: string): string => `leftOut:${kind}:${id}`;
