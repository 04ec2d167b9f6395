import { expect, test } from '@jest/globals';
import { coloursInStyle, coloursInStyles } from './coloursInStyle.ts';

const before = { ground: '#ffffff', text: '#222222', accent: '#0000aa' };
const named = new Map([
  ['white', '#ffffff'],
  ['teal', '#008080'],
]);
const hexOf = (text: string): string | null => (/^#[0-9a-f]{6}$/.test(text) ? text : (named.get(text) ?? null));
const colours = (css: string) => coloursInStyle(css, before, hexOf);

test('ground and text of the page, and what its buttons or else its links are coloured with', () => {
  expect(
    colours('body { margin: 0; background: #faf5ee url(paper.png) repeat; color: #332211 } a { color: #884400 }'),
  ).toEqual({ ground: '#faf5ee', text: '#332211', accent: '#884400' });
  expect(colours('html,body{color:#111111} .btn-primary{background-color:teal} a{color:#884400}')).toEqual({
    ...before,
    text: '#111111',
    accent: '#008080',
  });
});

test('variables are looked up, with what they stand for otherwise, and never for ever', () => {
  const css =
    ':root { --paper: var(--light); --light: #f0f0e8 } body { background: var(--paper); color: var(--none, #101010) }';
  expect(colours(css)).toMatchObject({ ground: '#f0f0e8', text: '#101010' });
  expect(colours(':root { --a: var(--b); --b: var(--a) } body { color: var(--a) }')).toBeNull();
});

test('a button that cannot be told from the ground is none to be taken', () => {
  expect(colours('body { background: #faf5ee } button { background: white } a { color: #884400 }')).toMatchObject({
    accent: '#884400',
  });
});

test('what says no colour, or is no style sheet, gives none', () => {
  for (const css of ['', 'p { color: teal }', 'no style } at { all', 'body { background: none }'])
    expect(colours(css)).toBeNull();
});

test('of several style sheets the later ones hold, and one that cannot be read spoils no other', () => {
  const sheets = ['body { background: #faf5ee; color: #332211 }', 'no style } at { all', 'body { color: #443322 }'];
  expect(coloursInStyles(sheets, before, hexOf)).toEqual({ ...before, ground: '#faf5ee', text: '#443322' });
  expect(coloursInStyles([], before, hexOf)).toBeNull();
  // Far more than a page has is not looked at.
  expect(coloursInStyles([`/*${'x'.repeat(600_000)}*/ body { color: teal }`], before, hexOf)).toBeNull();
});
