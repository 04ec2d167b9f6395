/** A short list that the browser keeps, for the tab (`sessionStorage`) or for good (`localStorage`). */
export interface KeptList<Entry> {
  /** Empty where the browser keeps nothing, or where others wrote there. */
  list(): readonly Entry[];
  /** Where nothing can be kept, nothing is. */
  keep(entries: readonly Entry[]): void;
}

export const isText = (entry: unknown): entry is string => typeof entry === 'string';

/** `storage` is asked for only when it is needed: a browser may refuse even that. */
export function keptList<Entry>(
  storage: () => Storage,
  key: string,
  isEntry: (entry: unknown) => entry is Entry,
): KeptList<Entry> {
  return {
    list() {
      try {
        const stored: unknown = JSON.parse(storage().getItem(key) ?? '[]');
        return Array.isArray(stored) ? stored.filter(isEntry) : [];
      } catch {
        return [];
      }
    },
    keep(entries) {
      try {
        storage().setItem(key, JSON.stringify(entries));
      } catch {
        // Full, or refused.
      }
    },
  };
}
