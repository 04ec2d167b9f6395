import { type RecordSet, setOfFamilies } from '../conditions/recordSet.ts';
import type { Snapshot } from '../index/snapshot.ts';

const familiesOf = new WeakMap<RecordSet, RecordSet>();

/** The products of which a variant is in a set, as a set of families: kept as long as the set of records is. */
export function familiesMet(
  { recordFamily, families }: Pick<Snapshot, 'recordFamily' | 'families'>,
  met: RecordSet,
): RecordSet {
  const made = familiesOf.get(met) ?? setOfFamilies(met, recordFamily, families);
  familiesOf.set(met, made);
  return made;
}
