import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import type { ShopTerms } from '../core/catalog/shopTerms.ts';
import { checkEdit } from '../core/setup/entries.ts';
import type { SetupPart } from '../core/setup/registry.ts';
import { followableParts } from '../core/setup/terms/followable.ts';
import { type Shop, shopSchema } from '../core/setup/terms/shop.ts';
import type { EntryEdit } from '../core/setup/withEntry.ts';
import { languages } from '../core/text/languages.ts';
import { bringIn, type ImportJobs } from './catalog/importJobs.ts';
import type { SetupReader } from './store/setupStore.ts';
import { firstDraft } from './store/setupStore.ts';
import type { WriteOutcome } from './store/writeOutcome.ts';
import type { Writer } from './store/writes.ts';

export const demoShop: Shop = { name: 'Wren & Umber', currency: 'GBP' };
/** What its first storefront's texts and amounts are in. */
export const demoTerms: ShopTerms = { languages: ['en'], currency: demoShop.currency };

const entriesGiven = z.array(z.strictObject({ part: z.string(), key: z.string(), value: z.unknown() }));

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

/** What a store's folder says its setup begins with: entries of any part, held to their schemas. */
export function demoEntries(folder: string): EntryEdit[] {
  const file = join(folder, 'setup.json');
  if (!existsSync(file)) return [];
  return entriesGiven.parse(JSON.parse(readFileSync(file, 'utf8'))).map((entry) => {
    const checked = checkEdit({ ...entry, part: entry.part as SetupPart });
    if ('refusal' in checked) throw new Error(`${file}: ${JSON.stringify(checked.refusal)}`);
    return checked.edit;
  });
}

/** A further storefront of a store, which shares the first one's records. */
const demoStorefront = z.strictObject({
  name: z.string(),
  shop: shopSchema,
  language: z.enum(languages),
  /** Parts in which it follows the first one. */
  follows: z.array(z.enum(followableParts)),
  /** What is decided for it besides. */
  entries: entriesGiven,
});

/** Who makes what nobody asked for. */
const ourselves = 'Clever Shelf';

/** Makes the further storefronts that a store's folder tells of; they have no catalog before they are brought up to the first one's. */
export async function loadDemoStorefronts(options: {
  readonly lender: string;
  readonly writer: Pick<Writer, 'makeStorefront' | 'edit' | 'publish'>;
  readonly setupsOf: (storefront: string) => SetupReader;
  readonly folder: string;
  readonly now: () => number;
}): Promise<void> {
  const { lender, writer, setupsOf, now } = options;
  const file = join(options.folder, 'storefronts.json');
  if (!existsSync(file)) return;
  const done = (outcome: WriteOutcome): void => {
    if ('refusal' in outcome) throw new Error(`${file}: ${JSON.stringify(outcome.refusal)}`);
  };
  for (const given of z.array(demoStorefront).parse(JSON.parse(readFileSync(file, 'utf8')))) {
    const { name, shop, language, follows, entries } = given;
    const from = { storefront: lender, catalog: 'share', follow: false } as const;
    const id = await writer.makeStorefront({ name, shop, language, from }, ourselves, now());
    const ref = { storefront: id, draft: firstDraft };
    const edits = [
      ...entries.map(({ part, key, value }) => ({ part: part as SetupPart, key, value })),
      ...follows.map((part) => ({ part: 'following' as const, key: part, value: { storefront: lender } })),
    ];
    done(await writer.edit(ref, edits, setupsOf(id).revision(), ourselves, now()));
    done(await writer.publish(ref, setupsOf(id).revision(), ourselves, `As ${name} begins`, now()));
  }
}
