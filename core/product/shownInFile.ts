import type { Snapshot } from '../index/snapshot.ts';

/** The records of a family that the file itself does not hide, in its order. Cost: one look a record. */
export function shownInFile({ recordsOf, values }: Snapshot, family: number): number[] {
  const byFile = values.get('hidden');
  const [from, to] = recordsOf(family);
  return Array.from({ length: to - from }, (_, at) => from + at).filter((record) => (byFile?.first(record) ?? -1) < 0);
}
