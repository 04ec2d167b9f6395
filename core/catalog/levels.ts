/** Between the levels of a path, as a catalog's categories have them. */
export const levelMark = ' > ';

/** Every level of a path, the whole path last: what is chosen by a level is found by it. */
export function levelsOf(path: string): string[] {
  const parts = path.split(levelMark);
  return parts.map((_, at) => parts.slice(0, at + 1).join(levelMark));
}

/** The paths of some that are not levels of another one: `Paint` goes without saying where `Paint > Gouache` is said. */
export const deepestLevels = (paths: readonly string[]): string[] =>
  [...new Set(paths)].filter((path) => !paths.some((other) => other.startsWith(`${path}${levelMark}`)));

/** The last level of a path; a text that is none is its own. */
export const lastLevel = (path: string): string => path.split(levelMark).at(-1)!;

/** The last levels of a path, the last first. */
export const lastLevels = (path: string, count: number): string[] => path.split(levelMark).slice(-count).reverse();
