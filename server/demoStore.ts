import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { Shop } from '../core/setup/terms/shop.ts';
import { bringIn, type ImportJobs } from './catalog/importJobs.ts';
import type { Writer } from './store/writes.ts';

export const demoShop: Shop = { name: 'Wren & Umber', currency: 'GBP' };

/** Brings a store's files in, a catalog, articles and collections, through the same import a user's file goes through. */
export async function loadDemoStore(
  { id, imports }: { readonly id: string; readonly imports: ImportJobs },
  writer: Pick<Writer, 'bringInContent' | 'bringInLog'>,
  folder: string,
): Promise<void> {
  const job = await bringIn(imports, join(folder, 'catalog.csv'), 'catalog.csv');
  if (job?.phase !== 'done') throw new Error(job?.error ?? 'The demo store could not be brought in.');
  await writer.bringInContent(id, 'article', join(folder, 'articles.jsonl'));
  const log = join(folder, 'log.jsonl.gz');
  if (existsSync(log)) await writer.bringInLog(id, log);
  await writer.bringInContent(id, 'collection', join(folder, 'collections.jsonl'));
}
