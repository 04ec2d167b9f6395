import type { Sections } from './sections.ts';
import { openStrings } from './stringTable.ts';

/** Which number each family id has. */
export interface FamilyIds {
  idOf(family: number): string;
  /** Number of an id, or -1. Cost: a bisection; a lookup where it was asked for lately. */
  find(id: string): number;
  /** Place of a family's id among all ids in order. */
  rankOf(family: number): number;
}

/** Answers kept: rules and plans name the same products with every search. All are forgotten when there are more. */
const mostKept = 10_000;

const opened = new WeakMap<SharedArrayBuffer, FamilyIds>();

/** Opens the ids of an index. No patch changes a family's id, so all indexes over the same first layer share one. */
export function openFamilyIds(base: SharedArrayBuffer, sections: Sections, families: number): FamilyIds {
  const known = opened.get(base);
  if (known) return known;
  const table = openStrings(sections, 'families');
  const familyOf = sections.u32('families.of');
  const rank = new Uint32Array(families);
  for (let at = 0; at < families; at++) rank[familyOf[at]!] = at;
  const found = new Map<string, number>();
  const ids: FamilyIds = {
    idOf: (family) => table.get(rank[family]!),
    find(id) {
      const before = found.get(id);
      if (before !== undefined) return before;
      const at = table.find(id);
      const family = at < 0 ? -1 : familyOf[at]!;
      if (found.size >= mostKept) found.clear();
      found.set(id, family);
      return family;
    },
    rankOf: (family) => rank[family]!,
  };
  opened.set(base, ids);
  return ids;
}
