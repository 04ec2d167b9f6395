import { firstText } from '../../core/catalog/record.ts';
import { labelOfKey } from '../../core/catalog/standardColumns.ts';
import type { Setup } from '../../core/setup/schema.ts';
import type { NamesForChanges } from '../../core/setup/terms/part.ts';
import type { Db } from '../store/database.ts';
import type { CatalogReader } from './catalogReader.ts';
import { contentVersion, importedCollectionTitle } from './content.ts';

type Content = Setup['content'];
/** The part as it is without a setup. */
const nothingMade: Content = {};
const noCatalog = {};

/** Names by catalog, and by what is decided about collections: the same object as long as both are, and no file came in. */
const known = new WeakMap<object, WeakMap<Content, { readonly version: string; readonly names: NamesForChanges }>>();

/** Names of attributes and products as a storefront's catalog has them, and of collections under a setup. */
export function namesOf(options: {
  readonly db: Db;
  readonly storefront: string;
  readonly catalog: CatalogReader | null;
  readonly setup: Pick<Setup, 'content'> | null;
}): NamesForChanges {
  const { db, storefront, catalog, setup } = options;
  const content = setup?.content ?? nothingMade;
  const ofCatalog = known.get(catalog ?? noCatalog) ?? new WeakMap();
  known.set(catalog ?? noCatalog, ofCatalog);
  const version = `${storefront}/${contentVersion(db, storefront)}`;
  const before = ofCatalog.get(content);
  if (before?.version === version) return before.names;
  const names = makeNames(catalog, content, (id) => importedCollectionTitle(db, storefront, id));
  ofCatalog.set(content, { version, names });
  return names;
}

function makeNames(
  catalog: CatalogReader | null,
  content: Content,
  importedTitle: (collection: string) => string | undefined,
): NamesForChanges {
  const labels = new Map(catalog?.snapshot.attributes.map(({ key, label }) => [key, label]));
  const made = new Map(
    Object.values(content).flatMap((entry): [string, string][] =>
      entry.what === 'collection' && entry.title !== undefined ? [[entry.id, entry.title]] : [],
    ),
  );
  return {
    attribute: (key) => labels.get(key) ?? labelOfKey(key),
    product: (id) => {
      const record = catalog?.familyRecord(id);
      return record ? `“${firstText(record.values.title)}”` : `“${id}” (no longer in the catalog)`;
    },
    collection: (id) => {
      const title = made.get(id) ?? importedTitle(id);
      return title === undefined ? `“${id}” (no longer there)` : `“${title}”`;
    },
  };
}
