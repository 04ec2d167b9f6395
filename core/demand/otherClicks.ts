/** What shoppers choose besides products among results: lines of the search box by what they are, what is put in the basket there, and banners. */
export const boxClicks = ['search', 'within', 'product', 'collection', 'article', 'all', 'basket'] as const;
export const otherClicks = [...boxClicks, 'banner'] as const;
export type OtherClick = (typeof otherClicks)[number];
/** Of what was chosen, in characters. */
export const longestTarget = 500;
