/** Screens that take the shop window's room. */
export const folded = ['/catalog/bring-in', '/catalog/reading'];
/** Every screen of the desk. */
export const screens = [
  '/catalog/products',
  '/catalog/products/p0002',
  '/catalog/content',
  '/catalog/twins',
  '/catalog/feed',
  '/catalog/log',
  ...folded,
  '/proposals',
  '/vocabulary',
  '/attributes',
  '/relevance',
  '/filters',
  '/filters/material',
  '/plans',
  '/hiding',
  '/empty-shelf',
  '/releases',
];
