export const contentKinds = ['article', 'collection'] as const;
export type ContentKind = (typeof contentKinds)[number];

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

/** The key of the setup's entry that leaves one item out. */
export const leftOutKey = (kind: ContentKind, id: string): string => `leftOut:${kind}:${id}`;
