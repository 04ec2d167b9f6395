import { asList } from '../base/listCell.ts';
import { writeCsv } from '../catalog/writeCsv.ts';
import type { Condition } from '../setup/terms/condition.ts';
import type { ContentKind } from '../setup/terms/contentTerms.ts';
import type { Article, Collection, Content } from './decidedContent.ts';

/** A rule over one attribute, as a spreadsheet says it in two columns; null for any other condition. */
function asRule(
  condition: Condition | null,
): { readonly attribute: string; readonly values: readonly string[] } | null {
  const [only, more] = condition?.tests ?? [];
  return only && !more && 'how' in only && only.how === 'is' ? only : null;
}

const ofArticle = ({ id, title, text, link, picture, tags }: Article): Readonly<Record<string, string>> => ({
  ...{ id, title, text, link, picture, tags: asList(tags) },
});

function ofCollection(collection: Collection): Readonly<Record<string, string>> {
  const { id, title, text, picture, parent, condition, products, first, sort, direction } = collection;
  const { from = '', until = '', yearly } = collection;
  const rule = asRule(condition);
  return {
    ...{ id, title, text, picture, parent },
    attribute: rule?.attribute ?? '',
    values: asList(rule?.values ?? []),
    condition: condition && !rule ? JSON.stringify(condition) : '',
    products: asList(products),
    first: asList(first),
    ...{ sort, direction: sort === '' ? '' : direction },
    ...{ from, until, yearly: yearly ? `${yearly.from}..${yearly.until}` : '' },
  };
}

const columns = {
  article: ['id', 'title', 'text', 'link', 'picture', 'tags'],
  collection: [
    ...['id', 'title', 'text', 'picture', 'parent', 'attribute', 'values', 'condition', 'products', 'first'],
    ...['sort', 'direction', 'from', 'until', 'yearly'],
  ],
} as const;

/** Articles or collections as they are decided, as CSV that can be imported again. */
export function writeContentCsv({ articles, collections }: Content, kind: ContentKind): string {
  const rows = kind === 'article' ? articles.map(ofArticle) : collections.map(ofCollection);
  return writeCsv(
    columns[kind],
    rows.map((row) => columns[kind].map((column) => row[column] ?? '')),
  );
}
