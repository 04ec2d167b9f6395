/** @jest-environment ./web/testing/domEnvironment.cjs */
import { expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import type { Card } from '../../core/answer/answer.ts';
import { show } from '../testing/dom.tsx';
import { CardBody } from './CardBody.tsx';

const card: Card = {
  ...{ id: 'a1', familyId: 'a', sku: 'WU-1', title: 'Gouache', brand: 'Osier', price: 4.5, currency: 'GBP' },
  ...{ formerPrice: null, rating: null, available: true, variantAvailable: true, showsPicture: true, picture: null },
  ...{ link: null, badges: [], variants: 2, details: [{ key: 'size', label: 'Size', value: '14 ml' }] },
};

test('a line has its label, and what there is not is not said', () => {
  show(<CardBody card={card} />);
  expect(screen.getByText('Size').tagName).toBe('DT');
  expect(screen.getByText('14 ml').tagName).toBe('DD');
  expect(screen.getByText('£4.50')).toBeTruthy();
  expect(screen.queryByText(/rated/)).toBeNull();
  expect(screen.queryByText(/old out/)).toBeNull();
});

test('sold out is said of the product; of the variant shown, that it is only that one', () => {
  show(<CardBody card={{ ...card, available: false, variantAvailable: false }} />);
  expect(screen.getByText('Sold out')).toBeTruthy();
  show(<CardBody card={{ ...card, variantAvailable: false }} />);
  expect(screen.getByText('This variant is sold out')).toBeTruthy();
});

test('a card has no room for a picture where pictures are switched off', () => {
  const { container } = show(<CardBody card={{ ...card, showsPicture: false }} />);
  expect(container.querySelector('.bg-art')).toBeNull();
});

test('what it was is read out as that', () => {
  show(<CardBody card={{ ...card, formerPrice: 6 }} />);
  expect(screen.getByText('formerly £6.00')).toBeTruthy();
  expect(screen.getByText('£6.00').getAttribute('aria-hidden')).toBe('true');
});
