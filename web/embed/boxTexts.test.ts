import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { en } from '../../core/messages/en.ts';
import { isOfBox } from './boxTexts.ts';

/** Files of which a page with the box alone is sent something. */
const files = [
  ...readdirSync('web/shop/box').map((name) => join('web/shop/box', name)),
  ...['BasketCount.tsx', 'cardPieces.tsx', 'PlaceLink.tsx'].map((name) => join('web/shop', name)),
  ...['FloatingButton.tsx', 'Overlay.tsx', 'clever-shelf.tsx'].map((name) => join('web/embed', name)),
].filter((path) => !path.includes('.test.'));

test('a page with the box alone has every text that its parts name', () => {
  const named = files.flatMap((path) =>
    [...readFileSync(path, 'utf8').matchAll(/'([a-z][\w.]*)'/gi)].map(([, key]) => key!).filter((key) => key in en),
  );
  // Words that are also names of other things.
  const isText = (key: string): boolean => !['articles', 'collections', 'wish', 'compare'].includes(key);
  expect(new Set(named).size).toBeGreaterThan(15);
  expect([...new Set(named)].filter((key) => isText(key) && !isOfBox(key))).toEqual([]);
});
