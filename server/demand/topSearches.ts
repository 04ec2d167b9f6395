/** One of the searches made most, and how often it was. */
export interface TopSearch {
  readonly search: string;
  readonly searches: number;
}

/** The searches made most, so many of them. */
export type TopSearches = (limit: number) => Promise<readonly TopSearch[]>;

/** Searches that are kept. */
const mostTopSearches = 200;

/**
 * Keeps the searches made most, since nearly every screen begins by asking for them and counting waits behind what takes
 * long. `versionOf` is the log's (`LogStore.version`): what it says before the first slash changes with an import of a log
 * and is waited for; what shoppers do meanwhile only shifts the list, so the list kept is answered while another is counted.
 */
export function keptTopSearches(options: {
  readonly count: (limit: number) => Promise<readonly TopSearch[]>;
  readonly versionOf: () => string;
}): TopSearches {
  const { count, versionOf } = options;
  let kept: { readonly version: string; readonly list: Promise<readonly TopSearch[]> } | null = null;
  let newer: string | null = null;
  const importIn = (version: string): string => version.split('/', 1)[0]!;
  return async (limit) => {
    const version = versionOf();
    const list = kept?.list;
    if (!list || importIn(kept!.version) !== importIn(version)) {
      const counted = count(mostTopSearches);
      kept = { version, list: counted };
      // What failed is asked for again by whoever comes next.
      counted.catch(() => {
        if (kept?.list === counted) kept = null;
      });
      return (await counted).slice(0, limit);
    }
    if (kept!.version !== version && newer !== version) {
      newer = version;
      void count(mostTopSearches)
        .then((counted) => {
          kept = { version, list: Promise.resolve(counted) };
        })
        .catch(() => {})
        .finally(() => {
          newer = null;
        });
    }
    return (await list).slice(0, limit);
  };
}
