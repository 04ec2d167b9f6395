/** What a module asks for as it is loaded, and later. */
export type ModuleOf = (
  id: string,
) => { readonly importedIds: readonly string[]; readonly dynamicallyImportedIds: readonly string[] } | null;

/** Everything that is loaded before a page can begin; with `later`, everything it may ever load. */
export function loadedBy(entry: string, moduleOf: ModuleOf, later = false): ReadonlySet<string> {
  const found = new Set([entry]);
  for (const id of found) {
    const module = moduleOf(id);
    for (const imported of module?.importedIds ?? []) found.add(imported);
    if (later) for (const imported of module?.dynamicallyImportedIds ?? []) found.add(imported);
  }
  return found;
}
