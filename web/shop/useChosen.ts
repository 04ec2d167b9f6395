import { useState } from 'react';
import type { Result } from '../../core/answer/answer.ts';

/** Products of the window that something is to be done to together. */
export interface Chosen {
  /** Those in sight, in the order in which they stand. */
  readonly products: readonly Result[];
  has(product: Result): boolean;
  /** `upTo`: with all between it and the one before that. */
  choose(product: Result, is: boolean, upTo?: boolean): void;
  clear(): void;
}

/** What is chosen stays while the results change, and begins anew with another search; `of` says which it is. */
export function useChosen(results: readonly Result[], of: string): Chosen {
  const [kept, setKept] = useState<{ of: string; ids: ReadonlySet<string>; last: string | null }>();
  const { ids, last } = kept?.of === of ? kept : { ids: new Set<string>(), last: null };
  return {
    products: results.filter(({ familyId }) => ids.has(familyId)),
    has: ({ familyId }) => ids.has(familyId),
    choose(product, is, upTo = false) {
      const from = upTo ? results.findIndex(({ familyId }) => familyId === last) : -1;
      const at = results.indexOf(product);
      const meant = from === -1 ? [product] : results.slice(Math.min(from, at), Math.max(from, at) + 1);
      const next = new Set(ids);
      for (const { familyId } of meant)
        if (is) next.add(familyId);
        else next.delete(familyId);
      setKept({ of, ids: next, last: product.familyId });
    },
    clear: () => setKept(undefined),
  };
}
