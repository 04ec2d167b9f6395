/** @jest-environment ./web/testing/domEnvironment.cjs */
import { beforeEach, expect, test } from '@jest/globals';
import { pageAddress, parameterAddress, pathOf, placeIn, shopIn } from './shopAddress.ts';
import { freshSearch } from './shopperSearch.ts';

performance.getEntriesByType ??= () => [];
beforeEach(() => history.replaceState(null, '', '/'));
const search = { ...freshSearch, query: 'red & blue', filters: { colour: ['Red'] } };

test('a product or an article of any id has a path that leads to it', () => {
  for (const kind of ['product', 'article'] as const)
    for (const id of ['p0001', 'a/b', 'rød & blå', '100%', 'constructor'])
      expect(placeIn(pathOf({ kind, id }))).toEqual({ kind, id });
});

test('what is neither, and a path that cannot be read', () => {
  for (const path of ['/', '/products/', '/articles']) expect(placeIn(path)).toBeNull();
  expect(placeIn('/products/%E0%A4%A')).toEqual({ kind: 'product', id: '%E0%A4%A' });
});

test('the shop’s own pages name their storefront, or the preview they are of', () => {
  expect(shopIn('/shop/germany/products/a')).toMatchObject({ base: '/shop/germany', storefront: 'germany' });
  expect(shopIn('/shop/products/a')).toMatchObject({ base: '/shop', storefront: null });
  expect(shopIn('/preview/x')).toMatchObject({ base: '/preview/x', preview: 'x' });
});

test('a page of the shop’s own is gone to and back from; each step of the history has a name', () => {
  const address = pageAddress('/shop/main', true);
  let heard = 0;
  const stop = address.listen(() => heard++);
  address.go({ search, place: null });
  expect(location.pathname + location.search).toBe('/shop/main?q=red+%26+blue&f.colour=Red&desk=');
  const { key } = address.now();
  address.go({ search, place: { kind: 'product', id: 'a/b' } });
  expect(address.now()).toMatchObject({ search, place: { kind: 'product', id: 'a/b' }, isBack: false });
  expect(address.now().key).not.toBe(key);
  address.go({ search, place: null }, true);
  expect(heard).toBe(3);
  stop();
  address.go({ search, place: null });
  expect(heard).toBe(3);
});

test('within a page of another site the state stands among the page’s own parameters', () => {
  history.replaceState(null, '', '/papers.html?q=own&utm=x');
  const address = parameterAddress('shelf.', {});
  address.go({ search, place: null });
  expect(location.search).toBe('?q=own&utm=x&shelf.q=red+%26+blue&shelf.f.colour=Red');
  expect(address.now()).toMatchObject({ search, place: null });
  address.go({ search: freshSearch, place: { kind: 'product', id: 'a' } });
  expect(location.search).toBe('?q=own&utm=x&shelf.product=a');
  expect(address.now().place).toEqual({ kind: 'product', id: 'a' });
  // Another box on the page reads nothing of it.
  expect(parameterAddress('other.', {}).now()).toMatchObject({ search: freshSearch, place: null });
});

test('pages that the site has of its own are led to', () => {
  history.replaceState(null, '', '/index.html?utm=x');
  const address = parameterAddress('shelf.', { results: '/search.html', product: '/product.html?item={id}' });
  expect(address.hrefOf({ search, place: null })).toBe('/search.html?shelf.q=red+%26+blue&shelf.f.colour=Red');
  expect(address.hrefOf({ search: freshSearch, place: { kind: 'product', id: 'a&b' } })).toBe(
    '/product.html?item=a%26b',
  );
  expect(address.hrefOf({ search: freshSearch, place: { kind: 'article', id: 'r' } })).toBe(
    '/index.html?utm=x&shelf.article=r',
  );
});

test('a collection’s own page shows it and stays; out of it leads to the results, or to the whole shop here', () => {
  history.replaceState(null, '', '/papers.html');
  const papers = parameterAddress('shelf.', { results: '/search.html', collection: 'papers' });
  expect(papers.now().search).toEqual({ ...freshSearch, collection: 'papers' });
  papers.go({ search: { ...search, collection: 'papers' }, place: null });
  expect(location.pathname + location.search).toBe('/papers.html?shelf.q=red+%26+blue&shelf.f.colour=Red');
  expect(papers.now().search).toEqual({ ...search, collection: 'papers' });
  expect(papers.hrefOf({ search, place: null })).toBe('/search.html?shelf.q=red+%26+blue&shelf.f.colour=Red');
  const alone = parameterAddress('shelf.', { collection: 'papers' });
  alone.go({ search, place: null });
  expect(alone.now().search).toEqual(search);
  alone.go({ search: { ...freshSearch, collection: 'inks' }, place: null });
  expect(location.search).toBe('?shelf.collection=inks');
});
