/** A list with one item put at another place, both counted from 0. */
export function movedTo<Item>(items: readonly Item[], from: number, to: number): Item[] {
  const moved = items.filter((_, at) => at !== from);
  moved.splice(to, 0, items[from]!);
  return moved;
}
