/** How products stand: as cards side by side, as rows with their picture, or as short rows without one. */
export const layoutShapes = ['grid', 'list', 'compact'] as const;
export type LayoutShape = (typeof layoutShapes)[number];
export const shapeNames: Readonly<Record<LayoutShape, string>> = {
  grid: 'cards side by side',
  list: 'rows with their picture',
  compact: 'short rows without a picture',
};

/** What follows the products shown at once: pages, a button that shows more below, or more as the shopper comes to the end. */
export const layoutWays = ['pages', 'button', 'endless'] as const;
export type LayoutWay = (typeof layoutWays)[number];
export const wayNames: Readonly<Record<LayoutWay, string>> = {
  pages: 'pages',
  button: 'a button that shows more below',
  endless: 'more, as shoppers come to the end',
};

/** How a picture fits its place. */
export const pictureFits = ['contain', 'cover'] as const;
export const fitNames: Readonly<Record<(typeof pictureFits)[number], string>> = {
  contain: 'whole, with room around it',
  cover: 'over all of its place, cut where it must be',
};

/** By the room the results have, in CSS pixels: below the first they stand as on a phone, from the second as on a wide screen. */
export const layoutRooms = { middle: 480, wide: 940 } as const;
export const roomNames = { narrow: 'in little room', middle: 'in some room', wide: 'in much room' } as const;
export type LayoutRoom = keyof typeof roomNames;

/** How results stand until somebody decides. */
export const usualLayout = {
  shape: 'grid',
  inRow: { narrow: 2, middle: 3, wide: 4 },
  picture: { height: 118, fit: 'contain' },
  atOnce: 24,
  way: 'pages',
} as const;

/** Cards in a row; pixels of a picture's height; products shown at once; products that stand below each other at most. */
export const inRowLimits = { least: 1, most: 8 } as const;
export const pictureLimits = { least: 40, most: 480 } as const;
/** Pixels from one product to the next, and what they are until somebody decides. */
export const apartLimits = { least: 0, most: 48 } as const;
export const usuallyApart = 14;
export const atOnceLimits = { least: 4, most: 96 } as const;
export const mostBelow = 480;
/** Times that more comes by itself before the shopper is asked, so that what is below the results can be reached. */
export const timesByItself = 3;
