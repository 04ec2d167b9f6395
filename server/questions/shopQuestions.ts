import type { Card } from '../../core/answer/answer.ts';
import type { Relation } from '../../core/companions/together.ts';
import { type ShownArticle, showArticle } from '../../core/content/shownArticle.ts';
import { describeProduct } from '../../core/product/describeProduct.ts';
import type { ProductDetail } from '../../core/product/productDetail.ts';
import { shownInFile } from '../../core/product/shownInFile.ts';
import { isNotIndexed } from '../../core/rules/isNotIndexed.ts';
import { isLeftOut } from '../../core/search/contentEngine.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import { Refused } from '../refused.ts';
import type { Workbench } from '../searching/workbench.ts';
import { openBeside } from './besideProducts.ts';

/** What the shop shows besides searches. */
export function shopQuestions({ ready, current, db, storefront }: Workbench) {
  const beside = openBeside({ db, storefront });
  return {
    /** A product's own page. It is there whatever hides the product from searches and lists, but where the file hides it. */
    shopProduct(ref: SetupRef, id: string): ProductDetail {
      const here = ready(ref);
      const { engine, setup, view } = here;
      const { snapshot } = engine;
      const family = snapshot.findFamily(id);
      const shown = family < 0 ? [] : shownInFile(snapshot, family);
      const records = shown.map((ordinal) => view.record(ordinal));
      const written = shown[0] === undefined ? '' : current.reader.written(shown[0], 'description');
      const described = describeProduct(id, records, setup.setup, written);
      if (!described) throw new Refused(404, { code: 'unknown-product', message: 'This product is not in the shop.' });
      const { pageCompanions, pageAlternatives } = setup.setup.companionShelves.shown;
      const cards = (relation: Relation, most: number): Card[] =>
        most === 0 ? [] : beside.cards(here, beside.of(here, family, relation, most));
      return {
        ...described,
        notIndexed: isNotIndexed(setup.setup, records, setup.when),
        companions: cards('goesWith', pageCompanions),
        alternatives: cards('standsIn', pageAlternatives),
      };
    },
    /** An article's own page. */
    shopArticle(ref: SetupRef, id: string): ShownArticle {
      const { content, setup } = ready(ref);
      const article = content.content.articles.find((each) => each.id === id);
      if (!article || isLeftOut(setup.setup, 'article', id))
        throw new Refused(404, { code: 'unknown-article', message: 'This article is not in the shop.' });
      return showArticle(article);
    },
  };
}
