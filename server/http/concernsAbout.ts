import { firstText } from '../../core/catalog/record.ts';
import { type Concern, replaceConcerns } from '../../core/catalog/replaceConcerns.ts';
import { openRecords, readDifferences } from '../catalog/catalogReader.ts';
import type { Services } from './services.ts';

/** Searches whose first pages are looked at, and records that would be gone. */
const searchesLookedAt = 100;
const goneLookedAt = 5000;

/** What has to be asked about before the catalog that is ready replaces the one in force. */
export async function concernsAbout({ imports, catalogs, folder, searcher }: Services): Promise<Concern[]> {
  const ready = imports.ready();
  if (!ready) return [];
  const { rejected, records } = ready;
  const taken = { rows: records, refused: rejected };
  const current = catalogs.current();
  if (!current || ready.base === 0)
    return replaceConcerns({ before: 0, gone: 0, compared: 0, pricesChanged: 0, shownGone: [], ...taken });
  const { gone, changed, unchanged, attributes } = ready.differences;
  return replaceConcerns({
    ...taken,
    before: current.snapshot.records,
    gone,
    compared: changed + unchanged,
    pricesChanged: attributes.find(({ key }) => key === 'price')?.records ?? 0,
    shownGone: gone > 0 ? await shownGone() : [],
  });

  async function shownGone(): Promise<string[]> {
    const shown = new Set(await searcher.shownProducts(searchesLookedAt));
    const newRecords = openRecords(folder, ready!.generation);
    try {
      const isKept = newRecords.prepare<[string], number>('SELECT 1 FROM record WHERE family = ? LIMIT 1').pluck();
      const titles = new Map<string, string>();
      for (const { id } of readDifferences(newRecords, 'gone', goneLookedAt)) {
        const ordinal = current!.findRecord(id);
        if (ordinal < 0) continue;
        const { familyId, values } = current!.record(ordinal);
        if (shown.has(familyId) && !titles.has(familyId) && !isKept.get(familyId))
          titles.set(familyId, firstText(values.title));
      }
      return [...titles.values()];
    } finally {
      newRecords.close();
    }
  }
}
