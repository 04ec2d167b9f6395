/**
 * How two people's changes of one entry are put together: what its values are made of. A value that nothing is declared
 * of is taken whole, but that the fields of an object are looked at one by one.
 */
export type Inside =
  /** Elements that are there or not, in whatever order: each is added or taken out by itself. */
  | { readonly as: 'set' }
  /** Items in an order, each known by something that stays: items are looked at one by one, then their order. */
  | { readonly as: 'list'; readonly by: string; readonly of?: Inside }
  /** Texts in an order. */
  | { readonly as: 'order' }
  /** Fields, each by itself. */
  | { readonly as: 'fields'; readonly fields: Readonly<Record<string, Inside>> };

export const aSet: Inside = { as: 'set' };
export const anOrder: Inside = { as: 'order' };
export const listBy = (by: string, of?: Inside): Inside => ({ as: 'list', by, ...(of && { of }) });
export const fieldsOf = (fields: Readonly<Record<string, Inside>>): Inside => ({ as: 'fields', fields });
