import { levelMark, levelsOf } from '../catalog/levels.ts';
import { perColumns } from '../index/perColumns.ts';
import type { Snapshot } from '../index/snapshot.ts';

/**
 * What kind of thing each product is: its deepest category, or its kind where the catalog has no categories. Kinds are
 * numbered from 0 as they are met.
 */
export interface Kinds {
  readonly names: readonly string[];
  /** By family its kind's number, -1 where nothing is known. */
  readonly ofFamily: Int32Array;
  /** By kind its families, what sells most first. */
  readonly families: readonly Uint32Array[];
  /** By kind the words for its highest level: kinds of another one serve another purpose. */
  readonly highest: readonly string[];
}

/** Whether two kinds serve different purposes: their highest levels differ, or the kinds where there are no levels. Of an unknown one (-1) nobody can say so. */
export const areApart = ({ highest }: Kinds, one: number, other: number): boolean =>
  one >= 0 && other >= 0 && highest[one] !== highest[other];

/** Units sold of a family, 0 where nothing is known. */
export function soldOf({ numbers }: Pick<Snapshot, 'numbers'>, family: number): number {
  const amount = numbers.get('units_sold')?.ofFamily(family) ?? 0;
  return Number.isNaN(amount) ? 0 : amount;
}

const columns = ['category', 'kind', 'units_sold'] as const;
const known = perColumns<Kinds>(8);
/** Cost: a pass over the families, once for each way these columns stand. */
export const kindsOf = (snapshot: Snapshot): Kinds => known(snapshot, columns, '', () => sortKinds(snapshot));

function sortKinds(snapshot: Snapshot): Kinds {
  const { families, values, recordsOf } = snapshot;
  const column = values.get('category') ?? values.get('kind');
  const names: string[] = [];
  const byName = new Map<string, number>();
  const ofFamily = new Int32Array(families).fill(-1);
  const own: number[][] = [];
  const depths = column ? Array.from({ length: column.size }, (_, at) => levelsOf(column.name(at)).length) : [];
  for (let family = 0; column && family < families; family++) {
    let deepest = -1;
    column.each(recordsOf(family)[0], (value) => {
      if (deepest < 0 || depths[value]! > depths[deepest]!) deepest = value;
    });
    if (deepest < 0) continue;
    const name = column.name(deepest);
    let kind = byName.get(name);
    if (kind === undefined) {
      kind = names.push(name) - 1;
      byName.set(name, kind);
      own.push([]);
    }
    ofFamily[family] = kind;
    own[kind]!.push(family);
  }
  return {
    names,
    ofFamily,
    families: own.map((all) =>
      Uint32Array.from(all.sort((a, b) => soldOf(snapshot, b) - soldOf(snapshot, a) || a - b)),
    ),
    highest: names.map((name) => name.split(levelMark)[0]!),
  };
}
