import type { DraftRef } from '../../core/setup/setupRef.ts';
import type { Db } from './database.ts';

/** A storefront as it is listed. */
export interface StorefrontHead {
  readonly id: string;
  /** What it is called at the desk; empty: as the shop is called. */
  readonly name: string;
  readonly madeAt: number;
  /** Since when shoppers are told that it is closed, or null. */
  readonly archivedAt: number | null;
  /** The catalog's generation in force, 0 where none has come in. */
  readonly generation: number;
  /** The storefront whose records it shares, or null where its catalog is its own. */
  readonly shares: string | null;
  /** For how many days its history is kept; null: for good. */
  readonly historyDays: number | null;
  /** 1 where what shoppers do is not written; for how many days it is kept, null: for good. */
  readonly logOff: number;
  readonly logDays: number | null;
}

/** A draft as it is listed. */
export interface DraftHead {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  /** Who began it. */
  readonly who: string;
  readonly madeAt: number;
  /** When somebody changed something in it last. */
  readonly touchedAt: number;
  readonly removedAt: number | null;
  /** The release it was begun from or brought up to last; null where it was begun from another draft. */
  readonly baseRelease: number | null;
}

/** Which storefronts there are, and which drafts each has; read anew with every question. */
export interface StorefrontReader {
  /** Oldest first. */
  storefronts(): StorefrontHead[];
  storefront(id: string): StorefrontHead | null;
  /** The one that is meant where an address names none: the oldest that is open, or else the oldest. */
  first(): StorefrontHead | null;
  /** Oldest first; those taken out too. */
  drafts(storefront: string): DraftHead[];
  draft(ref: DraftRef): DraftHead | null;
}

const columns =
  'id, name, made_at AS madeAt, archived_at AS archivedAt, generation, shares, history_days AS historyDays, log_off AS logOff, log_days AS logDays';
const draftColumns = `d.id AS id, d.name AS name, d.note AS note, d.who AS who, d.made_at AS madeAt,
  coalesce((SELECT max(at) FROM journal j WHERE j.storefront = d.storefront AND j.draft = d.id), d.made_at) AS touchedAt,
  d.removed_at AS removedAt, d.base_release AS baseRelease`;

export function openStorefrontReader(db: Db): StorefrontReader {
  const all = db.prepare<[], StorefrontHead>(`SELECT ${columns} FROM storefront ORDER BY made_at, id`);
  const one = db.prepare<[string], StorefrontHead>(`SELECT ${columns} FROM storefront WHERE id = ?`);
  const drafts = db.prepare<[string], DraftHead>(
    `SELECT ${draftColumns} FROM draft d WHERE d.storefront = ? ORDER BY d.made_at, d.rowid`,
  );
  const draft = db.prepare<[string, string], DraftHead>(
    `SELECT ${draftColumns} FROM draft d WHERE d.storefront = ? AND d.id = ?`,
  );
  return {
    storefronts: () => all.all(),
    storefront: (id) => one.get(id) ?? null,
    first() {
      const storefronts = all.all();
      return storefronts.find(({ archivedAt }) => archivedAt === null) ?? storefronts[0] ?? null;
    },
    drafts: (storefront) => drafts.all(storefront),
    draft: (ref) => draft.get(ref.storefront, ref.draft) ?? null,
  };
}
