/** Screens that take the shop window's room. */
export const folded = ['/catalog/bring-in', '/catalog/reading'];
/** Every screen of the desk. */
export const screens = [
  '/catalog/products',
  '/catalog/products/p0002',
  '/content',
  '/catalog/duplicates',
  '/catalog/feed',
  '/demand',
  ...folded,
  '/proposals',
  '/vocabulary',
  '/vocabulary/stop-words',
  '/vocabulary/phrases',
  '/vocabulary/values',
  '/vocabulary/spelling',
  '/attributes',
  '/relevance',
  '/filters',
  '/filters/material',
  '/plans',
  '/hiding',
  '/empty-shelf',
  '/releases',
];
