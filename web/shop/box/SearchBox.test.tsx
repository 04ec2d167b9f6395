/** @jest-environment ./web/testing/domEnvironment.cjs */
import { beforeAll, beforeEach, expect, jest, test } from '@jest/globals';
import { act, screen, waitFor, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { Result } from '../../../core/answer/answer.ts';
import type { BoxAnswer } from '../../../core/suggest/boxAnswer.ts';
import { basketOf, countOf } from '../../shopper/basket.ts';
import { recentSearchesOf } from '../../shopper/recentSearches.ts';
import { answerWith, furnish } from '../../testing/dom.tsx';
import { showInShop } from '../../testing/showInShop.tsx';

// The box asks for the window's width as it is loaded.
globalThis.matchMedia ??= (() => ({ matches: false, addEventListener() {}, removeEventListener() {} })) as never;
const { SearchBox } = await import('./SearchBox.tsx');

beforeAll(furnish);
beforeEach(() => localStorage.clear());

const box: Omit<BoxAnswer, 'typed' | 'moment' | 'blocks' | 'total'> = {
  ...{
    wide: 'page',
    pixels: 560,
    letters: 2,
    line: ['price', 'brand', 'basket'],
    marks: true,
    allResults: true,
    dictation: false,
  },
  shop: { name: 'Wren & Umber', currency: 'GBP' } as BoxAnswer['shop'],
  ...{
    boxSays: 'Find a brush',
    boxButton: '',
    language: 'en',
    languages: ['en'],
    wording: {},
    emptySearch: 'everything',
  },
  look: { light: {}, dark: {}, letters: [], style: '' },
};
const why = { from: 'log', searches: 3, products: 0, mistakes: 0 } as const;
const before: BoxAnswer = {
  ...{ ...box, typed: '', moment: 'before', total: 0 },
  blocks: [
    { kind: 'recent', title: 'Searched before', column: 1, most: 2 },
    { kind: 'popular', title: 'Often searched', column: 1, items: [{ text: 'easel', why }] },
  ],
};
const typing: BoxAnswer = {
  ...{ ...box, typed: 'bru', moment: 'typing', total: 7 },
  blocks: [
    { kind: 'suggestions', title: 'Suggestions', column: 1, items: [{ text: 'round brush', why }] },
    {
      kind: 'lookIn',
      title: 'Look in',
      column: 1,
      items: [{ filter: 'kind', value: 'a > Brushes', label: 'Brushes', of: 'Kind' }],
    },
    { kind: 'collections', title: 'Collections', column: 2, items: [{ id: 'c', title: 'All brushes', picture: null }] },
    { kind: 'articles', title: 'Articles', column: 2, items: [{ id: 'r', title: 'Care of brushes', link: '' }] },
  ],
};
const nothing: BoxAnswer = {
  ...{ ...box, typed: 'xq', moment: 'nothing', total: 0 },
  blocks: [{ kind: 'message', title: '', column: 1, text: 'Nothing matches “<b>xq”.' }],
};

const card = {
  ...{ id: 'a1', familyId: 'a', sku: 'WU-1', title: 'Gouache', price: 4.5, currency: 'GBP', formerPrice: null },
  ...{ brand: null, rating: null, available: true, variantAvailable: true, showsPicture: false, picture: null },
  badges: [{ text: '–15%', place: 'left', colour: '#9c2f24' }],
} as unknown as Result;
const goods: BoxAnswer = {
  ...{ ...box, typed: 'go', moment: 'typing', total: 1, allResults: false, line: ['price', 'badges', 'basket'] },
  blocks: [
    {
      ...{ kind: 'products', title: 'Products', column: 1, inRow: 3 },
      items: [card, { ...card, id: 'b1', title: 'Gone', variantAvailable: false, badges: [] }],
    },
  ],
};

function open() {
  const asked = answerWith({
    '/shop/-/suggest?q=&device=desktop': before,
    '/shop/-/suggest?q=bru&device=desktop': typing,
    '/shop/-/suggest?q=xq&device=desktop': nothing,
    '/shop/-/suggest?q=go&device=desktop': goods,
  });
  const { spots } = showInShop(<SearchBox />);
  return { asked, spots, input: screen.getByRole('combobox', { name: 'Search the shop' }), user: userEvent.setup() };
}
const lines = (): (string | null)[] => screen.getAllByRole('option').map(({ textContent }) => textContent);

// First in this file, since their code comes once.
test('lines that come to a box that was entered do not give it the focus again, when it may have been left', async () => {
  const { input } = open();
  const given = jest.spyOn(input, 'focus');
  act(() => input.focus());
  await waitFor(() => expect(lines()).toEqual(['easel']));
  expect(input.getAttribute('aria-expanded')).toBe('true');
  expect(given).toHaveBeenCalledTimes(1);
});

test('before anything is typed it has this shopper’s searches and the popular ones; they can be forgotten', async () => {
  for (const text of ['canvas', 'gouache', 'ink', 'INK']) recentSearchesOf('-').remember(text);
  const { input, user, spots } = open();
  await user.click(input);
  await waitFor(() => expect(lines()).toEqual(['INK', 'gouache', 'easel']));
  expect(within(screen.getByRole('group', { name: 'Searched before' })).getAllByRole('option')).toHaveLength(2);
  expect(input.getAttribute('placeholder')).toBe('Find a brush');
  await user.click(screen.getByRole('button', { name: 'Forget these' }));
  expect(lines()).toEqual(['easel']);
  await user.click(screen.getByRole('option', { name: 'easel' }));
  expect(spots()).toEqual(['?q=easel']);
  expect(screen.queryAllByRole('option')).toEqual([]);
});

test('the arrows go through all lines, and enter takes the one that is marked', async () => {
  const { input, user, spots } = open();
  await user.type(input, 'bru');
  await waitFor(() => expect(screen.queryAllByRole('option')).toHaveLength(5));
  expect(lines()).toEqual([
    'round brush',
    '“bru” in Brushes',
    'All brushes',
    'Care of brushes',
    'Show all 7 products for “bru”',
  ]);
  await user.keyboard('{ArrowDown}{ArrowDown}');
  const marked = screen.getAllByRole('option').filter((line) => line.getAttribute('aria-selected') === 'true');
  expect(marked.map(({ textContent }) => textContent)).toEqual(['“bru” in Brushes']);
  expect(input.getAttribute('aria-activedescendant')).toBe(marked[0]!.id);
  await user.keyboard('{Enter}');
  expect(spots()).toEqual(['?q=bru&f.kind=a+%3E+Brushes']);
  expect((input as HTMLInputElement).value).toBe('bru');
});

test('enter without a marked line searches for what was typed; escape closes what hangs', async () => {
  const { input, user, spots } = open();
  await user.type(input, 'bru');
  await waitFor(() => expect(screen.queryAllByRole('option')).toHaveLength(5));
  await user.keyboard('{Escape}');
  expect(screen.queryAllByRole('option')).toEqual([]);
  await user.type(input, '{Enter}');
  expect(spots()).toEqual(['?q=bru']);
});

test('the lines are gone before the box gives the focus away: those just opened take it back', async () => {
  const { input, user, spots } = open();
  await user.click(input);
  await waitFor(() => expect(lines()).toEqual(['easel']));
  const left: number[] = [];
  input.addEventListener('blur', () => left.push(screen.queryAllByRole('option').length));
  await user.keyboard('bru{Enter}');
  expect(spots()).toEqual(['?q=bru']);
  expect(left).toEqual([0]);
  expect(document.activeElement).toBe(document.body);
});

test('a product goes into the basket by shift and enter, or by its mark, and the box stays open', async () => {
  const basket = basketOf('-');
  basket.getState().empty();
  const { input, user, spots } = open();
  await user.type(input, 'go');
  await waitFor(() => expect(lines()).toEqual(['Gouache–15%£4.50', 'Gone£4.50']));
  expect(screen.getAllByRole('option').map((line) => line.getAttribute('aria-keyshortcuts'))).toEqual([
    ...['Shift+Enter', null],
  ]);
  await user.keyboard('{ArrowDown}{Shift>}{Enter}{/Shift}');
  expect(screen.getByText('Gouache is in your basket.')).toBeDefined();
  await user.click(screen.getByTitle(/Put in basket/));
  expect(basket.getState().items).toEqual({ a1: 2 });
  expect(lines()).toHaveLength(2);
  expect(spots()).toEqual([]);
  // What is sold out opens.
  await user.keyboard('{ArrowDown}{Shift>}{Enter}{/Shift}');
  expect(countOf(basket.getState())).toBe(2);
});

test('a search without words shows everything, or does nothing where the shop has it so', async () => {
  const { input, user, spots } = open();
  await user.type(input, '{Enter}');
  expect(spots()).toEqual(['']);
  answerWith({ '/shop/-/suggest?q=&device=desktop': { ...before, emptySearch: 'nothing' } });
  const quiet = showInShop(<SearchBox />);
  const box = screen.getByRole('combobox', { name: 'Search the shop' });
  await user.click(box);
  await waitFor(() => expect(lines()).not.toEqual([]));
  await user.keyboard('{Escape}{Enter}');
  expect(quiet.spots()).toEqual([]);
});

test('what finds nothing says so, with what was typed as text', async () => {
  const { input, user, asked } = open();
  await user.type(input, 'xq');
  expect(await screen.findByText('Nothing matches “<b>xq”.')).toBeDefined();
  // One letter is not yet asked for, nor is every letter on the way.
  expect(asked.filter((url) => url.includes('q=x&'))).toEqual([]);
});

test('a search is spoken where the shop lets it and the browser takes dictation', async () => {
  const heard: { lang: string }[] = [];
  class Recognizer {
    lang = '';
    onresult: ((event: unknown) => void) | null = null;
    onend: (() => void) | null = null;
    start(): void {
      heard.push(this);
      this.onresult?.({ results: [[{ transcript: 'round brush' }]] });
      this.onend?.();
    }
    abort(): void {}
  }
  const { input, user } = open();
  await user.click(input);
  await waitFor(() => expect(lines()).not.toEqual([]));
  expect(screen.queryByRole('button', { name: 'Say what you look for' })).toBeNull();

  (window as unknown as Record<string, unknown>).webkitSpeechRecognition = Recognizer;
  answerWith({ '/shop/-/suggest?q=&device=desktop&language=de': { ...before, dictation: true } });
  const { spots } = showInShop(<SearchBox />, { search: 'language=de' });
  await user.click(screen.getByRole('combobox', { name: 'Search the shop' }));
  await user.click(await screen.findByRole('button', { name: 'Say what you look for' }));
  expect(spots()).toEqual(['?q=round+brush&language=de']);
  expect(heard).toMatchObject([{ lang: 'de' }]);
});
