import { recordsIn } from '../../core/conditions/bindCondition.ts';
import { countIn } from '../../core/conditions/recordSet.ts';
import { writeContentCsv } from '../../core/content/contentCsv.ts';
import type { Article, Collection } from '../../core/content/decidedContent.ts';
import { showArticle } from '../../core/content/shownArticle.ts';
import { familiesMet } from '../../core/rules/familiesMet.ts';
import { contentSetting, isLeftOut } from '../../core/search/contentEngine.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import { conditionInWords } from '../../core/setup/terms/conditionInWords.ts';
import type { ContentKind } from '../../core/setup/terms/contentTerms.ts';
import type { NamesForChanges } from '../../core/setup/terms/part.ts';
import { tokenize } from '../../core/text/tokenize.ts';
import { Refused } from '../refused.ts';
import type { Ready, Workbench } from '../searching/workbench.ts';

const productsIn = ({ view: { snapshot }, setup }: Ready, collection: Collection): number =>
  countIn(familiesMet(snapshot, recordsIn(snapshot, collection, setup.today)));

/** Words of articles, counted once each: an article that did not change stays the same one. */
const counted = new WeakMap<Article, number>();
function wordsIn(article: Article): number {
  const words = counted.get(article) ?? tokenize(article.plain).length;
  counted.set(article, words);
  return words;
}

const notThere = (kind: ContentKind): Refused =>
  new Refused(404, { code: `unknown-${kind}`, message: `There is no such ${kind}.` });

/** Articles and collections as the desk lists them. */
export function contentQuestions({ ready, names: namesUnder }: Workbench) {
  const listArticle = ({ setup: { setup } }: Ready, article: Article) => {
    const { id, origin, title, link } = article;
    return { ...{ id, origin, title, link }, words: wordsIn(article), isLeftOut: isLeftOut(setup, 'article', id) };
  };
  /** `names` are those of the setup, which takes a moment to tell. */
  const listCollection = (here: Ready, names: NamesForChanges, collection: Collection) => {
    const { id, origin, title, parent, condition } = collection;
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
    /** Cost: the records that are in each collection. */
    content(ref: SetupRef) {
      const here = ready(ref);
      const { articles, collections } = here.content.content;
      const { setup } = here.setup;
      const names = namesUnder(setup);
      return {
        articles: articles.map((article) => listArticle(here, article)),
        collections: collections.map((collection) => listCollection(here, names, collection)),
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
        ...listCollection(here, namesUnder(here.setup.setup), collection),
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
