/** @jest-environment ./web/testing/domEnvironment.cjs */
import { beforeAll, beforeEach, expect, test } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { Beside } from '../../core/answer/beside.ts';
import { basketOf } from '../shopper/basket.ts';
import { theBasket } from '../shopper/shopAddress.ts';
import { answerWith, furnish } from '../testing/dom.tsx';
import { showInShop } from '../testing/showInShop.tsx';
import { BasketPage } from './BasketPage.tsx';

beforeAll(furnish);
beforeEach(() => basketOf('-').getState().empty());

const thing = (id: string, price: number, available = true): Beside['things'][number] => ({
  ...{ id, product: `p-${id}`, title: `Thing ${id}`, variant: '5 ml', picture: null, price, available },
});
const card = {
  ...{ id: 'b1', familyId: 'b', sku: 'WU-b', title: 'Flat brush', brand: null, price: 3, currency: 'GBP' },
  ...{ formerPrice: null, rating: null, available: true, variantAvailable: true, showsPicture: false, picture: null },
  ...{ link: null, variants: 1, details: [], badges: [] },
};
const answer = { currency: 'GBP', things: [thing('a', 2.5), thing('b', 4, false)], companions: [card] };
const besides = (asked: readonly string[]): string[] => asked.filter((url) => url.includes('/beside'));
const showBasket = () => {
  const { add } = basketOf('-').getState();
  for (const id of ['a', 'a', 'b']) add(id);
  return showInShop(<BasketPage />, { place: theBasket });
};

test('what is in it is told as it is now, with the sum, and what goes with it', async () => {
  const asked = answerWith({ '/shop/-/beside': answer });
  const { spots } = showBasket();
  expect((await screen.findByText('Sum')).textContent).toContain('£9.00');
  expect(besides(asked)).toEqual(['/shop/-/beside?of=a&of=b&at=basket']);
  expect(screen.getByText('Sold out')).toBeDefined();
  const shelf = screen.getByRole('region', { name: 'Goes well with it' });
  await userEvent.setup().click(within(shelf).getByRole('button', { name: 'Flat brush' }));
  expect(spots()).toEqual(['/products/b']);
});

test('what is taken out can be put back, and nothing is asked anew for that', async () => {
  const asked = answerWith({ '/shop/-/beside': answer });
  showBasket();
  const user = userEvent.setup();
  await user.click(await screen.findByRole('button', { name: 'One less of Thing b' }));
  expect(screen.getByText('Sum').textContent).toContain('£5.00');
  await user.click(screen.getByRole('button', { name: 'Put Thing b back' }));
  await user.click(screen.getByRole('button', { name: 'One more of Thing a' }));
  expect(screen.getByText('Sum').textContent).toContain('£11.50');
  expect(besides(asked)).toHaveLength(1);
});

test('an empty basket says so; one that cannot be fetched offers to try again', async () => {
  answerWith({ '/shop/-/beside': { ...answer, things: [], companions: [] } });
  showInShop(<BasketPage />, { place: theBasket });
  expect(await screen.findByText('Nothing is in your basket yet.')).toBeDefined();
  answerWith({});
  showInShop(<BasketPage />, { place: theBasket });
  expect(await screen.findByRole('alert')).toBeDefined();
  expect(screen.getByRole('button', { name: 'Try again' })).toBeDefined();
});
