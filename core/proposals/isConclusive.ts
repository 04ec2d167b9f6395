/** Whether searches say anything about a catalog: another shop's log finds next to nothing in it. */
export const isConclusive = ({ looked, finding }: { readonly looked: number; readonly finding: number }): boolean =>
  looked > 0 && finding >= looked / 3;
