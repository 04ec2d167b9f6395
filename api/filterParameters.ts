import { named } from '../core/base/named.ts';
/**
 * The chosen filters of a validated query, by filter key. One that is given without a value (`f.colour=`) says that
 * nothing is chosen in it, not even what is preselected.
 */
export function chosenFilters(query: Readonly<Record<string, unknown>>): Record<string, string[]> {
  const chosen = named<string[]>();
  for (const [name, value] of Object.entries(query))
    if (name.startsWith('f.')) chosen[name.slice(2)] = ([value].flat() as string[]).filter((text) => text !== '');
  return chosen;
}

/** The same, the other way round: what a page's address carries. */
export function filterParameters(chosen: Readonly<Record<string, readonly string[]>>): [string, string][] {
  return Object.entries(chosen).flatMap(([key, values]) =>
    (values.length === 0 ? [''] : values).map((value): [string, string] => [`f.${key}`, value]),
  );
}
