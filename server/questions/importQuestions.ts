import { firstText } from '../../core/catalog/record.ts';
import { firstPage, pageSize } from '../../core/compare/firstPage.ts';
import { liveOf, type SetupRef } from '../../core/setup/setupRef.ts';
import { openRecords, readDifferences } from '../catalog/catalogReader.ts';
import type { Workbench } from '../searching/workbench.ts';

/** Searches whose first pages are looked at, and records that would be gone. */
const searchesLookedAt = 100;
const goneLookedAt = 5000;

/** What a catalog that is ready would mean for shoppers. */
export function importQuestions({ ready, current, folder, log, storefront }: Workbench) {
  const { reader } = current;
  /** Products on the first pages of the searches made most, by what is published. */
  const shownProducts = (): ReadonlySet<string> => {
    const { engine, setup } = ready(liveOf(storefront));
    const searches = log.top(searchesLookedAt).map(({ search }) => search);
    return new Set(searches.flatMap((query) => firstPage(engine, setup, query).families.slice(0, pageSize)));
  };
  return {
    /** Titles of the products on those pages of which another generation has nothing any more. */
    shownGone(_: SetupRef, generation: number): string[] {
      const shown = shownProducts();
      const newRecords = openRecords(folder, generation);
      try {
        const isKept = newRecords.prepare<[string], number>('SELECT 1 FROM record WHERE family = ? LIMIT 1').pluck();
        const titles = new Map<string, string>();
        for (const { id } of readDifferences(newRecords, 'gone', goneLookedAt)) {
          const ordinal = reader.findRecord(id);
          if (ordinal < 0) continue;
          const { familyId, values } = reader.record(ordinal);
          if (shown.has(familyId) && !titles.has(familyId) && !isKept.get(familyId))
            titles.set(familyId, firstText(values.title));
        }
        return [...titles.values()];
      } finally {
        newRecords.close();
      }
    },
  };
}
