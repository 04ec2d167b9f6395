import type { Setup } from '../setup/schema.ts';
import type { Condition } from '../setup/terms/condition.ts';
import type { Span } from '../setup/terms/span.ts';
import { plainTextOf } from '../text/plainTextOf.ts';
import type { ImportedContent } from './content.ts';

/** Where an item comes from: a file, a file with something decided here laid over it, or made here. */
export type Origin = 'imported' | 'changed' | 'here';

/** An article as shoppers meet it. */
export interface Article {
  readonly id: string;
  readonly origin: Origin;
  readonly title: string;
  /** As it was written, maybe marked up; unsafe to show as it is. */
  readonly text: string;
  /** The same as people read it. */
  readonly plain: string;
  readonly link: string;
  readonly picture: string;
  readonly tags: readonly string[];
}

/** A collection as shoppers meet it: products that meet a condition, or chosen by hand. */
export interface Collection extends Span {
  readonly id: string;
  readonly origin: Origin;
  readonly title: string;
  readonly text: string;
  readonly picture: string;
  /** The collection it stands below; empty for none. */
  readonly parent: string;
  /** What its products are; null where they are chosen by hand. */
  readonly condition: Condition | null;
  /** Its products in their order, where they are chosen by hand. */
  readonly products: readonly string[];
  /** Products of a condition that stand first on its page, in this order. */
  readonly first: readonly string[];
  /** The attribute its page is ordered by, where it is not by hand; empty for the shop's own order. */
  readonly sort: string;
  readonly direction: 'high' | 'low';
}

export interface Content {
  readonly articles: readonly Article[];
  readonly collections: readonly Collection[];
}

type MadeArticle = Extract<Setup['content'][string], { what: 'article' }>;
type MadeCollection = Extract<Setup['content'][string], { what: 'collection' }>;

const asArticle = (imported: ImportedContent['articles'][number]): Article => ({
  ...imported,
  origin: 'imported',
  plain: plainTextOf(imported.text),
});
const asCollection = ({
  attribute,
  values,
  condition,
  ...imported
}: ImportedContent['collections'][number]): Collection => ({
  ...imported,
  origin: 'imported',
  condition:
    imported.products.length > 0
      ? null
      : (condition ?? { match: 'all', tests: [{ how: 'is', attribute, values: [...values] }] }),
});

const newArticle = (id: string): Article => ({
  ...{ id, origin: 'here', title: '', text: '', plain: '', link: '', picture: '', tags: [] },
});
const newCollection = (id: string): Collection => ({
  ...{ id, origin: 'here', title: '', text: '', picture: '', parent: '', condition: null, products: [], first: [] },
  ...{ sort: '', direction: 'high' },
});

function overArticle(base: Article, { title, text, link, picture, tags }: MadeArticle): Article {
  return {
    ...base,
    origin: base.origin === 'imported' ? 'changed' : base.origin,
    ...(title !== undefined && { title }),
    ...(text !== undefined && { text, plain: plainTextOf(text) }),
    ...(link !== undefined && { link }),
    ...(picture !== undefined && { picture }),
    ...(tags !== undefined && { tags }),
  };
}

/** What is decided about how a collection is made replaces how it was made, whole. */
function overCollection(base: Collection, made: MadeCollection): Collection {
  const { what: _, id: __, condition, products, sort, ...rest } = made;
  return {
    ...base,
    origin: base.origin === 'imported' ? 'changed' : base.origin,
    ...rest,
    ...(condition !== undefined && { condition, products: [] }),
    ...(products !== undefined && { condition: null, products, first: [] }),
    ...(sort !== undefined && { sort: sort?.attribute ?? '', direction: sort?.direction ?? 'high' }),
  };
}

/** Items of a kind with what was made here laid over them, those made here alone after the imported. */
function withMade<Item extends Article | Collection, Made extends { readonly id: string }>(
  imported: readonly Item[],
  made: readonly Made[],
  over: (base: Item, made: Made) => Item,
  begin: (id: string) => Item,
): Item[] {
  const byId = new Map(made.map((each) => [each.id, each]));
  const all = imported.map((item) => {
    const decided = byId.get(item.id);
    byId.delete(item.id);
    return decided ? over(item, decided) : item;
  });
  // A change of something that is no longer imported has no title of its own: it waits, and shows nothing.
  const here = [...byId.values()].map((each) => over(begin(each.id), each)).filter(({ title }) => title !== '');
  return [...all, ...here];
}

/** Imported items as shoppers meet them, made once, so that those of which nothing is decided stay the same ones. */
const asImported = new WeakMap<ImportedContent, Content>();
function importedItems(imported: ImportedContent): Content {
  const known = asImported.get(imported) ?? {
    articles: imported.articles.map(asArticle),
    collections: imported.collections.map(asCollection),
  };
  asImported.set(imported, known);
  return known;
}

/**
 * Articles and collections as a setup decides them: what files brought with what was decided here laid over it, field by
 * field, and what was made here. Pure. Cost: the number of items; a text that was written here is read as markup.
 */
export function decidedContent(imported: ImportedContent, { content }: Pick<Setup, 'content'>): Content {
  const entries = Object.values(content);
  const { articles, collections } = importedItems(imported);
  return {
    articles: withMade(
      articles,
      entries.filter((entry) => entry.what === 'article'),
      overArticle,
      newArticle,
    ),
    collections: withMade(
      collections,
      entries.filter((entry) => entry.what === 'collection'),
      overCollection,
      newCollection,
    ),
  };
}

/** What a setup makes or changes of articles and collections, as one text: the same while `decidedContent` is. */
export const madeContent = ({ content }: Pick<Setup, 'content'>): string =>
  JSON.stringify(Object.values(content).filter(({ what }) => what === 'article' || what === 'collection'));

/** The collections above one, the nearest last; a circle ends where it closes. */
export function aboveCollection(collections: readonly Collection[], id: string): Collection[] {
  const byId = new Map(collections.map((each) => [each.id, each]));
  const above: Collection[] = [];
  const seen = new Set([id]);
  for (let at = byId.get(byId.get(id)?.parent ?? ''); at && !seen.has(at.id); at = byId.get(at.parent)) {
    seen.add(at.id);
    above.unshift(at);
  }
  return above;
}
