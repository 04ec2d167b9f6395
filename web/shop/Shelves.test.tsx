/** @jest-environment ./web/testing/domEnvironment.cjs */
import { beforeAll, beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { Result } from '../../core/answer/answer.ts';
import { furnish } from '../testing/dom.tsx';
import { showInShop } from '../testing/showInShop.tsx';
import { Shelves } from './Shelves.tsx';

beforeAll(furnish);

const results = ['Easel', 'Brush', 'Ink', 'Paper', 'Board'].map((title, at) => ({
  ...{ id: `${title}-1`, familyId: title, sku: title, title, place: at + 1, brand: null, price: 4.5, currency: 'GBP' },
  ...{ formerPrice: null, rating: null, available: true, variantAvailable: true, showsPicture: false, picture: null },
  ...{ link: null, badges: [], variants: 1, details: [], marks: title === 'Ink' ? { pin: true } : {} },
})) as unknown as Result[];

let done: unknown[];
beforeEach(() => {
  done = [];
});
function open(of = 'a search', shown = results) {
  return showInShop(
    <Shelves
      {...{ results: shown, open() {}, mayMove: false, banners: [], of, at: 'search' }}
      between={{ after: 0, content: null }}
      act={(products, what) => done.push([products.map(({ title }) => title).join(' '), what])}
    />,
  );
}
const tick = (title: string) => screen.findByRole('checkbox', { name: `Choose ${title}` });
const bar = () => screen.findByRole('toolbar');

test('what is done to chosen products is done to all of them, in the order in which they stand', async () => {
  const user = userEvent.setup();
  open();
  await user.click(await tick('Paper'));
  await user.click(await tick('Brush'));
  expect((await bar()).getAttribute('aria-label')).toBe('2 products chosen');
  await user.click(screen.getByRole('button', { name: 'Pin from place 2' }));
  await user.click(screen.getByRole('button', { name: 'Hide everywhere' }));
  expect(done).toEqual([
    ['Brush Paper', { act: 'pin', place: 2 }],
    ['Brush Paper', { act: 'hide' }],
  ]);
  // None of them is pinned.
  expect(screen.queryByRole('button', { name: 'Take the pins off' })).toBeNull();
  await user.click(await tick('Ink'));
  await user.click(screen.getByRole('button', { name: 'Take the pins off' }));
  expect(done.at(-1)).toEqual(['Brush Ink Paper', { act: 'unpin' }]);
  await user.click(screen.getByRole('button', { name: 'Choose none' }));
  expect(screen.queryByRole('toolbar')).toBeNull();
});

test('with shift all between are chosen, or no longer', async () => {
  open();
  fireEvent.click(await tick('Brush'));
  fireEvent.click(await tick('Board'), { shiftKey: true });
  expect((await bar()).getAttribute('aria-label')).toBe('4 products chosen');
  fireEvent.click(await tick('Paper'), { shiftKey: true });
  expect((await bar()).getAttribute('aria-label')).toBe('2 products chosen');
});

test('a key does it to the product it is pressed on, or to all that are chosen where that is one of them', async () => {
  open();
  fireEvent.click(await tick('Brush'));
  fireEvent.click(await tick('Ink'));
  const label = (place: number) => screen.getByRole('button', { name: new RegExp(`^Place ${place}\\b`) });
  fireEvent.keyDown(label(5), { key: '+' });
  fireEvent.keyDown(label(2), { key: '-' });
  fireEvent.keyDown(label(2), { key: 'w' });
  fireEvent.keyDown(label(2), { key: 'h', ctrlKey: true });
  expect(done).toEqual([
    ['Board', { act: 'boost' }],
    ['Brush Ink', { act: 'lower' }],
    ['Brush', { act: 'why' }],
  ]);
  fireEvent.keyDown(label(2), { key: 'x' });
  expect((await bar()).getAttribute('aria-label')).toBe('1 product chosen');
});
