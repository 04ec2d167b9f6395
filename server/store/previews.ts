import type { DraftRef } from '../../core/setup/setupRef.ts';
import type { Db } from './database.ts';

/** A link by which a draft's shop is shown to somebody without the desk. */
export interface Preview {
  /** What the link ends in; whoever knows it sees the shop under the draft until it ends. */
  readonly token: string;
  readonly ref: DraftRef;
  readonly who: string;
  readonly madeAt: number;
  readonly endsAt: number;
  readonly withdrawnAt: number | null;
}

/** Links that one draft may have open at once. */
export const mostPreviews = 50;

type Row = Omit<Preview, 'ref'> & DraftRef;
const columns = `token, storefront, draft, who, made_at AS madeAt, ends_at AS endsAt, withdrawn_at AS withdrawnAt`;
const previewOf = ({ storefront, draft, ...row }: Row): Preview => ({ ...row, ref: { storefront, draft } });

/** Reads the links of drafts. */
export interface PreviewReader {
  /** The link of a token that is open at a moment, or null. */
  open(token: string, at: number): Preview | null;
  /** Links of a draft that are open at a moment, newest first. */
  ofDraft(ref: DraftRef, at: number): Preview[];
}

export function openPreviewReader(db: Db): PreviewReader {
  const isOpen = 'withdrawn_at IS NULL AND ends_at > @at';
  const one = db.prepare<{ token: string; at: number }, Row>(
    `SELECT ${columns} FROM preview WHERE token = @token AND ${isOpen}`,
  );
  const all = db.prepare<DraftRef & { at: number }, Row>(
    `SELECT ${columns} FROM preview WHERE storefront = @storefront AND draft = @draft AND ${isOpen} ORDER BY made_at DESC`,
  );
  return {
    open(token, at) {
      const row = one.get({ token, at });
      return row ? previewOf(row) : null;
    },
    ofDraft: ({ storefront, draft }, at) => all.all({ storefront, draft, at }).map(previewOf),
  };
}

/** Writes about links. */
export interface PreviewWrites {
  makePreview(preview: Omit<Preview, 'withdrawnAt'>): void;
  /** Ends a link of a draft at once. */
  withdrawPreview(ref: DraftRef, token: string, at: number): void;
}

export function openPreviewWrites(db: Db): PreviewWrites {
  const add = db.prepare(
    `INSERT INTO preview (token, storefront, draft, who, made_at, ends_at)
     VALUES (@token, @storefront, @draft, @who, @madeAt, @endsAt)`,
  );
  const withdraw = db.prepare(
    `UPDATE preview SET withdrawn_at = @at
     WHERE token = @token AND storefront = @storefront AND draft = @draft AND withdrawn_at IS NULL`,
  );
  return {
    makePreview: ({ ref, ...preview }) => void add.run({ ...preview, ...ref }),
    withdrawPreview: (ref, token, at) => void withdraw.run({ ...ref, token, at }),
  };
}
