/** @jest-environment ./web/testing/domEnvironment.cjs */
import { beforeAll, expect, test } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { ProductDetail } from '../../core/product/productDetail.ts';
import { answerWith, furnish } from '../testing/dom.tsx';
import { showInShop } from '../testing/showInShop.tsx';
import { shopAtDesk } from './deskAround.ts';
import { ProductPage } from './ProductPage.tsx';

beforeAll(furnish);

const variant = (id: string, price: number, available: boolean) => {
  return {
    id,
    sku: `WU-${id}`,
    name: `Size ${id}`,
    price,
    chosen: [],
    details: [],
    formerPrice: null,
    available,
    stock: 1,
    picture: null,
    pictures: [],
  };
};
const brush: ProductDetail = {
  ...{
    id: 'a',
    title: 'Round brush',
    brand: 'Osier',
    description: 'Soft hair.',
    descriptionMarkup: null,
    notIndexed: false,
    picture: null,
    pictures: [],
    link: null,
  },
  ...{ currency: 'GBP', lowest: 4, highest: 7.5, available: true },
  details: [{ key: 'hair', label: 'Hair', value: 'Sable' }],
  path: ['Brushes', 'Round'],
  pathFilter: 'category',
  options: [],
  companions: [],
  alternatives: [],
  variants: [variant('2', 4, false), variant('4', 5, true), variant('6', 7.5, true)],
};
const place = { kind: 'product', id: 'a' } as const;
const showPage = (search = '') => showInShop(<ProductPage />, { place, search });

test('the first variant in stock is chosen; one that is sold out cannot be put in the basket', async () => {
  answerWith({ '/shop/-/product?id=a': brush });
  showPage('q=brush');
  expect(await screen.findByRole('heading', { level: 1, name: 'Round brush' })).toBeDefined();
  expect(screen.getByText('£4.00 to £7.50')).toBeDefined();
  expect(screen.getByText('Soft hair.')).toBeDefined();
  expect(screen.getByText('WU-4')).toBeDefined();
  const user = userEvent.setup();
  await user.click(screen.getByRole('radio', { name: /Size 2/ }));
  expect(screen.getByText('WU-2')).toBeDefined();
  expect((screen.getByRole('button', { name: 'Sold out' }) as HTMLButtonElement).disabled).toBe(true);
  await user.click(screen.getByRole('radio', { name: /Size 6/ }));
  expect(screen.getByRole('button', { name: 'Put in basket' })).toBeDefined();
});

test('a variant is chosen by its options, and price and stock follow; what is not there with the others changes them', async () => {
  const made = (id: string, chosen: string[], price: number, available = true) => ({
    ...{ ...variant(id, price, available), name: chosen.join(', '), chosen },
    details: [{ key: 'hair', label: 'Hair', value: `Hair of ${id}` }],
  });
  answerWith({
    '/shop/-/product?id=a': {
      ...{ ...brush, details: [] },
      options: [
        { key: 'colour', label: 'Colour', values: ['Red', 'Blue'] },
        { key: 'size', label: 'Size', values: ['S', 'M'] },
      ],
      variants: [made('rs', ['Red', 'S'], 4), made('rm', ['Red', 'M'], 5), made('bm', ['Blue', 'M'], 6, false)],
    },
  });
  showPage();
  const levels = within(await screen.findByRole('navigation', { name: 'Where it belongs' })).getAllByRole('button');
  expect(levels.map(({ textContent }) => textContent)).toEqual(['Brushes', 'Round']);
  expect(screen.getByText('£4.00')).toBeDefined();
  const user = userEvent.setup();
  await user.click(screen.getByRole('radio', { name: 'M' }));
  expect([screen.getByText('£5.00'), screen.getByText('WU-rm'), screen.getByText('Hair of rm')]).toHaveLength(3);
  await user.click(screen.getByRole('radio', { name: 'Blue , sold out' }));
  expect((screen.getByRole('button', { name: 'Sold out' }) as HTMLButtonElement).disabled).toBe(true);
  await user.click(screen.getByRole('radio', { name: 'S' }));
  expect(screen.getByText('WU-rs')).toBeDefined();
});

test('what is much like it leads to its own page, with the way back kept', async () => {
  const card = {
    ...{ id: 'b1', familyId: 'b', sku: 'WU-b', title: 'Flat brush', brand: null, price: 3, currency: 'GBP' },
    ...{ formerPrice: null, rating: null, available: true, variantAvailable: true, showsPicture: false, picture: null },
    ...{ link: null, variants: 1, details: [], badges: [] },
  };
  answerWith({ '/shop/-/product?id=a': { ...brush, alternatives: [card] } });
  const { spots } = showPage('q=brush');
  const alike = await screen.findByRole('region', { name: 'Similar products' });
  await userEvent.setup().click(within(alike).getByRole('button', { name: 'Flat brush' }));
  expect(spots()).toEqual(['/products/b?q=brush']);
});

test('the way back leads to the search it was found by', async () => {
  answerWith({ '/shop/-/product?id=a': brush });
  showPage('q=brush&page=2');
  const back = await screen.findByRole('link', { name: 'Back to the results' });
  expect(back.getAttribute('href')).toBe('?q=brush&page=2');
});

test('a product that is not there is reported, with a way to try again', async () => {
  answerWith({});
  showPage();
  expect((await screen.findByRole('alert')).textContent).toContain('Nothing at /shop/-/product?id=a.');
  expect(screen.getByRole('button', { name: 'Try again' })).toBeDefined();
});

test('in the desk it is asked for by the draft', async () => {
  const asked = answerWith({ '/desk/-/main/shop-product': brush });
  const view = {
    query: '',
    collection: '',
    draft: 'main',
    from: 'draft:main',
    turn: 1,
    at: '',
    page: null,
    box: null,
    theme: null,
  };
  showInShop(<ProductPage />, { place, client: shopAtDesk('-', view) });
  expect(await screen.findByRole('heading', { level: 1, name: 'Round brush' })).toBeDefined();
  expect(asked).toContain('/desk/-/main/shop-product?id=a&from=draft%3Amain');
});

test('a description that the catalog has marked up is shown so', async () => {
  answerWith({ '/shop/-/product?id=a': { ...brush, descriptionMarkup: '<p>Soft hair.</p><ul><li>Sable</li></ul>' } });
  showPage();
  expect(await screen.findByText('Sable', { selector: 'li' })).toBeDefined();
});
