import { expect, test } from '@jest/globals';
import { safeMarkup } from './safeMarkup.ts';

test.each([
  [
    'paragraphs and lists',
    '<p>Soft <b>hair</b></p><ul><li>Sable</li></ul>',
    '<p>Soft <b>hair</b></p><ul><li>Sable</li></ul>',
  ],
  ['headings below the page’s own', '<h1>Care</h1><p>Rinse.</p>', '<h3>Care</h3><p>Rinse.</p>'],
  ['markup that was written as entities', '&lt;p&gt;Soft&lt;/p&gt;', '<p>Soft</p>'],
  [
    'links lead away and tell nothing',
    '<a href="https://x.example/a">More</a>',
    '<a href="https://x.example/a" rel="nofollow noopener" target="_blank">More</a>',
  ],
])('%s', (_, text, markup) => expect(safeMarkup(text)).toBe(markup));

test.each([
  '<p>Soft<script>alert(1)</script></p>',
  '<p onclick="alert(1)">Soft</p>',
  '<p style="position:fixed">Soft</p>',
  '<p>Soft<img src="https://x.example/a.png" onerror="alert(1)"></p>',
  '<p>Soft<iframe src="https://x.example"></iframe></p>',
  '<p>Soft<svg><script>alert(1)</script></svg></p>',
  '<div><p>Soft</p></div>',
  '<form action="/x"><p>Soft<input name="a"></p></form>',
])('of %s only the text is kept', (text) => expect(safeMarkup(text)).toBe('<p>Soft</p>'));

test('a link that runs something leads nowhere', () =>
  expect(safeMarkup('<a href="javascript:alert(1)">More</a>')).not.toContain('javascript'));

test.each(['Soft hair', '5 < 6 & 7 > 3', 'Tom &amp; Jerry', '<span>Soft</span>', ''])('“%s” has none to show', (text) =>
  expect(safeMarkup(text)).toBeNull(),
);
