/** Companions go with a product, alternatives stand in for it. */
export const companionLists = ['companions', 'alternatives'] as const;
export type CompanionList = (typeof companionLists)[number];

/** Products chosen by hand for one, that never show beside it, and products with choices of their own. */
export const mostChosen = 24;
export const mostNever = 100;
export const mostWithCompanions = 20_000;

/** Where companions and alternatives show, with how many to begin with. */
export const companionShelves = ['pageCompanions', 'pageAlternatives', 'basket', 'emptyShelf'] as const;
export type CompanionShelf = (typeof companionShelves)[number];
export const mostOnShelf = 12;
export const companionShelfTexts: Readonly<Record<CompanionShelf, { readonly name: string; readonly says: string }>> = {
  pageCompanions: { name: 'Companions on a product’s page', says: 'What goes with the product.' },
  pageAlternatives: { name: 'Alternatives on a product’s page', says: 'What stands in for the product.' },
  basket: { name: 'Companions in the basket', says: 'What goes with the things in it, and is not in it yet.' },
  emptyShelf: {
    name: 'Companions on the empty shelf',
    says: 'What goes with what the shopper has in the basket or opened last; nothing for those who just came.',
  },
};
