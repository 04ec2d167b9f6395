/** What a search that finds nothing may look like. */
export const looks = ['question', 'partNumber', 'size', 'name'] as const;
export type Look = (typeof looks)[number];
export const lookTexts: Readonly<Record<Look, { readonly name: string; readonly example: string }>> = {
  question: { name: 'a question', example: '“how long does delivery take”, “returns?”' },
  partNumber: { name: 'a part number', example: '“WU-2041-B”, “50412287”' },
  size: { name: 'only a size or an amount', example: '“A3”, “30 x 40 cm”, “size 12”' },
  name: { name: 'a name you do not carry', example: 'a word that neither the catalog nor the dictionary has' },
};

/** Lines of tips, products of one kind that are looked up, articles, and special pages, at most. */
export const mostTips = 6;
export const mostLookedUp = 12;
export const mostShelfArticles = 6;
export const mostSpecialShelves = 300;
export const mostShelfWords = 50;
