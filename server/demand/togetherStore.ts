import type { SaidByLog } from '../../core/companions/companionsOf.ts';
import type { Pair, Together, VisitTaken } from '../../core/companions/together.ts';
import type { Db } from '../store/database.ts';

/** Pairs kept for one storefront: about 100 bytes each. */
export const mostKept = 100_000;

/** The visits of a storefront's log in which anything was opened or taken, one after the other. */
export function* visitsIn(db: Db, storefront: string): Generator<VisitTaken> {
  const rows = db
    .prepare<[string], [string, number, string, string]>(
      `SELECT l.session, l.id, o.kind, o.product FROM search_log l JOIN search_outcome o ON o.search_id = l.id
       WHERE l.storefront = ? AND l.by_desk = 0 ORDER BY l.session, l.at, l.id`,
    )
    .raw()
    .iterate(storefront);
  let [session, search]: [string | null, number] = [null, -1];
  let [opened, taken]: [string[][], string[]] = [[], []];
  for (const [ofSession, ofSearch, kind, product] of rows) {
    if (ofSession !== session) {
      if (session !== null) yield { opened, taken };
      [session, search, opened, taken] = [ofSession, -1, [], []];
    }
    if (ofSearch !== search) {
      search = ofSearch;
      opened.push([]);
    }
    // Whoever takes a product has looked at it, opened or not.
    opened.at(-1)!.push(product);
    if (kind !== 'click') taken.push(product);
  }
  if (session !== null) yield { opened, taken };
}

/** What the log of a storefront says of what belongs together, as it was counted last; read only. */
export interface TogetherReader extends SaidByLog {
  /** What it was counted from; empty where it never was. */
  madeFrom(): string;
}

export function openTogether(db: Db, storefront: string): TogetherReader {
  const pairs = db.prepare<[string, string, string], Pair>(
    `SELECT one, other, both, of_one AS "of", by_chance AS byChance, score FROM together
     WHERE storefront = ? AND relation = ? AND one = ? ORDER BY place`,
  );
  const note = db.prepare<[string], { madeFrom: string; visits: number }>(
    'SELECT made_from AS madeFrom, visits FROM together_note WHERE storefront = ?',
  );
  return {
    get visits() {
      return note.get(storefront)?.visits ?? 0;
    },
    madeFrom: () => note.get(storefront)?.madeFrom ?? '',
    products: (relation, product) => pairs.all(storefront, relation, product),
    kinds: (kind) => pairs.all(storefront, 'kinds', kind),
  };
}

/** Keeps what belongs together, in place of what was kept: all of it or nothing. */
export function togetherWriter(db: Db): (storefront: string, madeFrom: string, together: Together) => void {
  const isThere = db.prepare<[string], number>('SELECT 1 FROM storefront WHERE id = ?').pluck();
  const clear = db.prepare('DELETE FROM together WHERE storefront = ?');
  const keep = db.prepare(
    `INSERT INTO together (storefront, relation, one, place, other, both, of_one, by_chance, score)
     VALUES (@storefront, @relation, @one, @place, @other, @both, @of, @byChance, @score)`,
  );
  const note = db.prepare(
    `INSERT INTO together_note (storefront, made_from, visits) VALUES (@storefront, @madeFrom, @visits)
     ON CONFLICT (storefront) DO UPDATE SET made_from = excluded.made_from, visits = excluded.visits`,
  );
  return db.transaction((storefront: string, madeFrom: string, { products, kinds, visits }: Together): void => {
    // Counted while the storefront was removed: it is let go.
    if (!isThere.get(storefront)) return;
    clear.run(storefront);
    const all = { ...products, kinds };
    let left = mostKept;
    for (const relation of ['kinds', 'goesWith', 'standsIn'] as const) {
      const strongest = [...all[relation]].sort((a, b) => b.score - a.score).slice(0, left);
      left -= strongest.length;
      const places = new Map<string, number>();
      for (const pair of strongest) {
        const place = (places.get(pair.one) ?? 0) + 1;
        places.set(pair.one, place);
        keep.run({ ...pair, storefront, relation, place });
      }
    }
    note.run({ storefront, madeFrom, visits });
  });
}
