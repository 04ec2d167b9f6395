/** Searches that may be offered, packed for threads (`buildCompletions`), and what they were made from. */
export interface PackedPhrases {
  readonly version: string;
  readonly shared: SharedArrayBuffer;
}

/** The searches of one storefront that may be offered. */
export interface KeptPhrases {
  /** Those made last, at once; null before any were. Where they are outdated, or there are none, others are begun. */
  now(): PackedPhrases | null;
  /** Those made last, or the first ones when they are made; null where they cannot be. */
  made(): Promise<PackedPhrases | null>;
}

/**
 * Keeps the searches that may be offered while others are made, since that takes a pass over catalog and log. `versionOf`
 * changes with everything they are made from, and is null where there is nothing to make them from.
 */
export function keptPhrases(options: {
  readonly make: () => Promise<SharedArrayBuffer>;
  readonly versionOf: () => string | null;
  readonly onError: (error: unknown) => void;
}): KeptPhrases {
  const { make, versionOf, onError } = options;
  let kept: PackedPhrases | null = null;
  let making: Promise<void> | null = null;
  const begin = (): void => {
    const version = versionOf();
    if (version === null || kept?.version === version || making) return;
    making = make()
      .then((shared) => {
        kept = { version, shared };
      })
      // Who is in the box has all the rest; whoever comes next asks for them again.
      .catch(onError)
      .finally(() => {
        making = null;
      });
  };
  const now = (): PackedPhrases | null => {
    begin();
    return kept;
  };
  return {
    now,
    async made() {
      const there = now();
      if (there === null) await making;
      return kept;
    },
  };
}
