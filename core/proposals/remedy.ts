import type { EntryEdit } from '../setup/withEntry.ts';

export const remedyKinds = ['correction', 'synonym', 'treatAs', 'phrase', 'bringIn', 'article', 'page'] as const;
export type RemedyKind = (typeof remedyKinds)[number];

/** Something that mends a dead end, not yet tried out. */
export interface Remedy {
  /** The same for the same remedy of a dead end. */
  readonly id: string;
  readonly kind: RemedyKind;
  /** What it does, as a sentence without a full stop. */
  readonly title: string;
  readonly edits: readonly EntryEdit[];
}

/** What happened after a search: what was tried next, and what was opened then. */
export interface WhatNext {
  readonly tried: readonly { readonly to: string; readonly sessions: number }[];
  /** Products opened by whoever had made the search, most often opened first. */
  readonly opened: readonly string[];
}
