import type { Collection } from '../../core/content/content.ts';
import type { Snapshot } from '../../core/index/snapshot.ts';
import { contentSetting, isLeftOut } from '../../core/search/contentEngine.ts';
import { bindScope } from '../../core/search/scope.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import { tokenize } from '../../core/text/tokenize.ts';
import { namesOf } from '../catalog/namesOf.ts';
import type { Workbench } from '../searching/workbench.ts';

function productsIn(snapshot: Snapshot, collection: Collection): number {
  const scope = bindScope(snapshot, collection);
  const families = new Set<number>();
  for (let record = 0; record < snapshot.records; record++)
    if (scope.contains(record)) families.add(snapshot.recordFamily[record]!);
  return families.size;
}

/** Articles and collections as the desk lists them. */
export function contentQuestions({ ready, current }: Workbench) {
  return {
    content(ref: SetupRef) {
      const { view, setup: prepared, content } = ready(ref);
      const { setup } = prepared;
      const { articles, collections } = content.content;
      const names = namesOf(current.reader);
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
          products: productsIn(view.snapshot, collection),
          isLeftOut: isLeftOut(setup, 'collection', collection.id),
        })),
        settings: { article: contentSetting(setup, 'article'), collection: contentSetting(setup, 'collection') },
      };
    },
  };
}
