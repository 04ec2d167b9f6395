import { keptList } from './keptList.ts';

/** Products whose chosen variant is kept, the one chosen last at the end. */
const kept = 20;

/** The variants a shopper chose on cards in this visit, by product: a product's page may be another document, and begins with it. */
export interface ChosenVariants {
  of(product: string): string | undefined;
  choose(product: string, variant: string): void;
}

/** Within one document only, for whoever is no shopper. */
export function chosenHere(): ChosenVariants {
  const chosen = new Map<string, string>();
  return { of: (product) => chosen.get(product), choose: (product, variant) => void chosen.set(product, variant) };
}

const isPair = (entry: unknown): entry is readonly [string, string] =>
  Array.isArray(entry) && entry.length === 2 && entry.every((text) => typeof text === 'string');

export function chosenVariantsIn(storefront: string): ChosenVariants {
  const stored = keptList(() => sessionStorage, `chosen ${storefront}`, isPair);
  const here = chosenHere();
  return {
    of: (product) => here.of(product) ?? stored.list().find(([id]) => id === product)?.[1],
    choose(product, variant) {
      // Where nothing can be kept, this document knows it.
      here.choose(product, variant);
      const others = stored.list().filter(([id]) => id !== product);
      stored.keep([...others, [product, variant] as const].slice(-kept));
    },
  };
}
