import type { EntryChange } from '../../core/setup/entries.ts';
import type { SetupPart } from '../../core/setup/registry.ts';
import type { Db } from './database.ts';
import { readChanges } from './readChanges.ts';

/** Something somebody did in a storefront: a step in a draft, or a release. */
export interface HistoryStep {
  /** Of a step in a draft its number in the journal; of a release its own, below 0. */
  readonly id: number;
  readonly at: number;
  readonly who: string;
  /** Null of a release. */
  readonly draft: string | null;
  readonly kind: 'edit' | 'undo' | 'redo' | 'release';
  /** Of a merge, the setup it was of. */
  readonly source: string | null;
  /** Of a release, its note. */
  readonly note: string;
  readonly changes: readonly EntryChange[];
}

/** Which steps are asked for; what is absent leaves nothing out. */
export interface HistoryFilter {
  readonly draft?: string | undefined;
  readonly who?: string | undefined;
  readonly part?: SetupPart | undefined;
  /** Changes that name this product. */
  readonly product?: string | undefined;
  /** Only what came before this step. */
  readonly before?: { readonly at: number; readonly id: number } | undefined;
}

interface Row extends Omit<HistoryStep, 'changes'> {
  readonly changes: string | null;
}

/** Reads what anybody did in one storefront, newest first. */
export interface HistoryReader {
  steps(filter: HistoryFilter, limit: number): HistoryStep[];
  /** Everybody who did something, in order of names. */
  people(): string[];
}

/** A text within the JSON of changes, as `LIKE` looks for it. */
const within = (text: string): string => `%${JSON.stringify(text).replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`;

export function openHistoryReader(db: Db, storefront: string): HistoryReader {
  // A release without a list of its changes is the first one: it is the beginning of all, not a change.
  const read = db.prepare<Record<string, string | number | null>, Row>(
    `SELECT * FROM (
       SELECT id, at, who, draft, kind, source, '' AS note, changes FROM journal
       WHERE storefront = @storefront AND (@draft IS NULL OR draft = @draft)
       UNION ALL
       SELECT -number AS id, at, who, NULL AS draft, 'release' AS kind, NULL AS source, note, changes FROM release
       WHERE storefront = @storefront
     )
     WHERE (@who IS NULL OR who = @who)
       AND (@part IS NULL OR changes LIKE @part ESCAPE '\\')
       AND (@product IS NULL OR changes LIKE @product ESCAPE '\\')
       AND (@at IS NULL OR (at, id) < (@at, @id))
     ORDER BY at DESC, id DESC LIMIT @limit`,
  );
  const people = db
    .prepare<{ storefront: string }, string>(
      `SELECT who FROM journal WHERE storefront = @storefront
       UNION SELECT who FROM release WHERE storefront = @storefront ORDER BY who`,
    )
    .pluck();
  return {
    steps({ draft, who, part, product, before }, limit) {
      return read
        .all({
          ...{ storefront, limit, draft: draft ?? null, who: who ?? null },
          part: part === undefined ? null : `%"part":${JSON.stringify(part)}%`,
          product: product === undefined ? null : within(product),
          ...{ at: before?.at ?? null, id: before?.id ?? null },
        })
        .map(({ changes, ...step }) => ({ ...step, changes: changes ? readChanges(changes) : [] }));
    },
    people: () => people.all({ storefront }),
  };
}
