import type { Mapping } from '../../../../core/catalog/mappingSchema.ts';

/**
 * The columns of a saved mapping laid over a proposed one, by name, with how it joins variants, its language and what tells
 * rows apart; null where the text is no mapping.
 */
export function withSaved(
  proposed: Mapping,
  text: string,
): { readonly mapping: Mapping; readonly used: number } | null {
  let saved: Partial<Mapping> | null;
  try {
    saved = JSON.parse(text) as Partial<Mapping> | null;
  } catch {
    return null;
  }
  if (saved?.format !== 'clever-shelf-mapping' || !Array.isArray(saved.columns)) return null;
  const byName = new Map(saved.columns.map((reading) => [reading?.column?.toLowerCase(), reading]));
  let used = 0;
  const columns = proposed.columns.map((reading) => {
    const own = byName.get(reading.column.toLowerCase());
    if (!own) return reading;
    used++;
    return { ...reading, ...own, column: reading.column };
  });
  const spelled = new Map(proposed.columns.map(({ column }) => [column.toLowerCase(), column]));
  const identity = Array.isArray(saved.identity)
    ? saved.identity.map((column) => spelled.get(column?.toLowerCase()))
    : [];
  // Columns that tell rows apart count only together.
  const isWhole = identity.length > 0 && identity.every((column) => column !== undefined);
  return {
    mapping: {
      ...proposed,
      columns,
      families: saved.families ?? proposed.families,
      ...(saved.language && { language: saved.language }),
      ...(isWhole && { identity: identity as string[] }),
    },
    used,
  };
}
