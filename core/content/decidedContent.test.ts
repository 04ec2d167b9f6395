import { describe, expect, test } from '@jest/globals';
import { checkEdit } from '../setup/entries.ts';
import type { MadeArticle, MadeCollection } from '../setup/parts/content.ts';
import type { Setup } from '../setup/schema.ts';
import { importedArticle, importedCollection } from './content.ts';
import { aboveCollection, decidedContent, madeContent } from './decidedContent.ts';
import { showArticle } from './shownArticle.ts';

const imported = {
  articles: [importedArticle.parse({ id: 'how', title: 'How to choose', text: 'Begin with one.', tags: ['guide'] })],
  collections: [
    importedCollection.parse({ id: 'inks', title: 'Inks', attribute: 'kind', values: ['Ink'], sort: 'price' }),
    importedCollection.parse({ id: 'picks', title: 'Picks', products: ['b', 'a'] }),
  ],
};
const setupWith = (...made: (MadeArticle | MadeCollection)[]): Pick<Setup, 'content'> => ({
  content: Object.fromEntries(made.map((each) => [`${each.what}:${each.id}`, each])),
});
const collection = (id: string, ...made: (MadeArticle | MadeCollection)[]) =>
  decidedContent(imported, setupWith(...made)).collections.find((each) => each.id === id);
const inStock = { match: 'all' as const, tests: [{ how: 'inStock' as const }] };

describe('a collection', () => {
  test('is as it was imported where nothing is decided, the very same each time', () => {
    expect(collection('inks')).toMatchObject({
      ...{ origin: 'imported', title: 'Inks', products: [], sort: 'price' },
      condition: { match: 'all', tests: [{ how: 'is', attribute: 'kind', values: ['Ink'] }] },
    });
    expect(collection('inks')).toBe(collection('inks', { what: 'collection', id: 'picks', title: 'Ours' }));
  });
  test('has what is decided laid over it, field by field', () => {
    const changed = collection('inks', { what: 'collection', id: 'inks', title: 'All inks', until: '2026-12-01' });
    expect(changed).toMatchObject({ origin: 'changed', title: 'All inks', until: '2026-12-01', sort: 'price' });
    expect(changed!.condition).toEqual(collection('inks')!.condition);
  });
  test('made another way is made that way whole', () => {
    const byHand = collection('inks', { what: 'collection', id: 'inks', products: ['a'] });
    expect(byHand).toMatchObject({ condition: null, products: ['a'], first: [] });
    const byRule = collection('picks', { what: 'collection', id: 'picks', condition: inStock, first: ['a'] });
    expect(byRule).toMatchObject({ condition: inStock, products: [], first: ['a'] });
    expect(collection('inks', { what: 'collection', id: 'inks', sort: null })).toMatchObject({ sort: '' });
  });
  test('made here stands after the imported; one whose import is gone waits without a title', () => {
    const { collections } = decidedContent(
      imported,
      setupWith(
        { what: 'collection', id: 'constructor', title: 'New', products: [] },
        { what: 'collection', id: 'gone', text: 'A text' },
      ),
    );
    expect(collections.map(({ id, origin }) => `${id} ${origin}`)).toEqual([
      'inks imported',
      'picks imported',
      'constructor here',
    ]);
  });
  test('knows what it stands below, and a circle ends', () => {
    const below = (id: string, parent: string): MadeCollection => ({ what: 'collection', id, title: id, parent });
    const { collections } = decidedContent(imported, setupWith(below('a', 'b'), below('b', 'c'), below('c', 'a')));
    expect(aboveCollection(collections, 'a').map(({ id }) => id)).toEqual(['c', 'b']);
    expect(aboveCollection(collections, 'inks')).toEqual([]);
  });
});

describe('an article', () => {
  const article = (...made: MadeArticle[]) => decidedContent(imported, setupWith(...made)).articles;
  test('is searched as people read it, and shown with nothing that could run', () => {
    const [, written] = article({
      ...{ what: 'article', id: 'new', title: 'New' },
      text: '<h2>Care</h2><p onclick="x()">Rinse <b>well</b><script>x()</script></p><a href="javascript:x()">there</a>',
    });
    expect(written!.plain).not.toMatch(/[<>]|x\(\)/);
    const { markup } = showArticle(written!);
    expect(markup).toContain('<h3>Care</h3>');
    expect(markup).toContain('<b>well</b>');
    expect(markup).not.toMatch(/script|onclick/);
  });
  test('keeps what is not decided', () =>
    expect(article({ what: 'article', id: 'how', tags: [] })[0]).toMatchObject({
      ...{ origin: 'changed', title: 'How to choose', text: 'Begin with one.', tags: [] },
    }));
});

test('what else a setup decides leaves articles and collections as they are', () => {
  const kind = { what: 'kind' as const, found: false, weights: {} };
  const leftOut = { what: 'leftOut' as const, kind: 'article' as const, id: 'how' };
  expect(madeContent({ content: { article: kind, 'leftOut:article:how': leftOut } })).toBe(
    madeContent({ content: {} }),
  );
});

test.each([
  [{ condition: inStock, products: ['a'] }, 'A collection is made by a rule or by hand, not both.'],
  [{ parent: 'c' }, 'A collection does not stand below itself.'],
  [{ picture: 'javascript:alert(1)' }, 'An address begins with https:// or with a slash.'],
  [{ from: '2026-12-24', until: '2026-12-01' }, 'It ends before it begins.'],
  [{ title: ' ' }, 'It needs a title.'],
])('a collection with %j is refused with why', (change, message) =>
  expect(
    checkEdit({ part: 'content', key: 'collection:c', value: { what: 'collection', id: 'c', title: 'C', ...change } }),
  ).toMatchObject({ refusal: { message } }),
);
