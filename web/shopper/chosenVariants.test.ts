import { beforeEach, expect, test } from '@jest/globals';
import { chosenHere, chosenVariantsIn } from './chosenVariants.ts';

const stored = new Map<string, string>();
const keeps = {
  getItem: (name: string) => stored.get(name) ?? null,
  setItem: (name: string, text: string) => stored.set(name, text),
};
beforeEach(() => {
  stored.clear();
  Object.assign(globalThis, { sessionStorage: keeps });
});

test('what was chosen on a card another document of the visit begins with, each storefront its own', () => {
  chosenVariantsIn('main').choose('constructor', 'v2');
  expect(chosenVariantsIn('main').of('constructor')).toBe('v2');
  expect(chosenVariantsIn('de').of('constructor')).toBeUndefined();
  expect(chosenHere().of('constructor')).toBeUndefined();
});

test('of many products those chosen last are kept', () => {
  const chosen = chosenVariantsIn('main');
  for (let at = 0; at < 30; at++) chosen.choose(`p${at}`, `v${at}`);
  chosen.choose('p15', 'other');
  const later = chosenVariantsIn('main');
  expect([later.of('p0'), later.of('p15'), later.of('p29')]).toEqual([undefined, 'other', 'v29']);
});

test('where nothing can be kept, or something else was, the document itself knows', () => {
  stored.set('chosen main', '{"p":1}');
  expect(chosenVariantsIn('main').of('p')).toBeUndefined();
  Object.assign(globalThis, { sessionStorage: undefined });
  const chosen = chosenVariantsIn('main');
  chosen.choose('p', 'v');
  expect(chosen.of('p')).toBe('v');
});
