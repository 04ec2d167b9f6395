import { expect, test } from '@jest/globals';
import { pointsText } from './numbers.ts';
import { rarityText } from './rarity.ts';

test('points have one decimal, and all of them on request', () => {
  expect([pointsText(61_237, false), pointsText(61_237, true), pointsText(0, false)]).toEqual([
    '61.2',
    '61.237',
    '0.0',
  ]);
});

test('the rarer word is reported where it counts clearly more, and nothing where words count alike', () => {
  const set = { word: 'set', share: 62_000 };
  const paint = { word: 'paint', share: 38_000 };
  const brush = { word: 'brush', share: 40_000 };
  expect(rarityText([paint, set])).toBe('“set” is rarer in your catalog than “paint”, so it counts more.');
  expect(rarityText([paint, brush])).toBeNull();
  expect(rarityText([set])).toBeNull();
  expect(rarityText([])).toBeNull();
});
