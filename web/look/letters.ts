/** Letters that come with the shop and are not on our own pages from the beginning. */
const later: Readonly<Record<string, () => Promise<unknown>>> = {
  bricolage: () => import('@fontsource-variable/bricolage-grotesque'),
};

/** Fetches letters by name; what does not come leaves those that every machine has. */
export async function fetchLetters(names: readonly string[]): Promise<void> {
  await Promise.allSettled(names.map((name) => later[name]?.()));
}
