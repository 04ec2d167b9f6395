import { type NearList, nearKey } from '../../core/proposals/nearTextsIn.ts';
import type { NearTexts } from '../../core/query/nearTexts.ts';
import { allowedEdits, openNearest } from '../../core/query/spelling.ts';
import type { Language } from '../../core/text/languages.ts';
import { stem } from '../../core/text/wordForms.ts';
import type { Db } from '../store/database.ts';

/** What is near in meaning to words a storefront's catalog does not have; read only. */
export interface NearTextReader {
  /** Changes when other texts are kept. */
  version(): number;
  /** What is near by the list as it is kept now; read anew where its version has changed. */
  near(language: Language): NearTexts;
}

export function openNearTexts(db: Db, storefront: string): NearTextReader {
  const versionOf = db.prepare<[string], number>('SELECT version FROM near_text WHERE storefront = ?').pluck();
  const listOf = db.prepare<[string], string>('SELECT list FROM near_text WHERE storefront = ?').pluck();
  const version = (): number => versionOf.get(storefront) ?? 0;
  type Read = {
    readonly version: number;
    readonly list: ReadonlyMap<string, NearList[string]>;
    /** Of the single words that shoppers say something of, the nearest to a misspelt one. */
    readonly nearest: ReturnType<typeof openNearest>;
  };
  let read: Read = { version: 0, list: new Map(), nearest: openNearest([]) };
  return {
    version,
    near: (language) => (words, mayBeMisspelt) => {
      const now = version();
      if (read.version !== now) {
        const list = new Map(Object.entries(JSON.parse(listOf.get(storefront) ?? '{}') as NearList));
        const saidAlone = [...list].flatMap(([key, [first]]) =>
          first?.[1] === 'dictionary' || key.includes(' ') ? [] : [key],
        );
        read = { version: now, list, nearest: openNearest(saidAlone) };
      }
      const key = nearKey(words, (word) => stem(word, language));
      const isItself = read.list.has(key) || key.includes(' ') || !mayBeMisspelt;
      const meant = isItself ? key : read.nearest(key, allowedEdits(key.length))?.token;
      return (read.list.get(meant ?? '') ?? []).map(([text, from]) => ({ text, from }));
    },
  };
}

/** Keeps what is near for a storefront; the same list once more changes nothing. */
export function nearTextWriter(db: Db) {
  const keep = db.prepare(
    `INSERT INTO near_text (storefront, version, list) VALUES (@storefront, 1, @list)
     ON CONFLICT (storefront) DO UPDATE SET version = version + 1, list = excluded.list WHERE list <> excluded.list`,
  );
  const isThere = db.prepare<[string], number>('SELECT 1 FROM storefront WHERE id = ?').pluck();
  return (storefront: string, list: NearList): void => {
    // Made while the storefront was removed: it is let go.
    if (isThere.get(storefront)) keep.run({ storefront, list: JSON.stringify(list) });
  };
}
