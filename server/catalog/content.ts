import { z } from 'zod';
import { type Db, storefrontId } from '../store/database.ts';
import { FileProblem } from './sources/source.ts';

const article = z.object({
  id: z.string().min(1).max(200),
  title: z.string().min(1).max(500),
  text: z.string().max(100_000),
  link: z.string().max(2000),
  tags: z.array(z.string().max(200)).max(100).default([]),
});
const collection = z.object({
  id: z.string().min(1).max(200),
  title: z.string().min(1).max(500),
  attribute: z.string().min(1).max(80),
  values: z.array(z.string().max(500)).min(1).max(1000),
});
const schemas = { article, collection } as const;
export type ContentKind = keyof typeof schemas;

/** Takes articles or collections from JSON Lines, replacing the former ones in one step; all or none. */
export function importContent(db: Db, kind: ContentKind, text: string): number {
  const items = text.split('\n').flatMap((line, index) => {
    if (line.trim() === '') return [];
    const wrong = (why: string) => new FileProblem('bad-line', `Line ${index + 1} is no ${kind}: ${why}`);
    let value: unknown;
    try {
      value = JSON.parse(line);
    } catch {
      throw wrong('it is not JSON.');
    }
    const parsed = schemas[kind].safeParse(value);
    if (!parsed.success) {
      const issue = parsed.error.issues[0]!;
      throw wrong(`${issue.path.join('.') || 'the line'}: ${issue.message}.`);
    }
    return [parsed.data];
  });
  const write = db.prepare('INSERT OR REPLACE INTO content (storefront, kind, id, value) VALUES (?, ?, ?, ?)');
  db.transaction(() => {
    db.prepare('DELETE FROM content WHERE storefront = ? AND kind = ?').run(storefrontId, kind);
    for (const item of items) write.run(storefrontId, kind, item.id, JSON.stringify(item));
  }).immediate();
  return items.length;
}

export function countContent(db: Db, kind: ContentKind): number {
  return db
    .prepare<[string, string], number>('SELECT count(*) FROM content WHERE storefront = ? AND kind = ?')
    .pluck()
    .get(storefrontId, kind)!;
}
