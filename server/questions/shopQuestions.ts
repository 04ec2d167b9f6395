import type { Article } from '../../core/content/content.ts';
import { isHidden } from '../../core/index/recordMask.ts';
import { describeProduct } from '../../core/product/describeProduct.ts';
import type { ProductDetail } from '../../core/product/productDetail.ts';
import { isLeftOut } from '../../core/search/contentEngine.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import { Refused } from '../refused.ts';
import type { Workbench } from '../searching/workbench.ts';

/** What the shop shows besides searches. */
export function shopQuestions({ ready, current }: Workbench) {
  return {
    /** A product's own page. One that is hidden everywhere is not there; one hidden from some places still is. */
    shopProduct(ref: SetupRef, id: string): ProductDetail {
      const { engine, setup, view } = ready(ref);
      const family = engine.snapshot.findFamily(id);
      const [first, end] = family < 0 ? [0, 0] : engine.snapshot.recordsOf(family);
      const everywhere = [setup.hidden, setup.hiddenFromEmptyShelf, setup.at.collections.hidden];
      const shown = Array.from({ length: end - first }, (_, at) => first + at).filter((ordinal) =>
        everywhere.some((hidden) => !isHidden(hidden, ordinal)),
      );
      const records = shown.map((ordinal) => view.record(ordinal));
      const written = shown[0] === undefined ? '' : current.reader.written(shown[0], 'description');
      const described = describeProduct(id, records, setup.setup, written);
      if (!described) throw new Refused(404, { code: 'unknown-product', message: 'This product is not in the shop.' });
      return described;
    },
    /** An article's own page. */
    shopArticle(ref: SetupRef, id: string): Article {
      const { content, setup } = ready(ref);
      const article = content.content.articles.find((each) => each.id === id);
      if (!article || isLeftOut(setup.setup, 'article', id))
        throw new Refused(404, { code: 'unknown-article', message: 'This article is not in the shop.' });
      return article;
    },
  };
}
