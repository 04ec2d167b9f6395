/** @jest-environment ./web/testing/domEnvironment.cjs */
import { beforeAll, expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { Card } from '../../core/answer/answer.ts';
import { usualLayout } from '../../core/setup/terms/layoutTerms.ts';
import { markedOf } from '../shopper/marked.ts';
import { answerWith, furnish, show } from '../testing/dom.tsx';
import { showInShop } from '../testing/showInShop.tsx';
import { CardBody } from './CardBody.tsx';
import { CardIn, LayoutIn, usualArrangement } from './layout.tsx';

beforeAll(furnish);

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

test('a row has its picture and lines, a short row neither', () => {
  const standing = (shape: 'list' | 'compact') =>
    show(
      <LayoutIn value={{ ...usualLayout, shape, picture: { height: 200, fit: 'cover' } }}>
        <CardBody card={card} />
      </LayoutIn>,
    ).container;
  expect(standing('list').querySelector<HTMLElement>('.bg-art')?.style.height).toBe('200px');
  expect(screen.getByText('14 ml')).toBeTruthy();
  expect(standing('compact').querySelector('.bg-art')).toBeNull();
  expect(screen.queryByText('14 ml')).toBeNull();
  expect(screen.getByText('£4.50')).toBeTruthy();
});

test('badges stand on the picture, and above the title where there is none', () => {
  const badges: Card['badges'] = [{ text: '–15%', place: 'right', colour: '#9c2f24' }];
  show(<CardBody card={{ ...card, badges }} />);
  expect(screen.getByText('–15%').closest('.bg-art')).not.toBeNull();
  show(<CardBody card={{ ...card, badges, showsPicture: false }} />);
  expect(screen.getByText('–15%').style.color).toBe('rgb(255, 255, 255)');
});

test('with a rating it is told how many there are, where the answer has it', () => {
  const { container } = show(<CardBody card={{ ...card, rating: 4.5, ratings: 1234 }} />);
  expect(screen.getByText('1,234 ratings')).toBeTruthy();
  expect(container.textContent).toContain('(1,234)');
  expect(show(<CardBody card={{ ...card, rating: 4.5 }} />).container.querySelector('[part="ratings"]')).toBeNull();
});

test('pieces stand in the order chosen, and none that is off; what is saved and stock are told where they are to be', () => {
  const { pieces } = usualArrangement;
  const on = (...names: string[]) => [
    ...names.map((name) => ({ ...pieces.find(({ piece }) => piece === name)!, on: true })),
    ...pieces.filter(({ piece }) => !names.includes(piece)).map((piece) => ({ ...piece, on: false })),
  ];
  const arrangement = { ...usualArrangement, pieces: on('brand', 'title', 'stock', 'rating', 'price') };
  const { container } = show(
    <CardIn value={{ ...arrangement, stock: 'always', saving: true, rating: 'stars' }}>
      <CardBody card={{ ...card, formerPrice: 6, rating: 4.5 }} />
    </CardIn>,
  );
  expect(container.textContent).toMatch(/^.*Osier.*Gouache.*In stock.*rated 4\.5.*£4\.50.*£6\.00.*you save £1\.50$/);
  expect(container.textContent).not.toContain('14 ml');
  expect(container.querySelector<HTMLElement>('[style*="width: 90%"]')).not.toBeNull();
});

test('a button puts the variant that is shown into the basket, and says how many are there', async () => {
  answerWith({});
  const pieces = usualArrangement.pieces.map((piece) => ({ ...piece, on: true }));
  const { shopper } = showInShop(
    <CardIn value={{ ...usualArrangement, pieces }}>
      <CardBody card={card} />
      <CardBody card={{ ...card, id: 'b1', title: 'Gone', variantAvailable: false }} />
    </CardIn>,
  );
  await userEvent.setup().click(screen.getByRole('button', { name: 'Put in basket: Gouache' }));
  expect(shopper.basket.getState().items).toEqual({ a1: 1 });
  expect(screen.getByText('1 in your basket')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Put in basket: Gone' })).toBeNull();
});

test('a product is put on the shopper’s lists from its card, and of what is compared no more than stands side by side', async () => {
  answerWith({});
  const pieces = usualArrangement.pieces.map((piece) => ({ ...piece, on: true }));
  const { shopper } = showInShop(
    <CardIn value={{ ...usualArrangement, pieces }}>
      {['a', 'b', 'c', 'd', 'e'].map((id) => (
        <CardBody key={id} card={{ ...card, id: `${id}1`, familyId: id, title: `Ink ${id}` }} />
      ))}
    </CardIn>,
  );
  const user = userEvent.setup();
  const button = (name: string) => screen.getByRole('button', { name });
  await user.click(button('Ink a on the wish list'));
  expect(button('Ink a on the wish list').getAttribute('aria-pressed')).toBe('true');
  expect(markedOf(shopper.storefront).getState().lists.wish).toEqual([{ product: 'a', variant: 'a1' }]);
  for (const id of ['a', 'b', 'c', 'd']) await user.click(button(`Compare Ink ${id}`));
  expect(button('Compare Ink e')).toHaveProperty('disabled', true);
  await user.click(button('Compare Ink b'));
  expect(button('Compare Ink e')).toHaveProperty('disabled', false);
  await user.click(button('Ink a on the wish list'));
  expect(markedOf(shopper.storefront).getState().lists.wish).toEqual([]);
});

test('what it was is read out as that', () => {
  show(<CardBody card={{ ...card, formerPrice: 6 }} />);
  expect(screen.getByText('formerly £6.00')).toBeTruthy();
  expect(screen.getByText('£6.00').getAttribute('aria-hidden')).toBe('true');
});

test('a short text has what was searched for marked, and stands on no short row', () => {
  const pieces = usualArrangement.pieces.map((each) => ({ ...each, on: true }));
  const showText = (shape: 'grid' | 'compact') =>
    showInShop(
      <LayoutIn value={{ ...usualLayout, shape }}>
        <CardIn value={{ ...usualArrangement, pieces }}>
          <CardBody card={{ ...card, text: 'Opaque colour from <b>gouache</b>' }} />
        </CardIn>
      </LayoutIn>,
      { search: 'q=opaque gouache' },
    );
  showText('grid');
  expect([...document.querySelectorAll('mark')].map(({ textContent }) => textContent)).toEqual(['Opaque', 'gouache']);
  // What is markup in data stays text.
  expect(screen.getByText(/colour from <b>/)).toBeTruthy();
  showText('compact');
  expect(document.querySelector('mark')).toBeNull();
});

test('a picture stands on the ground that the merchandiser chose', () => {
  const ground = { height: 118, fit: 'contain', ground: '#ffeedd' } as const;
  const { container } = show(
    <LayoutIn value={{ ...usualLayout, picture: ground }}>
      <CardBody card={card} />
    </LayoutIn>,
  );
  expect(container.querySelector<HTMLElement>('.bg-art')!.style.background).toBe('rgb(255, 238, 221)');
});

test('another variant chosen on the card is what the card shows, and what goes into the basket', async () => {
  const of = [
    {
      ...{ id: 'a1', sku: 'WU-1', label: 'Red', colour: '#aa2200', price: 4.5, formerPrice: null },
      available: true,
      picture: null,
      badges: [],
    },
    {
      ...{ id: 'a2', sku: 'WU-2', label: 'Blue', price: 6, formerPrice: null, available: false, picture: null },
      badges: [{ text: 'New', place: 'left' as const, colour: '#205080' }],
    },
  ];
  const pieces = usualArrangement.pieces.map(({ piece }) => ({ piece, on: true }));
  const drawn = (shown: Card) => (
    <CardIn
      value={{
        ...usualArrangement,
        pieces: pieces.filter(({ piece }) => !['basket', 'wish', 'compare'].includes(piece)),
      }}
    >
      <CardBody card={{ ...shown, choices: { label: 'Colour', more: 3, of } }} />
    </CardIn>
  );
  const { container, rerender } = show(drawn(card));
  const list = screen.getByRole('list', { name: 'Colour' });
  expect(list.textContent).toContain('3 more');
  expect(screen.getByRole('button', { name: 'Red' }).getAttribute('aria-pressed')).toBe('true');
  await userEvent.click(screen.getByRole('button', { name: 'Blue: This variant is sold out' }));
  expect(container.textContent).toContain('£6.00');
  expect(screen.getByText('New')).toBeTruthy();
  expect(container.textContent).not.toContain('£4.50');
  expect(screen.getByRole('button', { name: 'Red' }).getAttribute('aria-pressed')).toBe('false');
  // Another search finds a variant by itself: that one is meant then.
  rerender(drawn({ ...card, id: 'a2', price: 6 }));
  rerender(drawn(card));
  await userEvent.click(screen.getByRole('button', { name: /^Blue/ }));
  rerender(drawn({ ...card, id: 'a2', price: 6 }));
  await userEvent.click(screen.getByRole('button', { name: 'Red' }));
  expect(container.textContent).toContain('£4.50');
  rerender(drawn(card));
  expect(screen.getByRole('button', { name: 'Red' }).getAttribute('aria-pressed')).toBe('true');
});

test('a card that is pointed at, or come to by the keyboard, shows its second picture', async () => {
  const { container } = show(
    <CardBody card={{ ...card, picture: '/pictures/a.svg', second: '/pictures/b.svg' }} open={() => undefined} />,
  );
  const shown = () => container.querySelector('img')!.getAttribute('src');
  expect(shown()).toBe('/pictures/a.svg');
  await userEvent.hover(container.querySelector('[part="card"]')!);
  expect(shown()).toBe('/pictures/b.svg');
  await userEvent.unhover(container.querySelector('[part="card"]')!);
  expect(shown()).toBe('/pictures/a.svg');
  await userEvent.tab();
  expect(shown()).toBe('/pictures/b.svg');
  await userEvent.tab();
  expect(shown()).toBe('/pictures/a.svg');
});
