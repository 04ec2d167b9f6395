/** The chosen filters of a validated query, by filter key. */
export function chosenFilters(query: Readonly<Record<string, unknown>>): Record<string, string[]> {
  const chosen: Record<string, string[]> = {};
  for (const [name, value] of Object.entries(query))
    if (name.startsWith('f.')) chosen[name.slice(2)] = (Array.isArray(value) ? value : [value]) as string[];
  return chosen;
}

/** The same, the other way round: what a page's address carries. */
export function filterParameters(chosen: Readonly<Record<string, readonly string[]>>): [string, string][] {
  return Object.entries(chosen).flatMap(([key, values]) =>
    values.map((value): [string, string] => [`f.${key}`, value]),
  );
}
