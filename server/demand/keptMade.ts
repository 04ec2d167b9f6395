/** Something made from catalog and log, with what says whether it is outdated. */
export type Made<What> = What & { readonly version: string };

/** What is made from the catalog and the log of one storefront, and kept. */
export interface KeptMade<What> {
  /** What was made last, at once; null before anything was. Where it is outdated, or there is none, another is begun. */
  now(): Made<What> | null;
  /** What was made last, or the first one when it is made; null where it cannot be. */
  made(): Promise<Made<What> | null>;
}

/**
 * Keeps what was made while another is made, since that takes a pass over catalog and log. `versionOf` changes with
 * everything it is made from, and is null where there is nothing to make it from.
 */
export function keptMade<What extends object>(options: {
  readonly make: (version: string) => Promise<What>;
  readonly versionOf: () => string | null;
  readonly onError: (error: unknown) => void;
}): KeptMade<What> {
  const { make, versionOf, onError } = options;
  let kept: Made<What> | null = null;
  let making: Promise<void> | null = null;
  const begin = (): void => {
    const version = versionOf();
    if (version === null || kept?.version === version || making) return;
    making = make(version)
      .then((what) => {
        kept = { ...what, version };
      })
      // Who asked has all the rest; whoever comes next asks for it again.
      .catch(onError)
      .finally(() => {
        making = null;
      });
  };
  const now = (): Made<What> | null => {
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
