/** Between the levels of a path, as a catalog's categories have them. */
export const levelMark = ' > ';

/** Every level of a path, the whole path last: what is chosen by a level is found by it. */
export function levelsOf(path: string): string[] {
  const parts = path.split(levelMark);
  return parts.map((_, at) => parts.slice(0, at + 1).join(levelMark));
}
