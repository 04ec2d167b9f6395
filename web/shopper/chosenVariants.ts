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

export function chosenVariantsIn(storefront: string): ChosenVariants {
  const key = `chosen ${storefront}`;
  const here = chosenHere();
  const isPair = (entry: unknown): entry is readonly [string, string] =>
    Array.isArray(entry) && entry.length === 2 && entry.every((text) => typeof text === 'string');
  const list = (): readonly (readonly [string, string])[] => {
    try {
      const stored: unknown = JSON.parse(sessionStorage.getItem(key) ?? '[]');
      return Array.isArray(stored) ? stored.filter(isPair) : [];
    } catch {
      // A browser that keeps nothing, or another writing: then none was chosen elsewhere.
      return [];
    }
  };
  return {
    of: (product) => here.of(product) ?? list().find(([id]) => id === product)?.[1],
    choose(product, variant) {
      here.choose(product, variant);
      try {
        const others = list().filter(([id]) => id !== product);
        sessionStorage.setItem(key, JSON.stringify([...others, [product, variant]].slice(-kept)));
      } catch {
        // Where nothing can be kept, this document knows it.
      }
    },
  };
}
