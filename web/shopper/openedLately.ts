const kept = 5;

/** The products a shopper opened last in this visit, the last first: kept by the browser's tab and told to nobody but as a question. */
export interface OpenedLately {
  list(): readonly string[];
  note(product: string): void;
}

export const nothingOpened: OpenedLately = { list: () => [], note() {} };

export function openedLatelyIn(storefront: string): OpenedLately {
  const key = `opened ${storefront}`;
  const list = (): readonly string[] => {
    try {
      const stored: unknown = JSON.parse(sessionStorage.getItem(key) ?? '[]');
      return Array.isArray(stored) ? stored.filter((id): id is string => typeof id === 'string') : [];
    } catch {
      // A browser that keeps nothing, or another writing: then there were none.
      return [];
    }
  };
  return {
    list,
    note(product) {
      try {
        const others = list().filter((id) => id !== product);
        sessionStorage.setItem(key, JSON.stringify([product, ...others].slice(0, kept)));
      } catch {
        // Where nothing can be kept, nothing is.
      }
    },
  };
}
