import { noSuchStorefront } from '../refused.ts';
import type { Db } from './database.ts';

/** Writes about what is kept of the past. */
export interface HistoryWrites {
  /** Says for how many days a storefront's history is kept; null: for good. */
  keepHistory(storefront: string, days: number | null): void;
  /**
   * Removes steps older than what each storefront keeps, at most so many at once; answers how many. What is needed stays,
   * however old: of each person the last steps of a draft, which undo takes back; what an open draft did since the release
   * it is up to; what led to the release that is live; merges by which drafts know what they have in common.
   */
  pruneHistory(now: number): number;
}

const aDay = 86_400_000;
/** Steps of each person in a draft that undo can always take back. */
const undoKept = 100;
/** Steps removed at once: other writes come in between. */
const prunedAtOnce = 2000;

export function openHistoryWrites(db: Db): HistoryWrites {
  const setDays = db.prepare('UPDATE storefront SET history_days = ? WHERE id = ?');
  const limited = db.prepare<[], { id: string; days: number }>(
    'SELECT id, history_days AS days FROM storefront WHERE history_days IS NOT NULL',
  );
  const old = db.prepare<Record<string, string | number>, { id: number; draft: string; revision: number }>(
    `WITH recent AS (
       SELECT id, row_number() OVER (PARTITION BY draft, who ORDER BY id DESC) AS place FROM journal
       WHERE storefront = @storefront AND kind = 'edit' AND state IN ('done', 'undone')
     ),
     live AS (
       SELECT coalesce(
         (SELECT max(r.at) FROM release r WHERE r.storefront = s.id AND r.number < s.release),
         (SELECT r.at FROM release r WHERE r.storefront = s.id AND r.number = s.release), 0) AS since
       FROM storefront s WHERE s.id = @storefront
     )
     SELECT j.id AS id, j.draft AS draft, j.revision AS revision FROM journal j
     LEFT JOIN draft d ON d.storefront = j.storefront AND d.id = j.draft AND d.removed_at IS NULL
     LEFT JOIN release b ON b.storefront = d.storefront AND b.number = d.base_release
     WHERE j.storefront = @storefront AND j.at < @before AND j.at < (SELECT since FROM live)
       AND (d.id IS NULL OR (b.at IS NOT NULL AND j.at < b.at
            AND j.id NOT IN (SELECT id FROM recent WHERE place <= @undoKept)))
       AND j.id NOT IN (SELECT step FROM draft_base WHERE storefront = @storefront)
     ORDER BY j.id LIMIT @most`,
  );
  const remove = db.prepare('DELETE FROM journal WHERE id = ?');
  // Who knows a draft as it was before that cannot follow it by its steps any more.
  const notePruned = db.prepare(
    'UPDATE draft SET pruned_to = max(pruned_to, @revision) WHERE storefront = @storefront AND id = @draft',
  );
  return {
    keepHistory(storefront, days) {
      if (setDays.run(days, storefront).changes === 0) throw noSuchStorefront();
    },
    pruneHistory: db.transaction((now: number): number => {
      let removed = 0;
      for (const { id: storefront, days } of limited.all()) {
        const rows = old.all({ storefront, before: now - days * aDay, undoKept, most: prunedAtOnce - removed });
        for (const { id, draft, revision } of rows) {
          remove.run(id);
          notePruned.run({ storefront, draft, revision });
        }
        removed += rows.length;
      }
      return removed;
    }).immediate,
  };
}
