/** What stands among results besides products. */
export const besideKinds = ['collections', 'articles'] as const;
export type BesideKind = (typeof besideKinds)[number];

/** Where it stands; a tab shows all of it in place of the products. */
export const besidePlaces = ['above', 'between', 'below', 'tab', 'none'] as const;
export type BesidePlace = (typeof besidePlaces)[number];
export const besidePlaceNames: Readonly<Record<BesidePlace, string>> = {
  above: 'above the products',
  between: 'between the products',
  below: 'below the products',
  tab: 'on a tab of their own',
  none: 'not at all',
};

/** Of one kind where it stands with the products, and where all of it is shown. */
export const mostBesides = 12;
export const mostOfKind = 60;
/** Products before what stands between them. */
export const mostBefore = 48;

/** Blocks that look within a collection, and products of one. */
export const mostBlocks = 5;
export const mostInBlock = 12;
export const blockPlaces = ['above', 'below'] as const;
/** Stands for what was searched for in a block's heading. */
export const searchMark = '{search}';

export const usualBesides = {
  collections: { where: 'above', most: 6 },
  articles: { where: 'below', most: 4 },
  after: 6,
  blocks: [],
} as const;
