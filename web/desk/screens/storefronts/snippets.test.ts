import { expect, test } from '@jest/globals';
import { type Placing, snippetFor } from './snippets.ts';

const made = (placing: Placing): string =>
  snippetFor({ placing, server: 'https://desk.example', storefront: 'main', key: 'k3y' });

test('one part with everything in it needs no more than the storefront and its key', () => {
  expect(made('together')).toContain('src="https://desk.example/embed/clever-shelf.js"');
  expect(made('together')).toContain('<clever-shelf storefront="main" shop-key="k3y">');
  expect(made('together')).toContain('min-height: 100vh');
});

test('parts that stand apart all lead to the same pages', () => {
  const parts = made('apart').match(/<clever-shelf[^>]*>/g)!;
  expect(parts.map((part) => /show="([^"]*)"/.exec(part)![1])).toEqual([
    'box',
    'count sorting filters results',
    'results',
  ]);
  for (const part of parts) expect(part).toContain('results="/search" product-page="/product?shelf.product={id}"');
});
