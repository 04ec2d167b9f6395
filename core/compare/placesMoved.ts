/** Products of searches before and after a change, each list in order; the lists are parallel. */
interface Orders {
  readonly before: readonly (readonly string[])[];
  readonly after: readonly (readonly string[])[];
}

/** How some products move in searches, in a merchandiser's terms. */
export interface PlacesMoved {
  readonly looked: number;
  /** Searches in which any of them moves, comes or goes. */
  readonly changed: number;
  /** Of them, different products that stand higher (or come), and lower (or go), in any search. */
  readonly up: number;
  readonly down: number;
  /** Places moved on average, up or down, of those that stand in both orders; 0 where none does. */
  readonly places: number;
}

/**
 * Compares where products stand. Only `about` are counted: whatever is boosted pushes others down, which is no wish of its
 * own. What comes from, or goes, beyond the lists counts as up or down but not in the average. Cost: linear in the places.
 */
export function placesMoved({ before, after }: Orders, about: ReadonlySet<string>): PlacesMoved {
  const [up, down] = [new Set<string>(), new Set<string>()];
  let [changed, sum, moves] = [0, 0, 0];
  for (const [at, was] of before.entries()) {
    const places = new Map(was.flatMap((id, place) => (about.has(id) ? [[id, place]] : [])));
    let moved = false;
    for (const [place, id] of after[at]!.entries()) {
      if (!about.has(id)) continue;
      const from = places.get(id);
      places.delete(id);
      if (from === place) continue;
      moved = true;
      (from === undefined || place < from ? up : down).add(id);
      if (from === undefined) continue;
      sum += Math.abs(from - place);
      moves++;
    }
    for (const id of places.keys()) {
      moved = true;
      down.add(id);
    }
    if (moved) changed++;
  }
  const looked = before.length;
  return { looked, changed, up: up.size, down: down.size, places: moves === 0 ? 0 : sum / moves };
}
