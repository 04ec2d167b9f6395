/** Products chosen in a list: some by id, or all that the list shows but some, so that one can be taken out of thousands. */
export interface ChosenProducts {
  readonly isAll: boolean;
  /** Those chosen, or where all are, those that are not. */
  readonly ids: ReadonlySet<string>;
}

export const noneChosen: ChosenProducts = { isAll: false, ids: new Set() };
export const allChosen: ChosenProducts = { isAll: true, ids: new Set() };

export const isChosen = ({ isAll, ids }: ChosenProducts, product: string): boolean => isAll !== ids.has(product);

/** How many are chosen of so many that the list shows. */
export const countChosen = ({ isAll, ids }: ChosenProducts, products: number): number =>
  isAll ? Math.max(0, products - ids.size) : ids.size;

/** The same with one product more, or one fewer. */
export function withChosen({ isAll, ids }: ChosenProducts, product: string, chosen: boolean): ChosenProducts {
  const next = new Set(ids);
  if (chosen === isAll) next.delete(product);
  else next.add(product);
  return { isAll, ids: next };
}
