import { type Concern, replaceConcerns } from '../../core/catalog/replaceConcerns.ts';
import type { Searcher } from '../searching/searcher.ts';
import type { Desk } from './services.ts';

/** What has to be asked about before the catalog that is ready replaces the one in force. */
export async function concernsAbout(
  { ref, imports, catalogs }: Pick<Desk, 'ref' | 'imports' | 'catalogs'>,
  searcher: Pick<Searcher, 'shownGone'>,
): Promise<Concern[]> {
  const ready = imports.ready();
  if (!ready) return [];
  const { rejected, records, generation } = ready;
  const counts = { rows: records, refused: rejected };
  const current = catalogs.current();
  if (!current || ready.base === 0)
    return replaceConcerns({ before: 0, gone: 0, compared: 0, pricesChanged: 0, shownGone: [], ...counts });
  const { gone, changed, unchanged, attributes } = ready.differences;
  return replaceConcerns({
    ...counts,
    before: current.snapshot.records,
    gone,
    compared: changed + unchanged,
    pricesChanged: attributes.find(({ key }) => key === 'price')?.records ?? 0,
    shownGone: gone > 0 ? await searcher.shownGone(ref, generation) : [],
  });
}
