/** The parts a storefront can follow another one's in, with what is in each, as it stands at the head of a sentence. */
export const followable = {
  attributes: 'Attributes',
  relevance: 'Rules of relevance',
  filters: 'Filters',
  valueGroups: 'Value groups',
  vocabulary: 'Words of the vocabulary',
  plans: 'Shelf plans',
  houseRules: 'House rules',
  hiding: 'Hidden products and tags',
  companions: 'Companions chosen by hand',
  companionShelves: 'Where companions show',
  resultsPage: 'Layout of the results',
  look: 'Look of the shop',
  badges: 'Badges',
  searchBox: 'Settings of the search box',
  suggestedSearches: 'Suggested searches',
  emptyShelf: 'Settings of the empty shelf',
  specialShelves: 'Special pages of the empty shelf',
  wording: 'Texts of the shop',
  products: 'Decisions about products',
  content: 'Decisions about articles and collections',
} as const;

export type FollowablePart = keyof typeof followable;
export const followableParts = Object.keys(followable) as FollowablePart[];
export const isFollowable = (part: string): part is FollowablePart => Object.hasOwn(followable, part);
