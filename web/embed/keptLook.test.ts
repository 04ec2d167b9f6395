/** @jest-environment ./web/testing/domEnvironment.cjs */
import { expect, test } from '@jest/globals';
import { keepLook, keptLook } from './keptLook.ts';

const bare = { light: {}, dark: null, letters: [], style: '' };

test('a storefront begins in the look it had when it was here last, each in its own', () => {
  const look = { light: { '--surface': '#fbf6ec' }, dark: {}, letters: ['newsreader'], style: '' };
  keepLook('main', look);
  expect([keptLook('main'), keptLook('germany')]).toEqual([look, bare]);
});

test('what somebody else keeps under that name is no look', () => {
  for (const text of ['{', '7', '{"light":"x"}', '{"light":{}}', 'null']) {
    localStorage.setItem('shelf look main', text);
    expect(keptLook('main')).toEqual(bare);
  }
});
