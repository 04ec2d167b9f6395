/** Places in words: 1, 2 and 5 to 9 as `1–2, 5–9`. */
export function placesInWords(places: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const place of places) {
    const last = runs.at(-1);
    if (last && last[1] === place - 1) last[1] = place;
    else runs.push([place, place]);
  }
  return runs.map(([from, to]) => (from === to ? String(from) : `${from}–${to}`)).join(', ');
}
