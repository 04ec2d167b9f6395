import { contentEndpoints } from '../../api/contentEndpoints.ts';
import type { Collection } from '../../core/content/content.ts';
import { contentSetting, isLeftOut } from '../../core/content/contentEngine.ts';
import { bindScope } from '../../core/content/scope.ts';
import type { Snapshot } from '../../core/index/snapshot.ts';
import { tokenize } from '../../core/text/tokenize.ts';
import { importContent, readContent } from '../catalog/content.ts';
import { namesFrom } from './deskState.ts';
import { withFile } from './receiveFile.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

function productsIn(snapshot: Snapshot, collection: Collection): number {
  const scope = bindScope(snapshot, collection);
  const families = new Set<number>();
  for (let record = 0; record < snapshot.records; record++)
    if (scope.contains(record)) families.add(snapshot.recordFamily[record]!);
  return families.size;
}

/** Articles and collections. */
export function serveContent(serve: Serve, { db, setups, catalogs, folder }: Services): void {
  serve(contentEndpoints.content, () => {
    const { articles, collections } = readContent(db);
    const setup = setups.draft();
    const snapshot = catalogs.standing()?.view(setup).snapshot;
    const names = namesFrom(catalogs);
    return {
      articles: articles.map(({ id, title, link, text }) => ({
        id,
        title,
        link,
        words: tokenize(text).length,
        isLeftOut: isLeftOut(setup, 'article', id),
      })),
      collections: collections.map((collection) => ({
        id: collection.id,
        title: collection.title,
        rule:
          collection.products.length > 0
            ? 'Chosen by hand, in this order'
            : `${names.attribute(collection.attribute)} is ${collection.values.join(' or ')}`,
        products: snapshot ? productsIn(snapshot, collection) : 0,
        isLeftOut: isLeftOut(setup, 'collection', collection.id),
      })),
      settings: { article: contentSetting(setup, 'article'), collection: contentSetting(setup, 'collection') },
    };
  });
  serve(
    contentEndpoints.bringInContent,
    ({ kind }, _, context) => withFile(context, folder, (path) => importContent(db, kind, path)),
    false,
  );
}
