import type { Statement } from 'better-sqlite3';
import { listIn } from '../../core/base/listCell.ts';
import { named } from '../../core/base/named.ts';
import type { Cells } from '../../core/catalog/readRow.ts';
import { type ImportedContent, importedArticle, importedCollection } from '../../core/content/content.ts';
import type { ContentKind } from '../../core/setup/terms/contentTerms.ts';
import type { Db } from '../store/database.ts';
import { detectForm } from './sources/detectForm.ts';
import { openSource } from './sources/openSource.ts';
import { FileProblem } from './sources/source.ts';

const lists = new Set(['tags', 'values', 'products', 'first']);

/** The texts of a cell; one that only looks like JSON is split at its bars. */
function textsIn(cell: string): string[] {
  try {
    return listIn(cell);
  } catch {
    return listIn(` ${cell}`);
  }
}

/** A row as an item: lists split where the file has them as one text; names of columns in any case. */
function itemOf(kind: ContentKind, cells: Cells): unknown {
  const known = Object.keys((kind === 'article' ? importedArticle : importedCollection).shape);
  const item = named<unknown>();
  for (const [name, cell] of Object.entries(cells)) {
    const key = name.trim().toLowerCase();
    if (!known.includes(key) || cell.length === 0) continue;
    if (lists.has(key))
      item[key] = typeof cell === 'string' ? textsIn(cell) : cell.map((each) => each.trim()).filter(Boolean);
    else item[key] = typeof cell === 'string' ? cell : cell.join(', ');
  }
  return item;
}

export interface ContentImported {
  readonly items: number;
  readonly refused: { readonly line: number; readonly column: string; readonly reason: string }[];
}

/** Takes articles or collections from a file (CSV, JSON, JSON Lines), replacing the former ones in one step. */
export async function importContent(
  db: Db,
  storefront: string,
  kind: ContentKind,
  path: string,
): Promise<ContentImported> {
  const source = openSource(path, detectForm(path));
  const items = new Map<string, unknown>();
  const refused: ContentImported['refused'] = [];
  for await (const row of source.rows) {
    if ('reason' in row) {
      refused.push(row);
      continue;
    }
    const parsed = (kind === 'article' ? importedArticle : importedCollection).safeParse(itemOf(kind, row.cells));
    if (!parsed.success) {
      const issue = parsed.error.issues[0]!;
      refused.push({ line: row.line, column: issue.path.join('.'), reason: issue.message });
    } else if (items.has(parsed.data.id))
      refused.push({
        line: row.line,
        column: 'id',
        reason: `The id “${parsed.data.id}” stands in an earlier row already.`,
      });
    else items.set(parsed.data.id, parsed.data);
  }
  if (items.size === 0) {
    const first = refused[0];
    const why = first ? ` Line ${first.line}: ${first.column} ${first.reason}.` : '';
    throw new FileProblem('no-rows', `The file holds no ${kind} that could be taken.${why}`);
  }
  const write = db.prepare('INSERT INTO content (storefront, kind, id, value) VALUES (?, ?, ?, ?)');
  db.transaction(() => {
    db.prepare('DELETE FROM content WHERE storefront = ? AND kind = ?').run(storefront, kind);
    for (const [id, item] of items) write.run(storefront, kind, id, JSON.stringify(item));
    db.prepare(
      'INSERT INTO content_version (storefront, version) VALUES (?, 1) ON CONFLICT (storefront) DO UPDATE SET version = version + 1',
    ).run(storefront);
  }).immediate();
  return { items: items.size, refused };
}

export function countContent(db: Db, storefront: string, kind: ContentKind): number {
  return db
    .prepare<[string, string], number>('SELECT count(*) FROM content WHERE storefront = ? AND kind = ?')
    .pluck()
    .get(storefront, kind)!;
}

/** Changes with every import of articles or collections. */
export function contentVersion(db: Db, storefront: string): number {
  let read = versions.get(db);
  if (!read) {
    read = db.prepare<[string], number>('SELECT version FROM content_version WHERE storefront = ?').pluck();
    versions.set(db, read);
  }
  return read.get(storefront) ?? 0;
}
/** It is asked with every search, so its statement is prepared once for each connection. */
const versions = new WeakMap<Db, Statement<[string], number>>();

export function readContent(db: Db, storefront: string): ImportedContent {
  const of = (kind: ContentKind): unknown[] =>
    db
      .prepare<[string, string], string>('SELECT value FROM content WHERE storefront = ? AND kind = ? ORDER BY id')
      .pluck()
      .all(storefront, kind)
      .map((text) => JSON.parse(text));
  return {
    articles: of('article').map((item) => importedArticle.parse(item)),
    collections: of('collection').map((item) => importedCollection.parse(item)),
  };
}

function importedItem(db: Db, storefront: string, kind: string, id: string): { title?: string; picture?: string } {
  const text = db
    .prepare<[string, string, string], string>('SELECT value FROM content WHERE storefront = ? AND kind = ? AND id = ?')
    .pluck()
    .get(storefront, kind, id);
  return text === undefined ? {} : JSON.parse(text);
}

/** The picture that an imported article or collection names, by `article:ID` or `collection:ID`; none where it names none. */
export function importedPicture(db: Db, storefront: string, owner: string): string[] {
  const at = owner.indexOf(':');
  const { picture = '' } = importedItem(db, storefront, owner.slice(0, at), owner.slice(at + 1));
  return picture === '' ? [] : [picture];
}

export const importedCollectionTitle = (db: Db, storefront: string, id: string): string | undefined =>
  importedItem(db, storefront, 'collection', id).title;
