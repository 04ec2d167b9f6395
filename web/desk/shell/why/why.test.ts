import { expect, test } from '@jest/globals';
import { pointsTold } from './numbers.ts';
import { rarityTold } from './rarity.ts';

test('points have one decimal, and all of them on request', () => {
  expect([pointsTold(61_237, false), pointsTold(61_237, true), pointsTold(0, false)]).toEqual([
    '61.2',
    '61.237',
    '0.0',
  ]);
});

test('the rarer word is told where it counts clearly more, and nothing where words count alike', () => {
  const set = { word: 'set', share: 62_000 };
  const paint = { word: 'paint', share: 38_000 };
  const brush = { word: 'brush', share: 40_000 };
  expect(rarityTold([paint, set])).toBe('“set” is rarer in your catalog than “paint”, so it counts more.');
  expect(rarityTold([paint, brush])).toBeNull();
  expect(rarityTold([set])).toBeNull();
  expect(rarityTold([])).toBeNull();
});
