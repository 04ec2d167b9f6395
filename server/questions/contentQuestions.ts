import { writeContentCsv } from '../../core/content/contentCsv.ts';
import type { Article, Collection } from '../../core/content/decidedContent.ts';
import { showArticle } from '../../core/content/shownArticle.ts';
import { contentSetting, isLeftOut } from '../../core/search/contentEngine.ts';
import { bindScope } from '../../core/search/scope.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import { conditionInWords } from '../../core/setup/terms/conditionInWords.ts';
import type { ContentKind } from '../../core/setup/terms/contentTerms.ts';
import { tokenize } from '../../core/text/tokenize.ts';
import { Refused } from '../refused.ts';
import type { Ready, Workbench } from '../searching/workbench.ts';

function productsIn({ view: { snapshot }, setup }: Ready, collection: Collection): number {
  const scope = bindScope(snapshot, collection, setup.today);
  const families = new Set<number>();
  for (let record = 0; record < snapshot.records; record++)
    if (scope.contains(record)) families.add(snapshot.recordFamily[record]!);
  return families.size;
}

const notThere = (kind: ContentKind): Refused =>
  new Refused(404, { code: `unknown-${kind}`, message: `There is no such ${kind}.` });

/** Articles and collections as the desk lists them. */
export function contentQuestions({ ready, names: namesUnder }: Workbench) {
  const listArticle = ({ setup: { setup } }: Ready, { id, origin, title, link, plain }: Article) => ({
    ...{ id, origin, title, link },
    words: tokenize(plain).length,
    isLeftOut: isLeftOut(setup, 'article', id),
  });
  const listCollection = (here: Ready, collection: Collection) => {
    const { id, origin, title, parent, condition } = collection;
    const names = namesUnder(here.setup.setup);
    return {
      ...{ id, origin, title, parent },
      rule: condition
        ? conditionInWords(condition, names.attribute, names.collection)
        : 'Chosen by hand, in this order',
      products: productsIn(here, collection),
      isLeftOut: isLeftOut(here.setup.setup, 'collection', id),
      isThere: here.content.collections.includes(collection),
    };
  };
  return {
    /** Cost: a pass over the records for each collection. */
    content(ref: SetupRef) {
      const here = ready(ref);
      const { articles, collections } = here.content.content;
      const { setup } = here.setup;
      return {
        articles: articles.map((article) => listArticle(here, article)),
        collections: collections.map((collection) => listCollection(here, collection)),
        settings: { article: contentSetting(setup, 'article'), collection: contentSetting(setup, 'collection') },
      };
    },
    /** Articles or collections as they are decided, as CSV that can be imported. */
    contentFile: (ref: SetupRef, kind: ContentKind): string => writeContentCsv(ready(ref).content.content, kind),
    collection(ref: SetupRef, id: string) {
      const here = ready(ref);
      const collection = here.content.content.collections.find((each) => each.id === id);
      if (!collection) throw notThere('collection');
      const { text, picture, condition, products, first, sort, direction } = collection;
      return {
        ...listCollection(here, collection),
        ...{ text, picture, condition, chosen: [...products], first: [...first], sort, direction },
      };
    },
    article(ref: SetupRef, id: string) {
      const here = ready(ref);
      const article = here.content.content.articles.find((each) => each.id === id);
      if (!article) throw notThere('article');
      const { text, picture, tags } = article;
      const { markup } = showArticle(article);
      return { ...listArticle(here, article), text, markup, picture, tags: [...tags] };
    },
  };
}
